<script setup lang="ts">
import { computed } from 'vue'
import type { LegView, Wall } from '../api/types'

/** A wall from the front: its panels and cards, and the way its pixels are run through. */
const props = defineProps<{ wall: Wall; leg: LegView }>()

const HEIGHT = 120
const panels = computed(() => props.wall.panels)
const columns = computed(() => panels.value?.columns ?? 1)
const rows = computed(() => panels.value?.rows ?? 1)
/** Width by height; what the panels, the resolution or size and pitch make it. */
const size = computed(() => {
  const { resolution, size: area, pitchMillimetres } = props.wall
  if (panels.value) {
    return {
      width: panels.value.columns * panels.value.panelWidth,
      height: panels.value.rows * panels.value.panelHeight,
    }
  }
  const pitch = pitchMillimetres ?? 1
  return (
    resolution ?? {
      width: Math.floor(area!.widthMillimetres / pitch + 1e-9),
      height: Math.floor(area!.heightMillimetres / pitch + 1e-9),
    }
  )
})
const width = computed(() => Math.min(460, (HEIGHT * size.value.width) / size.value.height))

/** A few lines of the way through the pixels: more would be a grey field. */
const path = computed(() => {
  const { start, lines, serpentine } = props.wall.order
  const right = start.endsWith('RIGHT')
  const bottom = start.startsWith('BOTTOM')
  const count = 5
  const points: string[] = []
  for (let line = 0; line < count; line++) {
    const across = (line + 0.5) / count
    const back = serpentine && line % 2 === 1
    for (const end of back ? [0.97, 0.03] : [0.03, 0.97]) {
      const [u, v] = lines === 'ROWS' ? [end, across] : [across, end]
      points.push(`${(right ? 1 - u : u) * width.value},${(bottom ? 1 - v : v) * HEIGHT}`)
    }
  }
  return points
})
const strokes = computed(() =>
  props.wall.order.serpentine
    ? [path.value.join(' ')]
    : path.value.flatMap((point, i) => (i % 2 ? [] : [`${point} ${path.value[i + 1]}`])),
)
const begin = computed(() => path.value[0].split(',').map(Number))
const cards = computed(() => panels.value?.cards ?? [])
function cardOfRow(row: number): number {
  return cards.value.findIndex((card) => card.rows.includes(row))
}
const at = computed(() => props.leg.sections[0])
</script>

<template>
  <div class="wall">
    <svg
      :width="width"
      :height="HEIGHT"
      role="img"
      :aria-label="`${size.width} by ${size.height} pixels from ${wall.order.start}`"
    >
      <g v-for="row in rows" :key="row">
        <rect
          v-for="column in columns"
          :key="column"
          :x="((column - 1) * width) / columns"
          :y="((row - 1) * HEIGHT) / rows"
          :width="width / columns"
          :height="HEIGHT / rows"
          class="panel"
          :class="{ second: cardOfRow(row) % 2 === 1 }"
        />
      </g>
      <polyline v-for="stroke in strokes" :key="stroke" :points="stroke" class="way" />
      <circle :cx="begin[0]" :cy="begin[1]" r="5" class="begin" />
    </svg>
    <dl class="mono">
      <dt>{{ size.width }} × {{ size.height }} pixels</dt>
      <dd>
        {{ at?.start }} – {{ at?.end }} · {{ at?.channels }} channels{{ at?.held ? ', held' : '' }}
      </dd>
      <dd>
        first pixel {{ wall.order.start.toLowerCase().replace('_', ' ') }},
        {{ wall.order.lines === 'ROWS' ? 'row by row' : 'column by column'
        }}{{ wall.order.serpentine ? ', back and forth' : '' }}
      </dd>
      <dd v-if="panels">
        {{ columns }} × {{ rows }} panels of {{ panels.panelWidth }} × {{ panels.panelHeight }}
      </dd>
      <dd v-for="card in cards" :key="card.name">
        {{ card.name }}: rows {{ card.rows.join(', ') }} ·
        {{ card.rows.length * size.width * panels!.panelHeight }} of {{ card.mostPixels }} px ·
        {{ card.refreshHertz }} Hz
      </dd>
    </dl>
  </div>
</template>

<style scoped>
.wall {
  display: flex;
  gap: 24px;
  padding: 4px 0;
}
.panel {
  fill: color-mix(in srgb, var(--copper) 10%, transparent);
  stroke: var(--line-strong);
}
.panel.second {
  fill: color-mix(in srgb, var(--copper) 24%, transparent);
}
.way {
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.4;
}
.begin {
  fill: var(--copper);
}
dl {
  font-size: 12px;
  line-height: 18px;
}
dt {
  font-size: 14px;
  font-weight: 500;
}
dd {
  margin: 0;
}
</style>
