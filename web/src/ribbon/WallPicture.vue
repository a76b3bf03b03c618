<script setup lang="ts">
import { computed } from 'vue'
import type { GridOrder, Wall, WallView } from '../api/types'

/**
 * A wall from the front: its panels in the order of their chain, its cards, and the way its pixels
 * are run through. The corners are buttons: the one that is pressed has the first pixel.
 */
const props = defineProps<{ wall: Wall; view: WallView }>()
const emit = defineEmits<{ corner: [start: GridOrder['start']] }>()

const HEIGHT = 150
const MOST_WIDTH = 420
const scale = computed(() => Math.min(HEIGHT / props.view.height, MOST_WIDTH / props.view.width))
const width = computed(() => Math.max(60, props.view.width * scale.value))
const height = computed(() => Math.max(40, props.view.height * scale.value))
const panels = computed(() => props.wall.panels)

/** Middles of the cells of the way, line by line; a line that does not turn back starts anew. */
const strokes = computed(() => {
  const { columns, rows, way } = props.view
  const points = way.map(
    (cell) =>
      `${((cell.column + 0.5) / columns) * width.value},${((cell.row + 0.5) / rows) * height.value}`,
  )
  const length = props.wall.order.lines === 'ROWS' ? columns : rows
  if (props.wall.order.serpentine) {
    return [points.join(' ')]
  }
  return Array.from({ length: Math.ceil(points.length / length) }, (_, i) =>
    points.slice(i * length, (i + 1) * length).join(' '),
  )
})
const begin = computed(() => strokes.value[0].split(' ')[0].split(',').map(Number))

function cardOfRow(row: number): number {
  return panels.value?.cards.findIndex((card) => card.rows.includes(row)) ?? 0
}
const corners = [
  { start: 'TOP_LEFT', title: 'top left', x: 0, y: 0 },
  { start: 'TOP_RIGHT', title: 'top right', x: 1, y: 0 },
  { start: 'BOTTOM_LEFT', title: 'bottom left', x: 0, y: 1 },
  { start: 'BOTTOM_RIGHT', title: 'bottom right', x: 1, y: 1 },
] as const
</script>

<template>
  <div class="front" :style="{ width: `${width + 28}px`, height: `${height + 28}px` }">
    <svg
      :width="width"
      :height="height"
      role="img"
      :aria-label="`${view.width} by ${view.height} pixels, from the front`"
    >
      <template v-if="panels">
        <g v-for="(number, i) in view.panelNumbers" :key="i">
          <rect
            :x="((i % panels.columns) * width) / panels.columns"
            :y="(Math.floor(i / panels.columns) * height) / panels.rows"
            :width="width / panels.columns"
            :height="height / panels.rows"
            class="panel"
            :class="{ second: cardOfRow(Math.floor(i / panels.columns) + 1) % 2 === 1 }"
          />
          <text
            :x="(((i % panels.columns) + 1) * width) / panels.columns - 4"
            :y="((Math.floor(i / panels.columns) + 1) * height) / panels.rows - 4"
            class="chain mono"
          >
            {{ number }}
          </text>
        </g>
      </template>
      <rect v-else x="0" y="0" :width="width" :height="height" class="panel" />
      <polyline v-for="stroke in strokes" :key="stroke" :points="stroke" class="way" />
      <circle :cx="begin[0]" :cy="begin[1]" r="5" class="begin" />
    </svg>
    <button
      v-for="corner in corners"
      :key="corner.start"
      type="button"
      class="corner"
      :class="{ first: wall.order.start === corner.start }"
      :style="{ left: `${corner.x * (width + 14)}px`, top: `${corner.y * (height + 14)}px` }"
      :aria-pressed="wall.order.start === corner.start"
      :aria-label="`First pixel ${corner.title}`"
      :title="`First pixel ${corner.title}`"
      @click="emit('corner', corner.start)"
    />
  </div>
</template>

<style scoped>
.front {
  position: relative;
  flex: none;
}
svg {
  position: absolute;
  left: 14px;
  top: 14px;
}
.panel {
  fill: color-mix(in srgb, var(--copper) 10%, transparent);
  stroke: var(--line-strong);
}
.panel.second {
  fill: color-mix(in srgb, var(--copper) 24%, transparent);
}
.chain {
  font-size: 10px;
  text-anchor: end;
  fill: var(--quiet);
}
.way {
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.2;
  opacity: 0.75;
}
.begin {
  fill: var(--copper);
}
.corner {
  position: absolute;
  width: 14px;
  height: 14px;
  border: 2px solid var(--line-strong);
  border-radius: 2px;
}
.corner:hover,
.corner.first {
  border-color: var(--copper);
}
.corner.first {
  background: var(--copper);
}
</style>
