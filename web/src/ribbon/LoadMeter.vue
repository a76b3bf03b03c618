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
</script>

<template>
  <div class="meter" :class="state" :title="label">
    <span class="mono number" :data-why="why"
      ><span v-if="state === 'over'" aria-hidden="true">▲ </span>{{ text }}</span
    >
    <div
      class="track"
      role="meter"
      :aria-label="label"
      aria-valuemin="0"
      aria-valuemax="100"
      :aria-valuenow="Math.min(100, Math.round(share * 100))"
      :aria-valuetext="text"
      :style="{ '--share': percent(share) }"
    >
      <div v-if="mark !== undefined" class="mark" :style="{ left: percent(mark) }" />
    </div>
  </div>
</template>

<style scoped>
.meter {
  display: grid;
  gap: 3px;
  align-content: center;
  --fill: rgb(var(--v-theme-success));
}
.number {
  font-size: 11.5px;
  white-space: nowrap;
}
.track {
  position: relative;
  height: 4px;
  border-radius: 2px;
  /* no element of its own: a table has hundreds of these */
  background: linear-gradient(var(--fill) 0 0) 0 0 / var(--share) 100% no-repeat var(--line);
}
.mark {
  position: absolute;
  top: 0;
  width: 2px;
  height: 100%;
  background: rgb(var(--v-theme-on-surface));
}
.meter.near {
  --fill: rgb(var(--v-theme-warning));
}
.meter.over {
  --fill: rgb(var(--v-theme-error));
}
.over .number {
  color: rgb(var(--v-theme-error));
  font-weight: 500;
}
</style>
