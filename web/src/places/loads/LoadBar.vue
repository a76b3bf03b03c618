<script setup lang="ts">
import { computed } from 'vue'
import { useDisplay } from '../../state/display'

/** A load against what is given, to scale: planned filled, at 100 % as a mark, what is planned at most as a line. */
const props = defineProps<{ now: number; full: number; most: number; unit: string; why?: string }>()

const display = useDisplay()
const planned = computed(() => display.view!.power.plannedShare)
const share = computed(() => props.now / props.most)
const state = computed(() => (share.value > 1 ? 'over' : share.value > planned.value ? 'near' : ''))
const digits = computed(() => (props.unit === 'W' ? 0 : 1))
const percent = (part: number) => `${Math.min(100, part * 100)}%`
const told = computed(
  () =>
    `${props.now.toFixed(digits.value)} of ${props.most} ${props.unit} planned, ` +
    `${props.full.toFixed(digits.value)} ${props.unit} at 100 %`,
)
</script>

<template>
  <div class="load" :class="state" :title="told">
    <div
      class="bar"
      role="meter"
      :aria-label="told"
      aria-valuemin="0"
      aria-valuemax="100"
      :aria-valuenow="Math.min(100, Math.round(share * 100))"
    >
      <div class="fill" :style="{ width: percent(share) }" />
      <div class="line" :style="{ left: percent(planned) }" />
      <div class="full" :style="{ left: `calc(${percent(full / most)} - 2px)` }" />
    </div>
    <span class="mono">
      <span :data-why="why">{{ state === 'over' ? '▲ ' : '' }}{{ now.toFixed(digits) }}</span> /
      {{ most }} {{ unit }}<span class="quiet"> · {{ full.toFixed(digits) }} at 100 %</span>
    </span>
  </div>
</template>

<style scoped>
.load {
  display: grid;
  grid-template-columns: minmax(80px, 1fr) 216px;
  gap: 12px;
  align-items: center;
  font-size: 12px;
  white-space: nowrap;
}
.bar {
  position: relative;
  height: 10px;
  background: var(--line);
  border-radius: 2px;
  overflow: hidden;
}
.fill {
  height: 100%;
  background: rgb(var(--v-theme-success));
}
.near .fill {
  background: rgb(var(--v-theme-warning));
}
.over .fill {
  background: rgb(var(--v-theme-error));
}
.over > .mono {
  color: rgb(var(--v-theme-error));
}
.line,
.full {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 1px;
  background: rgb(var(--v-theme-on-surface));
  opacity: 0.5;
}
.full {
  width: 2px;
  opacity: 1;
}
@media (width < 700px) {
  .load {
    grid-template-columns: minmax(0, 1fr);
    gap: 2px;
  }
}
</style>
