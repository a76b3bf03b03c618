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
const overlapping = computed(
  () =>
    new Set(
      display.view?.findings
        .filter((finding) => finding.code === 'overlap')
        .flatMap((finding) => finding.subjects.map((subject) => subject.piece)),
    ),
)

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
    <rect x="0" y="17" :width="width" height="17" class="ground" />
    <g v-for="tick in ticks" :key="tick.at">
      <line :x1="tick.at * scale + 0.5" :x2="tick.at * scale + 0.5" y1="14" y2="37" class="tick" />
      <text v-if="tick.told" :x="tick.at * scale + 3" y="47" class="mono number">
        {{ tick.text }}
      </text>
    </g>
    <rect
      v-for="span in spans"
      :key="span.key"
      :x="span.from * scale"
      y="19"
      :width="Math.max(1.5, (span.to - span.from) * scale - 0.5)"
      height="13"
      class="span"
      :class="{
        lit: pointed === span.leg.piece || selected.includes(span.leg.piece),
        wrong: overlapping.has(span.leg.piece),
      }"
      :fill="display.zoneColour(span.leg.zone)"
      :data-span="span.leg.piece"
      @pointerenter="emit('point', span.leg.piece)"
      @pointerleave="emit('point', undefined)"
      @click="emit('choose', span.leg.piece)"
    />
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
