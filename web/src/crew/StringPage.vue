<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import GuideCard from './GuideCard.vue'
import LightCard from './LightCard.vue'
import SayCard from './SayCard.vue'
import StageBar from './StageBar.vue'
import StringState from './StringState.vue'
import TickButton from './TickButton.vue'
import { reach } from './reach'
import type { StringEvent } from './types'
import { ago } from './waiting'
import { known, may, pages, reached, there } from './known'

/** A string: where it hangs, what it is told, how far it is; lit, ticked, told of. */
const props = defineProps<{ piece: string }>()

/** The leg with its port, on whichever controller this phone knows it. */
const found = computed(() => {
  for (const page of pages.values()) {
    for (const group of page.sheet.groups) {
      for (const port of group.ports) {
        const leg = port.legs.find((one) => one.piece === props.piece)
        if (leg) {
          return { page, port, leg }
        }
      }
    }
  }
  return undefined
})
const string = computed(() => known.value.get(props.piece))
const title = computed(() => string.value?.title ?? found.value?.leg.title)
/** All that hang at the controller, in the order of the sockets. */
const order = computed(
  () =>
    found.value?.page.sheet.groups.flatMap((group) =>
      group.ports.flatMap((port) => port.legs.map((leg) => leg.piece)),
    ) ?? [],
)
const next = computed(() => order.value[order.value.indexOf(props.piece) + 1])
const circuit = computed(() => found.value?.port.port.kind === 'RELAY')

const history = shallowRef<StringEvent[]>()
const open = ref(false)
watch([open, () => props.piece, string], async () => {
  if (open.value) {
    history.value = await reach.history(props.piece).catch(() => undefined)
  }
})
</script>

<template>
  <div v-if="title" class="page" data-test="string">
    <div class="head">
      <div>
        <h1>{{ title }}</h1>
        <router-link
          v-if="found"
          :to="{ name: 'controller', params: { id: found.page.sheet.controller } }"
          class="at mono"
          >{{ found.port.written }}</router-link
        >
        <p v-else class="quiet">It hangs on no port of the plan.</p>
      </div>
      <TickButton v-if="string" :string="string" :print="found?.page.prints[piece]" />
    </div>
    <p v-if="found">
      <template v-if="found.leg.pixels"
        ><strong>{{ found.leg.pixels }} pixels</strong>, </template
      >{{ found.leg.type }}<br />
      <template v-if="found.leg.first"
        ><span class="mono">{{ found.leg.first }}</span> to
        <span class="mono">{{ found.leg.last }}</span></template
      >
      <template v-if="found.leg.set">, set to {{ found.leg.set }}</template>
      <template v-if="found.leg.tag"
        >, tag <span class="mono">{{ found.leg.tag }}</span></template
      >
      <template v-if="found.leg.dataIn"><br />data in: {{ found.leg.dataIn }}</template>
    </p>
    <StringState v-if="string" :string="string" />
    <LightCard
      v-if="found && may('LIGHT')"
      :piece="piece"
      :pixels="found.leg.pixels"
      :circuit="circuit"
      :next="next"
    />
    <StageBar v-if="string && may('TICK')" />
    <SayCard v-if="string && may('NOTE')" :string="string" />
    <GuideCard v-if="found && string" :piece="piece" />
    <details v-if="string" @toggle="open = ($event.target as HTMLDetailsElement).open">
      <summary>What happened to it</summary>
      <p v-if="!history" class="quiet">{{ reached ? 'Looking …' : 'Out of reach.' }}</p>
      <p v-else-if="!history.length" class="quiet">Nothing yet.</p>
      <ul class="rows">
        <li v-for="(one, i) in history" :key="i">
          {{ one.told }}<template v-if="one.by">, {{ one.by }}</template
          >, {{ ago(one.at, there()) }}
          <img
            v-if="one.photo"
            :src="`/crew/api/photos/${one.photo}`"
            :alt="`Photo of ${title}`"
            loading="lazy"
          />
        </li>
      </ul>
    </details>
  </div>
  <p v-else class="page quiet">The plan has no such string any more.</p>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}
.at {
  display: inline-flex;
  align-items: center;
  min-height: 48px;
  font-size: 22px;
  font-weight: 700;
  text-decoration: underline;
}
summary {
  min-height: 48px;
  line-height: 48px;
}
img {
  display: block;
  max-width: 100%;
  margin-top: 6px;
}
</style>
