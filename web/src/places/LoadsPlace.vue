<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { LaneView } from '../api/types'
import FilterField from '../parts/FilterField.vue'
import { matches } from '../parts/matches'
import { counted } from '../parts/words'
import LoadMeter from '../ribbon/LoadMeter.vue'
import { useGoThere } from '../shell/goThere'
import { portKey, useDisplay } from '../state/display'
import { useTrial } from '../state/trial'
import { brightnessEdit, type Scope } from './loads/whatIf'

type Column = 'port' | 'pixels' | 'frame' | 'amps' | 'full'

const display = useDisplay()
const goThere = useGoThere()
const trial = useTrial()
const filter = ref('')
const sorted = ref<Column>('pixels')
const upward = ref(false)

const columns: { key: Column; title: string; means: string }[] = [
  { key: 'port', title: 'Port', means: 'in list order' },
  { key: 'pixels', title: 'Pixels of limit', means: 'null pixels included' },
  { key: 'frame', title: 'Frame rate', means: 'and how much of the show’s frame it takes' },
  { key: 'amps', title: 'Planned', means: 'all white at the planned brightness, of the fuse' },
  { key: 'full', title: 'At 100 %', means: 'as a device’s own test lights it, of the fuse' },
]

interface Port {
  lane: LaneView
  place: number
  what: string
  shares: Record<Column, number>
}
const tried = computed(
  () => new Map(trial.preview.value?.lanes.map((lane) => [portKey(lane.port), lane])),
)
const ports = computed<Port[]>(() =>
  display.lanes
    .filter((lane) => lane.load)
    .map((lane, place) => {
      const load = (tried.value.get(portKey(lane.port)) ?? lane).load!
      const fuse = load.fuseAmps ?? Infinity
      return {
        lane: { ...lane, load },
        place,
        what: lane.legs.map((leg) => leg.title).join(', '),
        shares: {
          port: place,
          pixels: (load.pixels + load.nullPixels) / load.limit,
          frame: load.frameShare,
          amps: load.amps / fuse,
          full: load.fullAmps / fuse,
        },
      }
    }),
)
const shown = computed(() => {
  const direction = upward.value === (sorted.value !== 'port') ? 1 : -1
  return ports.value
    .filter((port) => matches(filter.value, port.lane.written, port.what))
    .sort(
      (a, b) => direction * (a.shares[sorted.value] - b.shares[sorted.value]) || a.place - b.place,
    )
})
const totals = computed(() => ({
  planned: ports.value.reduce((sum, port) => sum + port.lane.load!.amps, 0),
  full: ports.value.reduce((sum, port) => sum + port.lane.load!.fullAmps, 0),
  over: ports.value.filter((port) => port.shares.amps > 1 || port.shares.pixels > 1).length,
}))
function sort(column: Column) {
  upward.value = sorted.value === column ? !upward.value : false
  sorted.value = column
}
/** How warm a cell is: the nearer to its limit, the more. */
function heat(share: number): string {
  // pale enough that the numbers on it keep their contrast
  const tone =
    share > 1 ? 'rgb(var(--v-theme-error)) 12%' : `var(--copper) ${Math.round(share ** 2 * 30)}%`
  return `color-mix(in srgb, ${tone}, transparent)`
}

const scope = ref('display')
const percent = ref(30)
const trying = computed<Scope>(() => {
  const [kind, id] = scope.value.split(' ')
  return { kind: kind as Scope['kind'], id }
})
function tryIt() {
  const { controllers, props } = display.view!
  void trial.aim(brightnessEdit(trying.value, percent.value, controllers, props))
}
watch(scope, () => trial.edit.value && tryIt())
const driving = computed(() => display.view!.controllers.filter((view) => !view.host))
</script>

<template>
  <div class="loads">
    <div class="head">
      <h1>Loads</h1>
      <FilterField
        v-model="filter"
        label="Filter ports"
        :shown="shown.length"
        :all="ports.length"
      />
      <span class="mono sum"
        >{{ totals.planned.toFixed(1) }} A planned · {{ totals.full.toFixed(1) }} A at 100
        %<template v-if="totals.over">
          · <b class="over">▲ {{ counted(totals.over, 'port') }} over a limit</b></template
        ></span
      >
    </div>
    <form class="whatif" data-test="what-if" @submit.prevent="trial.apply()">
      <label>
        What if
        <select v-model="scope" aria-label="What is made brighter or darker">
          <option value="display">all controllers</option>
          <option
            v-for="view in driving"
            :key="view.controller.id"
            :value="`controller ${view.controller.id}`"
          >
            {{ view.controller.tag }} {{ view.controller.name }}
          </option>
          <option v-for="zone in display.view!.zones" :key="zone.id" :value="`zone ${zone.id}`">
            the props of {{ zone.name }}
          </option>
        </select>
      </label>
      <label class="slider">
        shone at
        <input
          v-model.number="percent"
          type="range"
          min="1"
          max="100"
          aria-label="Brightness that is tried, percent"
          @input="tryIt"
        />
        <span class="mono">{{ percent }} %</span>
      </label>
      <template v-if="trial.edit.value">
        <span v-if="trial.preview.value" role="status" class="told">
          {{
            trial.preview.value.lanes.length
              ? `${counted(trial.preview.value.lanes.length, 'port')} would change, shown below`
              : 'nothing would change: what hangs there has a brightness of its own'
          }}
        </span>
        <v-btn type="submit" size="small" color="primary" variant="flat">Apply</v-btn>
        <v-btn size="small" @click="trial.leave()">Leave it</v-btn>
      </template>
      <span v-else class="quiet">nothing is changed before you apply it</span>
    </form>
    <p v-if="ports.length === 0" class="quiet none">
      No port carries pixels yet. Hang strings on ports in Patch; their loads stand here then.
    </p>
    <table v-else>
      <thead>
        <tr>
          <th
            v-for="column in columns"
            :key="column.key"
            :aria-sort="sorted === column.key ? (upward ? 'ascending' : 'descending') : undefined"
          >
            <button type="button" :title="column.means" @click="sort(column.key)">
              {{ column.title }}{{ sorted === column.key ? (upward ? ' ↑' : ' ↓') : '' }}
            </button>
          </th>
          <th>What hangs there</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="port in shown"
          :key="port.lane.written"
          :class="{ tried: tried.has(portKey(port.lane.port)) }"
          :data-port="port.lane.written"
        >
          <td>
            <button
              type="button"
              class="port mono"
              @click="goThere({ controller: port.lane.port.controller, port: port.lane.port })"
            >
              {{ port.lane.written }}
            </button>
          </td>
          <td :style="{ background: heat(port.shares.pixels) }">
            <LoadMeter
              :text="`${port.lane.load!.pixels + port.lane.load!.nullPixels} / ${port.lane.load!.limit}`"
              :share="port.shares.pixels"
              :label="`Limit by the ${port.lane.load!.limitBy === 'FRAME' ? 'frame' : 'model'}`"
            />
          </td>
          <td :style="{ background: heat(port.shares.frame) }">
            <LoadMeter
              :text="`${Math.floor(port.lane.load!.framesPerSecond)} fps`"
              :share="port.shares.frame"
              :label="`${Math.round(port.shares.frame * 100)} % of a frame`"
            />
          </td>
          <td :style="{ background: heat(port.shares.amps) }">
            <LoadMeter
              :text="`${port.lane.load!.amps.toFixed(1)}${port.lane.load!.fuseAmps ? ` / ${port.lane.load!.fuseAmps}` : ''} A`"
              :share="port.lane.load!.fuseAmps ? port.shares.amps : 0"
              label="Planned brightness, all white, of the port’s fuse"
            />
          </td>
          <td :style="{ background: heat(port.shares.full) }">
            <LoadMeter
              :text="`${port.lane.load!.fullAmps.toFixed(1)}${port.lane.load!.fuseAmps ? ` / ${port.lane.load!.fuseAmps}` : ''} A`"
              :share="port.lane.load!.fuseAmps ? port.shares.full : 0"
              label="At 100 %, all white, of the port’s fuse"
            />
          </td>
          <td class="what">{{ port.what }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="ports.length" class="quiet note">
      Currents are the sum over a run, fed by its port alone. Feeds along a run, and the voltage
      that they leave, are not planned yet.
    </p>
  </div>
</template>

<style scoped>
.loads {
  padding: 16px 24px 40px;
  display: grid;
  gap: 12px;
}
.head,
.whatif {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 8px 18px;
}
.whatif {
  min-height: 40px;
  padding: 6px 14px;
  font-size: 13px;
  background: rgb(var(--v-theme-surface));
  border-left: 3px solid var(--copper);
}
.whatif select {
  border-bottom: 1px dashed var(--copper);
}
.whatif option {
  color: rgb(var(--v-theme-on-surface));
  background: rgb(var(--v-theme-surface));
}
.slider {
  display: flex;
  align-items: center;
  gap: 8px;
}
.slider input {
  width: 200px;
  accent-color: var(--copper);
}
.told {
  color: var(--copper);
  font-weight: 500;
}
.sum {
  margin-left: auto;
  font-size: 13px;
}
.over {
  color: rgb(var(--v-theme-error));
}
table {
  border-collapse: collapse;
  font-size: 13px;
}
th {
  text-align: left;
  font-weight: 500;
  font-size: 12.5px;
  padding: 4px 12px;
  color: var(--quiet);
  border-bottom: 1px solid var(--line-strong);
}
td {
  padding: 4px 12px;
  border-bottom: 1px solid var(--line);
  min-width: 110px;
}
.tried .port::after {
  content: ' ≈';
  color: var(--copper);
}
.port:hover {
  text-decoration: underline;
}
.what {
  max-width: 420px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.none {
  padding: 6vh 0;
}
.note {
  font-size: 12.5px;
}
</style>
