<script setup lang="ts">
import { computed } from 'vue'
import type { CurvePoint } from '../api/types'

/** The voltage along a run, to the same scale as its ribbon. */
const props = defineProps<{
  planned: CurvePoint[]
  full?: CurvePoint[]
  /** With one feed lost; drawn over the others. */
  lost?: CurvePoint[]
  /** Positions that are shown, from 1. */
  from: number
  to: number
  /** Screen pixels for one position. */
  scale: number
  height: number
  leastVolts: number
  leastTold: string
  suppliedVolts: number
  /** The place that is marked, with what is said of it. */
  low?: { position: number; volts: number; text: string }
}>()

const TOP = 10
const bottom = computed(() => {
  const lowest = [...props.planned, ...(props.lost ?? [])].reduce(
    (low, point) => Math.min(low, point.volts),
    props.leastVolts,
  )
  // down to what matters; full brightness may well fall out of the picture
  return Math.max(0, lowest - (props.suppliedVolts - lowest) * 0.12)
})
const x = (position: number) => (position - props.from + 0.5) * props.scale
const y = (volts: number) =>
  TOP +
  ((props.suppliedVolts - volts) / (props.suppliedVolts - bottom.value)) * (props.height - TOP - 2)
function path(points: CurvePoint[] | undefined): string {
  return (points ?? [])
    .map(
      (p, i) =>
        `${p.begins || i === 0 ? 'M' : 'L'}${x(p.position).toFixed(1)} ${y(p.volts).toFixed(1)}`,
    )
    .join('')
}
const width = computed(() => (props.to - props.from + 1) * props.scale)
const mark = computed(() => {
  const low = props.low
  if (!low) {
    return undefined
  }
  const right = x(low.position) > width.value / 2
  return { x: x(low.position), y: y(low.volts), right }
})
const told = computed(
  () =>
    `Voltage from ${props.suppliedVolts} V down; pixels work from ${props.leastTold}. ` +
    (props.low?.text ?? ''),
)
</script>

<template>
  <svg
    class="curve"
    role="img"
    :aria-label="told"
    :width="Math.max(width, 1)"
    :height="height"
    :viewBox="`0 0 ${Math.max(width, 1)} ${height}`"
  >
    <rect
      class="toolow"
      x="0"
      :y="y(leastVolts)"
      :width="width"
      :height="Math.max(0, height - y(leastVolts))"
    />
    <line class="least" x1="0" :x2="width" :y1="y(leastVolts)" :y2="y(leastVolts)" />
    <line class="supplied" x1="0" :x2="width" :y1="y(suppliedVolts)" :y2="y(suppliedVolts)" />
    <path v-if="full" class="full" :d="path(full)" />
    <path class="planned" :class="{ behind: lost }" :d="path(planned)" />
    <path v-if="lost" class="lost" :d="path(lost)" />
    <g v-if="mark">
      <circle class="low" :cx="mark.x" :cy="mark.y" r="3.5" />
      <text
        :x="mark.x + (mark.right ? -8 : 8)"
        :y="mark.y + 22 > height ? mark.y - 9 : mark.y + 18"
        :text-anchor="mark.right ? 'end' : 'start'"
      >
        {{ low!.text }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.curve {
  display: block;
  overflow: hidden;
}
path {
  fill: none;
  stroke-width: 2;
  stroke-linejoin: round;
}
.planned {
  stroke: var(--copper);
}
.planned.behind {
  stroke-opacity: 0.35;
}
.full {
  stroke: var(--line-strong);
  stroke-width: 1.3;
  stroke-dasharray: 5 4;
}
.lost {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-dasharray: 9 3 2 3;
}
.toolow {
  fill: rgb(var(--v-theme-error));
  fill-opacity: 0.1;
}
.least {
  stroke: rgb(var(--v-theme-error));
  stroke-width: 1;
}
.supplied {
  stroke: var(--line);
  stroke-width: 1;
}
.low {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.8;
}
text {
  font-size: 11.5px;
  font-family: var(--mono);
  fill: rgb(var(--v-theme-on-surface));
  paint-order: stroke;
  stroke: rgb(var(--v-theme-surface));
  stroke-width: 3px;
}
</style>
