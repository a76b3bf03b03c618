<script setup lang="ts">
import { computed } from 'vue'
import { pictureOf } from '../../ribbon/plainBlocks'
import { portKey, useDisplay } from '../../state/display'
import type { Row } from './rows'

/** A row that passes faster than anybody reads: what it is, and where something hangs. */
const props = defineProps<{
  row: Row
  /** The farthest pixel of all lanes, which is drawn --wire px from the first. */
  far: number
}>()

const display = useDisplay()
const lane = computed(() => (props.row.kind === 'lane' ? props.row.lane : undefined))
const told = computed(() => {
  const { tag, name } = props.row.view.controller
  return lane.value?.written ?? (props.row.kind === 'head' ? `${tag} ${name}` : '')
})
const picture = computed(() =>
  lane.value ? pictureOf(lane.value, props.far, (zone) => display.zoneColour(zone)) : '',
)
</script>

<template>
  <div class="plain" :class="row.kind" :data-lane="lane && portKey(lane.port)">
    <span class="told mono">{{ told }}</span>
    <div v-if="lane" class="wirebox" data-wire :style="{ backgroundImage: picture }" />
  </div>
</template>

<style scoped>
.plain {
  height: 100%;
  display: flex;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.told {
  flex: none;
  width: 86px;
  padding-left: 16px;
  font-size: 12.5px;
  white-space: nowrap;
}
.head .told {
  width: auto;
  font-weight: 500;
}
.wirebox {
  flex: 1;
  height: calc(100% - 12px);
  background-repeat: no-repeat;
  background-size: var(--wire) 100%;
}
</style>
