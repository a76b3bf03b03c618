<script setup lang="ts">
import { computed } from 'vue'
import type { ControllerView } from '../api/types'
import { useDisplay } from '../state/display'

/** A controller's block of channels to scale, with universe boundaries as ticks. */
const props = defineProps<{
  view: ControllerView
  /** Screen pixels. */
  width: number
  pointed?: string
  selected: string[]
}>()
const emit = defineEmits<{ point: [piece: string | undefined]; choose: [piece: string] }>()

const display = useDisplay()
const block = computed(() => props.view.block)
const scale = computed(() => props.width / Math.max(1, block.value.channels))
const dmxLanes = computed(() =>
  props.view.lanes.filter((l) => l.port.kind === 'DMX' && l.legs.length),
)

const spans = computed(() =>
  props.view.lanes.flatMap((lane) =>
    lane.legs.flatMap((leg) =>
      leg.sections
        .filter((section) => section.controllerStart !== undefined)
        .map((section) => ({
          key: `${leg.piece} ${section.section}`,
          leg,
          held: section.held && lane.port.kind !== 'DMX',
          from: section.controllerStart! - 1,
          to: section.controllerEnd!,
          text: `${leg.title} ${section.start} – ${section.end}`,
        })),
    ),
  ),
)
const isLit = (piece: string) => props.pointed === piece || props.selected.includes(piece)
const isWrong = (piece: string) => display.overlapping.has(piece)
/** Those that stand out, one by one; all others of a zone are one path: there may be hundreds. */
const apart = computed(() =>
  spans.value.filter((span) => isLit(span.leg.piece) || isWrong(span.leg.piece)),
)
const paths = computed(() => {
  const byColour = new Map<string, { d: string; pieces: string }>()
  for (const span of spans.value) {
    const colour = display.zoneColour(span.leg.zone)
    const wide = Math.max(1.5, (span.to - span.from) * scale.value - 0.5)
    const rect = `M${(span.from * scale.value).toFixed(2)} 19h${wide.toFixed(2)}v13h-${wide.toFixed(2)}z`
    const before = byColour.get(colour) ?? { d: '', pieces: '' }
    byColour.set(colour, { d: before.d + rect, pieces: `${before.pieces} ${span.leg.piece}` })
  }
  return [...byColour]
})
/** The piece whose addresses are under the pointer. */
function under(event: MouseEvent): string | undefined {
  const left = (event.currentTarget as Element).getBoundingClientRect().left
  const at = (event.clientX - left) / scale.value
  return spans.value.find((span) => at >= span.from && at < span.to)?.leg.piece
}
function choose(event: MouseEvent) {
  const piece = under(event)
  if (piece) {
    emit('choose', piece)
  }
}

/** Universe boundaries; on DDP a tick every so many bytes. */
const ticks = computed(() => {
  const made: { at: number; text: string }[] = []
  const { flowingChannels, universeSize, firstUniverse } = block.value
  if (firstUniverse !== undefined) {
    for (let u = 0; u < block.value.flowingUniverses; u++) {
      made.push({ at: u * universeSize, text: `${firstUniverse + u}` })
    }
  } else if (flowingChannels > 0) {
    const step = Math.max(100, Math.ceil(flowingChannels / 12 / 100) * 100)
    for (let at = 0; at < flowingChannels; at += step) {
      made.push({ at, text: `${at}` })
    }
  }
  dmxLanes.value.forEach((lane, i) =>
    made.push({ at: flowingChannels + i * 512, text: `${lane.universe ?? ''} ${lane.written}` }),
  )
  // told where the one told before has ended, and where there is room to its own end
  const LETTER = 6.5
  let free = -Infinity
  return made.map((tick) => {
    const x = tick.at * scale.value + 3
    const end = x + tick.text.length * LETTER + 4
    const told = x >= free && end <= props.width + 8
    free = told ? end : free
    return { ...tick, told }
  })
})
const shown = computed(() => {
  const lit = props.pointed ?? props.selected[props.selected.length - 1]
  const of = spans.value.filter((span) => span.leg.piece === lit)
  return of.length ? { text: of.map((span) => span.text).join(', '), from: of[0].from } : undefined
})
</script>

<template>
  <svg
    class="ruler"
    :width="width"
    height="52"
    role="img"
    :aria-label="`Addresses ${block.from ?? ''} to ${block.to ?? ''}`"
  >
    <g
      class="spans"
      @pointermove="(event) => emit('point', under(event))"
      @pointerleave="emit('point', undefined)"
      @click="choose"
    >
      <rect x="0" y="17" :width="width" height="17" class="ground" />
      <path
        v-for="[colour, { d, pieces }] in paths"
        :key="colour"
        :d="d"
        :fill="colour"
        :data-spans="pieces"
        class="span"
      />
      <rect
        v-for="span in apart"
        :key="span.key"
        :x="span.from * scale"
        y="19"
        :width="Math.max(1.5, (span.to - span.from) * scale - 0.5)"
        height="13"
        class="span"
        :class="{ lit: isLit(span.leg.piece), wrong: isWrong(span.leg.piece) }"
        :fill="display.zoneColour(span.leg.zone)"
      />
    </g>
    <g v-for="tick in ticks" :key="tick.at" class="tick">
      <line :x1="tick.at * scale + 0.5" :x2="tick.at * scale + 0.5" y1="14" y2="37" />
      <text v-if="tick.told" :x="tick.at * scale + 3" y="47" class="mono number">
        {{ tick.text }}
      </text>
    </g>
    <text
      v-if="shown"
      :x="Math.min(shown.from * scale, width - 7 * shown.text.length)"
      y="11"
      class="mono told"
    >
      {{ shown.text }}
    </text>
  </svg>
</template>

<style scoped>
.ruler {
  display: block;
  overflow: visible;
}
.ground {
  fill: var(--line);
}
.tick {
  pointer-events: none;
}
.tick line {
  stroke: var(--line-strong);
}
.number {
  font-size: 10.5px;
  fill: var(--quiet);
}
.told {
  font-size: 11px;
  fill: rgb(var(--v-theme-on-surface));
}
.span {
  fill-opacity: 0.55;
  cursor: pointer;
}
.span.wrong {
  stroke: rgb(var(--v-theme-error));
  stroke-width: 1.5;
}
.span.lit {
  fill-opacity: 1;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.5;
}
</style>
