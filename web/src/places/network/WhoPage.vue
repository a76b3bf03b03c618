<script setup lang="ts">
import { mdiAccountQuestionOutline, mdiStop } from '@mdi/js'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { api } from '../../api/client'
import type { AddressLine, ModelView, Present } from '../../api/types'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import { useWidth } from '../../parts/useWidth'
import { useDisplay } from '../../state/display'
import { freshId } from '../../state/freshId'
import { useLooking } from '../../state/looking'
import { movingThere, PRESENCE, summary, takingIn, WAYS } from './presence'
import SubnetLine from './SubnetLine.vue'

/** Everybody is asked at once who he is; planned and found stand beside each other. */
const display = useDisplay()
const looking = useLooking()
const page = ref<HTMLElement>()
const width = useWidth(page)
/** Inside the page's edges, which are narrower on a phone. */
const room = computed(() => Math.max(280, width.value - (width.value < 700 ? 24 : 48)))
const lit = ref<string>()
const strangers = ref(false)

const run = computed(() => looking.run)
const present = computed(() => run.value?.present ?? [])
/** The gravest first; those alike as the plan has them. */
const order = Object.keys(PRESENCE)
const rows = computed(() =>
  [...present.value].sort((a, b) => order.indexOf(a.state) - order.indexOf(b.state)),
)
const models = shallowRef<ModelView[]>([])
/** Which model each unknown one is taken for, by its address. */
const chosen = ref<Record<string, string>>({})
function modelOf(one: Present): string | undefined {
  return chosen.value[one.at!] ?? one.model ?? (isSource(one) ? hostModel.value : undefined)
}
const isSource = (one: Present) => one.ways.every((way) => way === 'E131')
const hostModel = computed(
  () => models.value.find((one) => one.model.protocols.length === 0)?.model.id,
)
const choices = computed(() =>
  models.value.map((one) => ({ value: one.model.id, title: one.title })),
)

function titleOf(one: Present): string {
  const controller = one.controller && display.controllerOf(one.controller)?.controller
  return controller
    ? `${controller.tag} ${controller.name}`
    : one.ownName || one.product || 'a device'
}
async function takeIn(one: Present) {
  const model = modelOf(one)
  if (!model) {
    return
  }
  const taken = display.view!.controllers.map((view) => view.controller.id)
  await display.edit(takingIn(one, model, freshId('controller', taken), titleOf(one)))
  if (strangers.value) {
    // from now on a stand-in of its own stands there
    await putStranger()
  }
}
async function putStranger() {
  const model = models.value.find((one) => one.model.protocols.length > 0)?.model
  strangers.value = !strangers.value
  await display.attempt(() =>
    api.strangers(display.view!.id, strangers.value && model ? [model.id] : []),
  )
  await looking.ask()
}
/** Devices that nobody planned, on the line of their subnet. */
const lines = computed<AddressLine[]>(() => display.view!.network.lines)
const unknown = computed(() => present.value.filter((one) => !one.controller && one.at))
const when = computed(() => (run.value ? new Date(run.value.at).toLocaleTimeString('en-GB') : ''))
onMounted(async () => {
  void looking.look()
  models.value = (await display.attempt(() => api.catalogue(display.view!.id)))?.models ?? []
})
</script>

<template>
  <div ref="page" class="look who">
    <div class="head">
      <v-btn
        v-if="run?.running"
        :prepend-icon="mdiStop"
        data-test="stop-asking"
        @click="looking.stop()"
        >Stop asking</v-btn
      >
      <v-btn
        v-else
        color="primary"
        variant="flat"
        :prepend-icon="mdiAccountQuestionOutline"
        data-test="ask-who"
        @click="looking.ask()"
        >{{ run ? 'Ask again' : 'Ask who is there' }}</v-btn
      >
      <span v-if="run?.failed" class="wrong" role="alert">Nobody was asked: {{ run.failed }}.</span>
      <span v-else-if="run" role="status" data-test="who-summary"
        >{{ summary(present) || 'nobody has answered yet' }}
        <span class="quiet"
          >{{ run.running ? '' : `· asked at ${when}` }}
          {{ run.live ? '' : '· stand-ins on this computer' }}</span
        ></span
      >
      <span v-else class="quiet">
        Doors of the giving format, ArtPoll, DDP status and sources of E1.31 are asked at once.
        Nothing is changed.
      </span>
      <v-spacer />
      <label v-if="run && !run.live && !run.running" class="learn quiet">
        <input type="checkbox" :checked="strangers" data-test="stranger" @change="putStranger" />
        a stand-in that nobody planned
      </label>
    </div>
    <v-progress-linear
      v-if="run?.running"
      :model-value="run.percent"
      color="primary"
      height="4"
      aria-label="Waiting for answers"
    />
    <section v-for="line in lines" :key="line.subnet.id" :aria-label="line.subnet.name">
      <h2>
        {{ line.subnet.name }}
        <span class="mono quiet">{{ line.subnet.network }}/{{ line.subnet.prefix }}</span>
      </h2>
      <SubnetLine
        :line="line"
        :width="room"
        :lit="lit"
        :present="run ? looking.byController : undefined"
        :unknown="unknown"
        @point="lit = $event"
      />
    </section>
    <table v-if="rows.length" class="rows" data-test="present">
      <thead>
        <tr>
          <th>who</th>
          <th>is</th>
          <th class="says">says</th>
          <th>at</th>
          <th class="by">answered by</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="one in rows"
          :key="one.controller ?? one.at"
          :class="{ lit: lit === one.controller && one.controller }"
          :data-present="one.controller ?? 'unknown'"
          :data-state="one.state"
          @pointerenter="lit = one.controller"
          @pointerleave="lit = undefined"
        >
          <th scope="row">{{ titleOf(one) }}</th>
          <td :class="{ wrong: PRESENCE[one.state].wrong, quiet: one.state === 'CANNOT_BE_ASKED' }">
            {{ PRESENCE[one.state].mark }} {{ PRESENCE[one.state].title }}
            <div v-for="told in one.told" :key="told" class="told">{{ told }}</div>
          </td>
          <td class="says">
            {{ one.product }} <span v-if="one.serial" class="mono quiet">{{ one.serial }}</span>
          </td>
          <td class="mono">{{ one.at ?? one.planned ?? '' }}</td>
          <td class="quiet by">{{ one.ways.map((way) => WAYS[way]).join(', ') }}</td>
          <td class="do">
            <template v-if="one.state === 'UNKNOWN'">
              <InPlaceChoice
                :value="modelOf(one)"
                label="Which model it is"
                :choices="choices"
                none="which model?"
                @change="(model) => (chosen = { ...chosen, [one.at!]: model ?? '' })"
              />
              <v-btn size="small" :disabled="!modelOf(one)" data-test="take-in" @click="takeIn(one)"
                >Take into the plan</v-btn
              >
            </template>
            <v-btn
              v-else-if="one.state === 'OTHER_ADDRESS' && one.at !== one.planned"
              size="small"
              data-test="plan-there"
              @click="display.edit(movingThere(one))"
              >Plan it at {{ one.at }}</v-btn
            >
            <router-link
              v-else-if="one.state === 'OTHER_MODEL'"
              :to="{ name: 'controllers', params: { controller: one.controller } }"
              >Exchange it …</router-link
            >
            <router-link
              v-else-if="one.state === 'OTHER_NAME'"
              :to="{ name: 'handover', params: { controller: one.controller } }"
              >Give it its name …</router-link
            >
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else-if="!run && !lines.length" class="quiet">
      Plan a subnet first: it is asked in there.
    </p>
  </div>
</template>

<style scoped src="./looks.css"></style>
<style scoped>
.learn {
  font-size: 12.5px;
}
.lit {
  background: color-mix(in srgb, var(--copper) 16%, transparent);
}
.do a {
  color: var(--copper);
}
@media (width < 700px) {
  .by {
    display: none;
  }
  section {
    overflow-x: auto;
  }
}
</style>
