<script setup lang="ts">
import { computed } from 'vue'
import type { SettingSheet, SheetCell } from '../../api/types'
import NearOnly from '../../parts/NearOnly.vue'
import { whyPiece } from '../../parts/why'
import { portKey, useDisplay } from '../../state/display'
import SheetCellView from './SheetCellView.vue'
import { pagesOf, type SheetLine } from './sheetLines'

/** What one device has to be told, in its own numbering, page by page as it is typed in. */
const props = defineProps<{
  sheet: SettingSheet
  untold: string[]
  byHand: boolean
  ticked: (cell: SheetCell) => boolean
  /** What the device shows, by the key of the cell. */
  shown: Record<string, string>
  differing: Set<string>
}>()
const emit = defineEmits<{
  copy: [cell: SheetCell]
  tick: [cell: SheetCell, on: boolean]
  read: [cell: SheetCell, text: string]
  paste: [cell: SheetCell, text: string]
}>()

const display = useDisplay()
const pages = computed(() => pagesOf(props.sheet))
/** A sheet of so many lines is drawn whole. */
const SHORT = 60
const short = computed(() => pages.value.reduce((sum, page) => sum + page.lines.length, 0) <= SHORT)

/** The last address of a section on the wire, as Patch has it. */
function lastOf(line: SheetLine): string {
  if (!line.port?.section) {
    return ''
  }
  const { kind, port, section } = line.port
  const lane = display.laneByPort.get(portKey({ controller: props.sheet.controller, kind, port }))
  const sections = lane?.legs.flatMap((leg) => leg.sections)
  const end = sections?.[section - 1]?.end
  return end?.includes(':') ? end : ''
}
/** What the start of a section, or of a whole port, is asked by. */
function whyOf(line: SheetLine, cell: SheetCell): string | undefined {
  if (!line.port || !cell.standing) {
    return undefined
  }
  const { kind, port, section } = line.port
  const lane = display.laneByPort.get(portKey({ controller: props.sheet.controller, kind, port }))
  const sections = lane?.legs.flatMap((leg) =>
    leg.sections.map((_, index) => ({ piece: leg.piece, index })),
  )
  const at = sections?.[Math.max(0, section - 1)]
  return at && whyPiece('START', at.piece, at.index)
}
const cellProps = (line: SheetLine, cell: SheetCell) => ({
  cell,
  why: whyOf(line, cell),
  byHand: props.byHand,
  ticked: props.ticked(cell),
  shown: props.shown[cell.key],
  differs: props.differing.has(cell.key),
})
const on = (cell: SheetCell) => ({
  copy: () => emit('copy', cell),
  tick: (is: boolean) => emit('tick', cell, is),
  read: (text: string) => emit('read', cell, text),
  paste: (text: string) => emit('paste', cell, text),
})
</script>

<template>
  <article class="sheet" :aria-label="`Setting sheet of ${sheet.tag}`" data-test="sheet">
    <p v-for="what in untold" :key="what" class="untold">▲ {{ sheet.tag }}: {{ what }}</p>
    <template v-for="(page, p) in pages" :key="page.title">
      <h3>{{ p + 1 }} · {{ page.title }}</h3>
      <NearOnly
        v-for="line in page.lines"
        :key="line.key"
        class="line"
        :height="44"
        :always="short"
      >
        <span class="which">
          <strong v-if="line.title !== page.title">{{ line.title }}</strong>
          <span class="name" :title="line.name">{{ line.name }}</span>
        </span>
        <span class="cells">
          <template v-for="cell in line.cells" :key="cell.key">
            <SheetCellView v-bind="cellProps(line, cell)" v-on="on(cell)" />
            <span v-if="cell.key === 'address' && sheet.mask" class="aside"
              ><span class="label">mask</span><span class="mono">{{ sheet.mask }}</span></span
            >
          </template>
          <span v-if="lastOf(line)" class="aside"
            ><span class="label">last address</span
            ><span class="mono quiet">{{ lastOf(line) }}</span></span
          >
        </span>
      </NearOnly>
      <p v-if="page.lines.length === 0 && page.emptied.length === 0" class="quiet">
        none: nothing hangs on it
      </p>
      <div v-if="page.emptied.length" class="line">
        <span class="which"><strong>To be emptied</strong></span>
        <span class="cells">
          <label v-for="one in page.emptied" :key="one.cell.key" class="emptied mono">
            {{ one.label }}
            <input
              v-if="byHand"
              type="checkbox"
              :checked="ticked(one.cell)"
              @change="emit('tick', one.cell, ($event.target as HTMLInputElement).checked)"
            />
          </label>
        </span>
      </div>
    </template>
  </article>
</template>

<style scoped>
.sheet {
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line);
  padding: 8px 22px 20px;
  font-size: 13px;
}
h3 {
  font-size: 13px;
  font-weight: 600;
  margin: 14px 0 2px;
}
.line {
  display: grid;
  grid-template-columns: 190px 1fr;
  gap: 12px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
.which {
  display: grid;
  align-content: start;
  min-width: 0;
}
.name {
  color: var(--quiet);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.cells {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  align-items: start;
}
.aside {
  display: inline-grid;
}
.label {
  font-size: 11px;
  line-height: 13px;
  color: var(--quiet);
}
.emptied {
  display: inline-flex;
  gap: 4px;
}
.untold {
  color: rgb(var(--v-theme-error));
  margin-top: 8px;
}
@media (width < 700px) {
  .sheet {
    padding: 6px 12px;
  }
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
