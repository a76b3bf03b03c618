<script setup lang="ts">
import { computed } from 'vue'

const props = defineProps<{
  /** The number as text, with its unit. */
  text: string
  /** Share of what is allowed; 1 is all of it. */
  share: number
  /** What it is, for people who hear it. */
  label: string
  /** A second mark on the meter, such as at full brightness; a share too. */
  mark?: number
  /** What the number is asked by. */
  why?: string
}>()

const state = computed(() => (props.share > 1 ? 'over' : props.share > 0.9 ? 'near' : 'fine'))
const percent = (share: number) => `${Math.min(100, Math.max(0, share * 100))}%`
/** What is filled, under the second mark: no elements of their own, a table has hundreds. */
const track = computed(() => {
  const filled = `${percent(props.share)} 100%`
  return props.mark === undefined
    ? `background-image: var(--filled); background-size: ${filled}`
    : `background-image: var(--marked), var(--filled); background-size: 2px 100%, ${filled};` +
        ` background-position: ${percent(props.mark)} 0, 0 0`
})
</script>

<template>
  <div
    class="meter"
    :class="state"
    :title="label"
    role="meter"
    :aria-label="label"
    aria-valuemin="0"
    aria-valuemax="100"
    :aria-valuenow="Math.min(100, Math.round(share * 100))"
    :aria-valuetext="text"
  >
    <span class="mono number" :data-why="why"
      ><span v-if="state === 'over'" aria-hidden="true">▲ </span>{{ text }}</span
    >
    <div class="track" :style="track" />
  </div>
</template>

<style scoped>
.meter {
  display: grid;
  gap: 3px;
  align-content: center;
}
.number {
  font-size: 11.5px;
  white-space: nowrap;
}
/* without variables of its own, as in runRibbon.css: what is filled has the colour of its text */
.track {
  height: 4px;
  border-radius: 2px;
  background: no-repeat var(--line);
  color: rgb(var(--v-theme-success));
}
.meter.near > .track {
  color: rgb(var(--v-theme-warning));
}
.meter.over > .track {
  color: rgb(var(--v-theme-error));
}
.meter.over > .number {
  color: rgb(var(--v-theme-error));
  font-weight: 500;
}
</style>
