<script setup lang="ts">
import { computed } from 'vue'
import type { SheetCell } from '../../api/types'

/** One value of the sheet: a click copies it; typed by hand it is ticked, and read back beside it. */
const props = defineProps<{
  cell: SheetCell
  /** What a start is asked by, why it is what it is. */
  why?: string
  /** Whether somebody types them in. */
  byHand: boolean
  ticked: boolean
  shown?: string
  differs: boolean
}>()
const emit = defineEmits<{
  copy: []
  tick: [on: boolean]
  read: [text: string]
  paste: [text: string]
}>()
const fixed = computed(() => props.cell.key === 'model')
</script>

<template>
  <span class="cell" :class="{ ticked: ticked && byHand, differs }" :data-cell="cell.key">
    <span class="label" :data-why="why">{{ cell.label }}</span>
    <button type="button" class="mono value" :title="`Copy ${cell.value}`" @click="emit('copy')">
      {{ cell.value }}
    </button>
    <template v-if="byHand && !fixed">
      <input
        type="checkbox"
        :checked="ticked"
        :aria-label="`${cell.label} ${cell.value} is typed in`"
        @change="emit('tick', ($event.target as HTMLInputElement).checked)"
      />
      <input
        class="mono shows"
        :value="shown"
        :aria-label="`What the device shows for ${cell.label}`"
        placeholder="shows"
        @change="emit('read', ($event.target as HTMLInputElement).value)"
        @paste.prevent="emit('paste', $event.clipboardData?.getData('text') ?? '')"
      />
    </template>
  </span>
</template>

<style scoped>
.cell {
  display: inline-grid;
  grid-template-columns: auto auto;
  align-items: center;
  column-gap: 6px;
}
.label {
  grid-column: 1 / -1;
  font-size: 11px;
  line-height: 13px;
  color: var(--quiet);
}
.value {
  font-size: 14px;
  font-weight: 500;
  text-align: left;
  white-space: nowrap;
}
.value:hover {
  color: var(--copper);
}
.ticked .value {
  color: rgb(var(--v-theme-success));
}
input[type='checkbox'] {
  accent-color: var(--copper);
}
.shows {
  grid-column: 1 / -1;
  width: 84px;
  border-bottom: 1px solid var(--line-strong);
  font-size: 12.5px;
}
.differs .shows {
  color: rgb(var(--v-theme-error));
  border-bottom: 2px solid rgb(var(--v-theme-error));
}
</style>
