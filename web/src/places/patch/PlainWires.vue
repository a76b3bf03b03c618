<script setup lang="ts">
import { inject, ref, watchEffect } from 'vue'
import type { LaneView } from '../../api/types'
import { pictureOf } from '../../ribbon/plainBlocks'
import { useDisplay } from '../../state/display'
import { LENS } from './scale'

/**
 * What hangs on lanes that pass faster than anybody reads. All wires are one layer, drawn as they
 * are where the farthest lane just fits: zooming stretches the layer and draws nothing anew.
 */
defineProps<{
  wires: { key: string; top: number; height: number; lane: LaneView }[]
  /** The farthest pixel of all lanes. */
  far: number
}>()

const display = useDisplay()
const { room, zoom } = inject(LENS)!
const layer = ref<HTMLElement>()
watchEffect(
  () => {
    if (layer.value) {
      layer.value.style.transform = `translateZ(0) scaleX(${zoom.value})`
    }
  },
  { flush: 'post' },
)
</script>

<template>
  <div ref="layer" class="layer" data-test="plain-wires" :style="{ width: `${room}px` }">
    <div
      v-for="{ key, top, height, lane } in wires"
      :key="key"
      v-memo="[top, height, lane, far]"
      class="wire"
      :style="{
        top: `${top}px`,
        height: `${height}px`,
        backgroundImage: pictureOf(lane, far, (zone) => display.zoneColour(zone)),
      }"
    />
  </div>
</template>

<style scoped>
.layer {
  position: absolute;
  top: 0;
  left: var(--label);
  height: 0;
  transform-origin: 0 0;
  pointer-events: none;
}
.wire {
  position: absolute;
  left: 0;
  width: 100%;
  background-clip: content-box;
  padding: 6px 0;
}
</style>
