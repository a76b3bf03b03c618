<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api } from '../../api/client'
import type { AddressAt, ComparedThing, ComparisonView, MilestoneHead } from '../../api/types'
import { moment } from '../../parts/handoverWords'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { useHandover } from '../../state/handover'

/** Named, frozen states: set, compared with each other or with now, gone back to. */
const NOW = 'now'
const MOST = 150

const display = useDisplay()
const handover = useHandover()
const all = ref<MilestoneHead[]>([])
const name = ref('')
const from = ref('')
const to = ref(NOW)
const compared = ref<ComparisonView>()

async function look() {
  all.value = (await display.attempt(() => api.milestones(display.view!.id))) ?? []
  if (!all.value.some((one) => one.id === from.value)) {
    from.value = all.value.at(-1)?.id ?? ''
  }
}
watch([() => display.view!.id, () => display.besides], look, { immediate: true })
watch(
  [() => display.view!.id, () => display.view!.version, from, to],
  async () => {
    const [a, b] = [from.value, to.value]
    const answer = a ? await display.attempt(() => api.compare(display.view!.id, a, b)) : undefined
    if (a === from.value && b === to.value) {
      compared.value = answer
    }
  },
  { immediate: true },
)

async function add() {
  const given = name.value.trim()
  if (given && (await display.attempt(() => api.addMilestone(display.view!.id, given)))) {
    name.value = ''
    await look()
    from.value = all.value.at(-1)!.id
    to.value = NOW
  }
}
async function remove(one: MilestoneHead) {
  await display.attempt(() => api.removeMilestone(display.view!.id, one.id))
  await look()
}
const shown = computed(() => compared.value?.comparison)
const none = computed(
  () =>
    shown.value &&
    [
      shown.value.props,
      shown.value.controllers,
      shown.value.moved,
      shown.value.told,
      shown.value.rest,
    ].every((list) => list.length === 0),
)
const BECAME = { ADDED: '+ new', REMOVED: '− gone', RENAMED: '≈ renamed', CHANGED: '≈ changed' }
const told = (one: ComparedThing) =>
  [one.before && `was ${one.before}`, one.what.slice(0, 5).join(', ')].filter(Boolean).join('; ')
/** What was and what is, where that differs. */
const both = (was: string, is: string) => (was === is ? is : `${was} → ${is}`)
const wire = (at: AddressAt) => (at.start ? `${at.start.universe}:${at.start.channel}` : '–')
const own = (at: AddressAt) => (at.own ? String(at.own) : '–')
const wide = (at: AddressAt) => (at.displayStart ? String(at.displayStart) : '–')
</script>

<template>
  <section aria-label="Milestones" data-test="milestones">
    <div class="head">
      <h2>Milestones</h2>
      <v-spacer />
      <form class="new" @submit.prevent="add">
        <input
          v-model="name"
          maxlength="80"
          placeholder="Opening night"
          aria-label="Name of the milestone"
          data-test="milestone-name"
        />
        <v-btn type="submit" color="primary" variant="flat" :disabled="!name.trim()"
          >Freeze it as it is now</v-btn
        >
      </form>
    </div>
    <p v-if="all.length === 0" class="quiet lead">
      Freeze the display under a name before you change what works: when the first configuration was
      given, on opening night, before a storm is repaired. Later you see what differs, hand on which
      props moved, and can go back in one step.
    </p>
    <ul v-else class="all">
      <li v-for="one in all" :key="one.id">
        <strong>{{ one.name }}</strong>
        <span class="quiet"
          >version {{ one.version }}, {{ moment(one.at)
          }}<template v-if="one.by">, {{ one.by }}</template></span
        >
        <span class="acts">
          <v-btn
            size="small"
            :aria-pressed="handover.shadows?.name === one.name"
            @click="handover.showShadows(handover.shadows?.name === one.name ? undefined : one.id)"
            >{{
              handover.shadows?.name === one.name ? 'No shadows' : 'Shadows in Patch and Addresses'
            }}</v-btn
          >
          <v-btn size="small" :data-test="`restore-${one.name}`" @click="display.restore(one.id)"
            >Go back to it</v-btn
          >
          <v-btn size="small" :aria-label="`Remove ${one.name}`" @click="remove(one)">Remove</v-btn>
        </span>
      </li>
    </ul>

    <template v-if="all.length">
      <div class="which">
        What differs from
        <select v-model="from" aria-label="The earlier state">
          <option v-for="one in all" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
        to
        <select v-model="to" aria-label="The later state">
          <option :value="NOW">now</option>
          <option v-for="one in all" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </div>
      <p v-if="none" class="good" role="status">✓ Nothing differs.</p>
      <div v-else-if="shown" data-test="comparison">
        <template
          v-for="[title, things] in [
            ['Props', shown.props],
            ['Controllers', shown.controllers],
          ] as const"
          :key="title"
        >
          <template v-if="things.length">
            <h3>
              {{ title }} <span class="quiet">{{ things.length }}</span>
            </h3>
            <ul class="things">
              <li v-for="one in things.slice(0, MOST)" :key="one.id">
                <span class="became" :class="one.became.toLowerCase()">{{
                  BECAME[one.became]
                }}</span>
                <strong>{{ one.name }}</strong> <span class="quiet">{{ told(one) }}</span>
              </li>
            </ul>
          </template>
        </template>
        <template v-if="shown.told.length">
          <h3>What devices are told otherwise</h3>
          <ul class="things">
            <li v-for="one in shown.told" :key="one.controller">
              <strong class="mono tag">{{ one.tag }}</strong>
              <span>{{ one.lines.slice(0, 6).join(' · ') }}</span>
            </li>
          </ul>
        </template>
        <template v-if="shown.moved.length">
          <h3>
            Elsewhere <span class="quiet">{{ counted(shown.moved.length, 'section') }}</span>
          </h3>
          <div class="scroll">
            <table>
              <thead>
                <tr>
                  <th>What</th>
                  <th>Port</th>
                  <th>On the wire</th>
                  <th>Controller's channel</th>
                  <th>Display channel</th>
                  <th>Channels</th>
                </tr>
              </thead>
              <tbody>
                <tr
                  v-for="one in shown.moved.slice(0, MOST)"
                  :key="`${one.is.piece} ${one.is.section}`"
                >
                  <td>
                    {{ one.is.title
                    }}<span v-if="one.is.section > 1" class="quiet"
                      >, section {{ one.is.section }}</span
                    >
                  </td>
                  <td class="mono">
                    {{ both(one.was.written, one.is.written) }}
                  </td>
                  <td class="mono">{{ both(wire(one.was), wire(one.is)) }}</td>
                  <td class="mono">{{ both(own(one.was), own(one.is)) }}</td>
                  <td class="mono">{{ both(wide(one.was), wide(one.is)) }}</td>
                  <td class="mono">
                    {{ both(String(one.was.channels), String(one.is.channels)) }}
                  </td>
                </tr>
              </tbody>
            </table>
          </div>
          <p v-if="shown.moved.length > MOST" class="quiet">
            and {{ shown.moved.length - MOST }} more
          </p>
        </template>
        <template v-if="shown.rest.length">
          <h3>Also</h3>
          <p class="quiet">{{ shown.rest.join(', ') }}</p>
        </template>
      </div>
    </template>
  </section>
</template>

<style scoped>
section {
  max-width: 940px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.new {
  display: flex;
  gap: 8px;
}
.new input {
  border-bottom: 1px solid var(--line-strong);
  width: 190px;
}
.lead {
  max-width: 66ch;
  padding: 10px 0;
}
ul {
  list-style: none;
}
.all li {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 10px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
.acts {
  margin-left: auto;
}
.which {
  padding: 16px 0 6px;
  font-size: 15px;
}
select {
  border-bottom: 1px solid var(--line-strong);
  font-weight: 500;
}
.good {
  color: rgb(var(--v-theme-success));
}
h3 {
  font-size: 13px;
  font-weight: 600;
  margin: 14px 0 2px;
}
.things li {
  display: flex;
  gap: 10px;
  font-size: 13px;
  padding: 2px 0;
}
.became {
  width: 82px;
  flex: none;
}
.added {
  color: rgb(var(--v-theme-success));
}
.removed {
  color: rgb(var(--v-theme-error));
}
.tag {
  width: 52px;
  flex: none;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  font-size: 12.5px;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 500;
  color: var(--quiet);
}
th,
td {
  padding: 3px 14px 3px 0;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
</style>
