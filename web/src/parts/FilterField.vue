<script setup lang="ts">
import { mdiFilterVariant } from '@mdi/js'

/** Narrows a list down while one types. */
const text = defineModel<string>({ required: true })
defineProps<{ label: string; shown: number; all: number }>()
</script>

<template>
  <div class="filter">
    <v-text-field
      v-model="text"
      :aria-label="label"
      :placeholder="label"
      :prepend-inner-icon="mdiFilterVariant"
      clearable
      data-test="filter"
      @keydown.esc.stop="text = ''"
    />
    <span v-if="text" class="quiet count" role="status">{{ shown }} of {{ all }}</span>
  </div>
</template>

<style scoped>
.filter {
  display: flex;
  align-items: center;
  gap: 10px;
  width: 290px;
}
.count {
  white-space: nowrap;
  font-size: 12.5px;
}
</style>
