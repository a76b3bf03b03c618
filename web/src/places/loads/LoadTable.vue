<script setup lang="ts">
import { computed, ref } from 'vue'
import type { LaneView } from '../../api/types'
import { blocksOf } from '../../parts/blocks'
import { fits } from '../../parts/matches'
import NearOnly from '../../parts/NearOnly.vue'
import { whyPort } from '../../parts/why'
import LoadMeter from '../../ribbon/LoadMeter.vue'
import StateMark from '../../shell/StateMark.vue'
import { portKey, useDisplay } from '../../state/display'
import { useLoads } from '../../state/loads'
import { cellsOf, COLUMNS, heat, type Column } from './loadColumns'
import RunPanel from './RunPanel.vue'

/** Ports as a heat table, the hottest first; one of them opened. */
const props = defineProps<{ filter: string; tried: Map<string, LaneView> }>()

/** As high as a row is (px). */
const ROW = 33
const display = useDisplay()
const loads = useLoads()
const sorted = ref<Column>('pixels')
const upward = ref(false)

const ports = computed(() =>
  display.lanes
    .filter((lane) => lane.load ?? lane.dmx)
    .map((now, place) => {
      const key = portKey(now.port)
      const lane = props.tried.get(key) ?? now
      const what = lane.legs.map((leg) => leg.title).join(', ')
      return { key, now, lane, place, what, cells: cellsOf(lane) }
    }),
)
const modelOf = (lane: LaneView) => display.controllerOf(lane.port.controller)?.modelTitle
const zonesOf = (lane: LaneView) => lane.legs.map((leg) => display.zoneName(leg.zone))
const isWrong = (lane: LaneView) =>
  display.wrongAt.has(portKey(lane.port)) ||
  lane.legs.some((leg) => display.wrongAt.has(`piece ${leg.piece}`))
const shown = computed(() => {
  const direction = upward.value === (sorted.value !== 'port') ? 1 : -1
  const share = (port: (typeof ports.value)[number]) =>
    sorted.value === 'port' ? port.place : port.cells[sorted.value].share
  return ports.value
    .filter((port) =>
      fits(props.filter, {
        texts: [port.lane.written, port.what, modelOf(port.lane), ...zonesOf(port.lane)],
        count: port.lane.load?.pixels,
        wrong: isWrong(port.lane),
      }),
    )
    .sort((a, b) => direction * (share(a) - share(b)) || a.place - b.place)
})
const blocks = computed(() => blocksOf(shown.value, 60, 4, (port) => port.key === loads.open))
defineExpose({ shown: computed(() => shown.value.length) })

function sort(column: Column) {
  upward.value = sorted.value === column ? !upward.value : false
  sorted.value = column
}
function toggle(key: string) {
  loads.open = loads.open === key ? undefined : key
}
</script>

<template>
  <table>
    <thead>
      <tr>
        <th
          v-for="column in COLUMNS"
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
    <NearOnly
      v-for="(block, b) in blocks"
      :key="b"
      as="tbody"
      :height="block.rows.length * ROW"
      :always="block.always"
    >
      <template v-for="port in block.rows" :key="port.key">
        <tr
          :class="{ tried: tried.has(port.key), open: loads.open === port.key }"
          :data-port="port.lane.written"
          @click="port.lane.load && toggle(port.key)"
        >
          <td>
            <span v-if="port.lane.dmx" class="mono">{{ port.lane.written }}</span>
            <button
              v-else
              type="button"
              class="port mono"
              :aria-expanded="loads.open === port.key"
              :aria-label="`${port.lane.written}, voltages and feeds`"
              @click.stop="toggle(port.key)"
            >
              {{ port.lane.written }}
            </button>
            <StateMark :controller="port.lane.port.controller" only-open />
          </td>
          <td
            v-for="column in COLUMNS.slice(1)"
            :key="column.key"
            :data-column="column.key"
            :data-title="column.title"
            :style="{ background: heat(port.cells[column.key as 'pixels'].share) }"
          >
            <LoadMeter
              v-if="port.cells[column.key as 'pixels'].text"
              :text="port.cells[column.key as 'pixels'].text"
              :share="port.cells[column.key as 'pixels'].share"
              :label="port.cells[column.key as 'pixels'].told"
              :why="column.why && !port.lane.dmx ? whyPort(column.why, port.lane.port) : undefined"
            />
          </td>
          <td class="what">{{ port.what }}</td>
        </tr>
        <tr v-if="loads.open === port.key && port.now.load">
          <td :colspan="COLUMNS.length + 1" class="opened"><RunPanel :lane="port.now" /></td>
        </tr>
      </template>
    </NearOnly>
  </table>
</template>

<style scoped>
table {
  border-collapse: separate;
  border-spacing: 0;
  font-size: 13px;
  width: 100%;
  min-width: 760px;
  table-layout: fixed;
}
th {
  text-align: left;
  font-weight: 500;
  font-size: 12.5px;
  padding: 4px 10px;
  color: var(--quiet);
  border-bottom: 1px solid var(--line-strong);
}
th:first-child {
  width: 78px;
}
th:last-child {
  width: 24%;
}
td {
  padding: 4px 10px;
  border-bottom: 1px solid var(--line);
}
tr[data-port] {
  cursor: pointer;
}
tr[data-port]:hover .port {
  text-decoration: underline;
}
.open .port {
  color: var(--copper);
  font-weight: 600;
}
.tried .port::after {
  content: ' ≈';
  color: var(--copper);
}
.what {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.opened {
  padding: 0 0 10px;
  border-bottom: none;
}
/* a port is a block: its name and what hangs there, and below them its loads with their heads */
@media (width < 700px) {
  table {
    display: block;
    min-width: 0;
  }
  thead,
  thead tr {
    display: flex;
    flex-wrap: wrap;
  }
  th,
  th:first-child {
    width: auto;
    border-bottom: none;
  }
  th:last-child {
    display: none;
  }
  tbody {
    display: block;
  }
  tr[data-port] {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    border-bottom: 1px solid var(--line);
    padding: 4px 0;
  }
  tbody tr:not([data-port]):not([aria-hidden]),
  .opened {
    display: block;
  }
  tr[data-port] > td {
    border-bottom: none;
    padding: 3px 6px;
  }
  tr[data-port] > :first-child {
    order: -2;
  }
  tr[data-port] > .what {
    order: -1;
    grid-column: 2 / -1;
  }
  td[data-title]::before {
    content: attr(data-title);
    display: block;
    font-size: 11px;
    color: var(--quiet);
  }
}
</style>
