<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Edit } from '../../api/types'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import { fits } from '../../parts/matches'
import { whyPiece } from '../../parts/why'
import { useWindowing } from '../../parts/windowing'
import { counted } from '../../parts/words'
import { ordersOf } from '../../ribbon/colourOrders'
import { holdOf, START, START_TOLD } from '../../ribbon/hold'
import { useGoThere } from '../../shell/goThere'
import { useDisplay } from '../../state/display'
import { useHandover } from '../../state/handover'
import { usePatching } from '../../state/patching'
import {
  addressOf,
  cellOf,
  COLUMNS,
  type Column,
  separated,
  sortKey,
  type Style,
  tableRows,
  type TableRow,
} from './tableRows'

/** Every section, circuit and fixture with its addresses; set where it stands. */
const props = defineProps<{
  filter: string
  numbering: Style
  columns: Column[]
  by: string
}>()
const emit = defineEmits<{ counted: [shown: number, all: number] }>()

const HEIGHT = 28
const display = useDisplay()
const handover = useHandover()
const patching = usePatching()
const goThere = useGoThere()
const scroller = ref<HTMLElement>()
const sorted = ref<Column>('port')
const upward = ref(true)

const overlapping = computed(() => {
  const pieces = new Set<string>()
  display
    .view!.findings.filter((one) => one.area === 'ADDRESSES' && one.subjects.length > 1)
    .forEach((one) => one.subjects.forEach(({ piece }) => piece && pieces.add(piece)))
  return pieces
})
const stale = computed(
  () => new Set([...handover.states].filter(([, one]) => one.state === 'STALE').map(([id]) => id)),
)
function orderOf(piece: string, section: number): string {
  const found = display.pieces.get(piece)?.piece
  if (found?.kind !== 'string') {
    return ''
  }
  return (
    found.sections[section]?.colourOrder ??
    display.pixelTypes.get(found.pixelType)?.colourOrder ??
    ''
  )
}
const all = computed(() =>
  tableRows({
    controllers: display.view!.controllers,
    loose: display.loose,
    zoneOf: (piece) => display.zoneName(display.propOfPiece.get(piece)?.prop.zone),
    orderOf,
    overlapping: overlapping.value,
    stale: stale.value,
    moved: handover.movedPieces,
  }),
)
const places = computed(() => new Map(all.value.map((row, i) => [row.key, i])))
const chosen = computed(() => COLUMNS.filter((column) => props.columns.includes(column.key)))
function groupOf(row: TableRow): string {
  switch (props.by) {
    case 'controller':
      return row.view ? `${row.view.controller.tag} ${row.view.controller.name}` : 'Not patched'
    case 'zone':
      return row.zone || 'No zone'
    case 'universe':
      return row.at?.startAt ? `Universe ${row.at.startAt.universe}` : 'No universe'
    default:
      return ''
  }
}
const found = computed(() => {
  const direction = upward.value ? 1 : -1
  const compare = (a: TableRow, b: TableRow) => {
    const [x, y] = [a, b].map((row) => sortKey(row, sorted.value, places.value.get(row.key)!))
    return x < y ? -direction : x > y ? direction : 0
  }
  return all.value
    .filter((row) =>
      fits(props.filter, {
        texts: [
          row.title,
          row.lane?.written,
          row.zone,
          row.view?.controller.name,
          addressOf(row, props.numbering),
          ...row.states,
        ],
        count: row.pixels || row.channels,
        wrong: display.wrongAt.has(`piece ${row.piece}`),
      }),
    )
    .sort(compare)
})
watch([found, all], () => emit('counted', found.value.length, all.value.length), {
  immediate: true,
})

type Line = { height: number; head?: string; count?: number; row?: TableRow }
const lines = computed<Line[]>(() => {
  if (!props.by) {
    return found.value.map((row) => ({ height: HEIGHT, row }))
  }
  const groups = new Map<string, TableRow[]>()
  found.value.forEach((row) => {
    const name = groupOf(row)
    groups.set(name, [...(groups.get(name) ?? []), row])
  })
  return [...groups].flatMap(([head, rows]) => [
    { height: HEIGHT, head, count: rows.length },
    ...rows.map((row) => ({ height: HEIGHT, row })),
  ])
})
const { visible, total } = useWindowing(scroller, lines)
const sum = computed(() => {
  let pixels = 0
  let channels = 0
  for (const row of found.value) {
    pixels += row.pixels
    channels += row.at?.mirror ? 0 : row.channels
  }
  return `${counted(found.value.length, 'row')}, ${counted(pixels, 'pixel')}, ${counted(channels, 'channel')}`
})

function sort(column: Column) {
  upward.value = sorted.value === column ? !upward.value : true
  sorted.value = column
}

const sections = (row: TableRow) => [{ piece: row.piece, index: row.section }]
const edit = (made: Edit) => void display.edit(made)
function hold(row: TableRow, typed: string) {
  edit({ type: 'SetSections', sections: sections(row), set: { hold: holdOf(typed) } })
}
function patch(row: TableRow, written: string) {
  if (!written) {
    edit({ type: 'UnpatchPieces', pieces: [row.piece] })
    return
  }
  const lane = display.lanes.find((one) => one.written.toLowerCase() === written.toLowerCase())
  if (lane) {
    edit({ type: 'PatchPieces', pieces: [row.piece], port: lane.port })
  } else {
    display.said = { text: `${written}: no controller has such a port`, canUndo: false }
  }
}
/** Whether its start is the user's to set: not of what stands at slots, nor of a mirror. */
const holdable = (row: TableRow) =>
  row.at !== undefined &&
  !row.at.mirror &&
  row.lane?.port.kind !== 'DMX' &&
  // on DDP there is no universe to name: a start is held as a channel of the controller
  (props.numbering === 'wire'
    ? row.at.startAt !== undefined
    : props.numbering === 'controller' && row.at.controllerStart !== undefined)
const heads = () => chosen.value.map((column) => column.title)
const cells = () =>
  found.value.map((row) => chosen.value.map((column) => cellOf(row, column.key, props.numbering)))
function copy() {
  void navigator.clipboard.writeText(separated(heads(), cells()))
  display.said = { text: `${sum.value} copied, to paste in a spreadsheet`, canUndo: false }
}
defineExpose({ copy, seen: () => ({ heads: heads(), rows: cells() }) })
</script>

<template>
  <div class="table">
    <div ref="scroller" class="scroller scrolls" tabindex="-1" data-test="address-table">
      <table :aria-rowcount="lines.length">
        <thead>
          <tr>
            <th
              v-for="column in chosen"
              :key="column.key"
              :class="{ number: column.number }"
              :aria-sort="sorted === column.key ? (upward ? 'ascending' : 'descending') : undefined"
            >
              <button type="button" @click="sort(column.key)">
                {{ column.title }}{{ sorted === column.key ? (upward ? ' ↑' : ' ↓') : '' }}
              </button>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-if="visible.length" aria-hidden="true" :style="{ height: `${visible[0].top}px` }" />
          <template v-for="{ row: line } in visible" :key="line.row?.key ?? line.head">
            <tr v-if="line.head !== undefined" class="head">
              <th :colspan="chosen.length" scope="rowgroup">
                {{ line.head }} <span class="mono quiet">{{ line.count }}</span>
              </th>
            </tr>
            <tr
              v-else
              :class="{ lit: line.row!.piece === patching.pointed }"
              :data-row="line.row!.key"
              @pointerenter="patching.pointed = line.row!.piece"
              @pointerleave="patching.pointed = undefined"
            >
              <td v-for="column in chosen" :key="column.key" :class="{ number: column.number }">
                <InPlaceText
                  v-if="column.key === 'port'"
                  class="mono port"
                  :value="line.row!.lane?.written ?? ''"
                  none="not patched"
                  :label="`Port of ${line.row!.title}`"
                  :most="20"
                  @change="(v) => patch(line.row!, v)"
                />
                <button
                  v-else-if="column.key === 'title'"
                  type="button"
                  class="what"
                  :title="line.row!.title"
                  @click="goThere({ piece: line.row!.piece })"
                >
                  {{ line.row!.title }}
                </button>
                <InPlaceText
                  v-else-if="column.key === 'start' && holdable(line.row!)"
                  class="mono start"
                  :value="addressOf(line.row!, numbering)"
                  :label="`Start of ${line.row!.title}; a typed one is held there`"
                  :pattern="START"
                  :told="START_TOLD"
                  :data-hold="line.row!.at?.held"
                  @change="(v) => hold(line.row!, v)"
                />
                <span
                  v-else-if="column.key === 'end' && line.row!.at"
                  class="mono"
                  :data-why="whyPiece('START', line.row!.piece, line.row!.section)"
                  >{{
                    addressOf(line.row!, numbering, true) || addressOf(line.row!, numbering)
                  }}</span
                >
                <span
                  v-else-if="column.key === 'start' && line.row!.at"
                  class="mono"
                  :data-why="whyPiece('START', line.row!.piece, line.row!.section)"
                  >{{ addressOf(line.row!, numbering) }}</span
                >
                <InPlaceNumber
                  v-else-if="column.key === 'nulls' && line.row!.leg && line.row!.section === 0"
                  :value="line.row!.leg.nullPixels"
                  :label="`Null pixels before ${line.row!.title}`"
                  :least="0"
                  :most="1000"
                  @change="
                    (v) =>
                      edit({
                        type: 'SetLegs',
                        pieces: [line.row!.piece],
                        set: { nullPixels: v ?? 0 },
                      })
                  "
                />
                <InPlaceChoice
                  v-else-if="column.key === 'order' && line.row!.order && line.row!.at"
                  :value="line.row!.order"
                  :label="`Colour order of ${line.row!.title}`"
                  :choices="ordersOf(line.row!.order).map((one) => ({ value: one, title: one }))"
                  @change="
                    (v) =>
                      edit({
                        type: 'SetSections',
                        sections: sections(line.row!),
                        set: { colourOrder: v },
                      })
                  "
                />
                <InPlaceNumber
                  v-else-if="column.key === 'brightness' && line.row!.leg && line.row!.pixels"
                  :value="line.row!.leg.brightness"
                  :label="`Brightness of ${line.row!.title}, percent`"
                  :least="0"
                  :most="100"
                  @change="
                    (v) =>
                      edit({
                        type: 'SetSections',
                        sections: sections(line.row!),
                        set: { brightness: v },
                      })
                  "
                />
                <template v-else-if="column.key === 'states'">
                  <span
                    v-for="state in line.row!.states"
                    :key="state"
                    class="state"
                    :class="{ warn: ['overlapping', 'not patched'].includes(state) }"
                    >{{ state === 'overlapping' ? '▲ ' : '' }}{{ state }}</span
                  >
                </template>
                <span v-else :class="{ mono: column.number }">{{
                  cellOf(line.row!, column.key, numbering)
                }}</span>
              </td>
            </tr>
          </template>
          <tr
            aria-hidden="true"
            :style="{
              height: `${Math.max(0, total - (visible.at(-1)?.top ?? 0) - HEIGHT)}px`,
            }"
          />
        </tbody>
      </table>
    </div>
    <p class="sum" role="status" data-test="totals">{{ sum }}</p>
  </div>
</template>

<style scoped>
.table {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.scroller {
  flex: 1;
  padding: 0 16px;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 12.5px;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 2;
  background: rgb(var(--v-theme-background));
  text-align: left;
  font-weight: 500;
  padding: 5px 12px 5px 0;
  border-bottom: 1px solid var(--line-strong);
  white-space: nowrap;
}
td {
  height: 28px;
  padding: 0 12px 0 0;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
.number {
  text-align: right !important;
}
.lit td {
  background: color-mix(in srgb, var(--copper) 12%, transparent);
}
.head th {
  text-align: left;
  height: 28px;
  font-weight: 500;
  border-bottom: 1px solid var(--line-strong);
}
.port {
  width: 9ch;
}
.start {
  width: 10ch;
  text-align: right;
}
.start[data-hold='true'] {
  color: var(--copper);
}
.what {
  max-width: 34ch;
  overflow: hidden;
  text-overflow: ellipsis;
}
.what:hover {
  text-decoration: underline;
}
.state {
  margin-right: 10px;
  color: var(--quiet);
}
.state.warn {
  color: rgb(var(--v-theme-warning));
}
.sum {
  flex: none;
  padding: 6px 16px;
  border-top: 1px solid var(--line);
  font-size: 12.5px;
}
</style>
