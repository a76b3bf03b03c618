<script setup lang="ts">
import { computed } from 'vue'
import type { ControllerView } from '../api/types'
import { useDisplay } from '../state/display'
import { limitOf, stretches } from './geometry'

/** All lanes of a controller in miniature: one line a port, to one common scale. */
const props = defineProps<{
  controller: ControllerView
  /** Screen pixels. */
  width: number
  /** The longest lane of all, in pixels of the wire. */
  most: number
}>()

const display = useDisplay()
const row = 5
const lanes = computed(() => props.controller.lanes)
const scale = computed(() => props.width / props.most)
</script>

<template>
  <svg
    :width="width"
    :height="Math.max(8, lanes.length * row)"
    role="img"
    :aria-label="`${lanes.filter((lane) => lane.legs.length).length} of ${lanes.length} ports used`"
  >
    <g v-for="(lane, i) in lanes" :key="lane.written" :transform="`translate(0 ${i * row})`">
      <line
        x1="0"
        :x2="(limitOf(lane) ?? 0) * scale"
        y1="2"
        y2="2"
        stroke="var(--line-strong)"
        stroke-width="0.7"
      />
      <rect
        v-for="s in stretches(lane)"
        :key="s.leg.piece"
        :x="(s.from + s.gap) * scale"
        y="0.4"
        :width="Math.max(1.5, s.length * scale - 0.6)"
        height="3.4"
        :fill="display.zoneColour(s.leg.zone)"
      />
      <rect
        v-if="lane.load && lane.load.over > 0"
        :x="lane.load.limit * scale"
        y="-0.4"
        :width="Math.max(3, lane.load.over * scale)"
        height="5"
        fill="rgb(var(--v-theme-error))"
      />
    </g>
  </svg>
</template>
