<script setup lang="ts">
import type { Preview } from '../api/types'
import { outcome } from './previewWords'

/** What an edit would do, before it is made: applied or left. */
defineProps<{ preview?: Preview; refused?: string }>()
const emit = defineEmits<{ apply: []; leave: [] }>()
</script>

<template>
  <div class="trial" role="group" aria-label="What this would do" data-test="trial">
    <template v-if="refused">
      <strong>This cannot be done</strong>
      <p>{{ refused }}</p>
    </template>
    <template v-else-if="preview">
      <strong>{{ preview.label }}</strong>
      <ul>
        <li v-for="line in outcome(preview)" :key="line">{{ line }}</li>
      </ul>
    </template>
    <p v-else class="quiet">Working out what this would do …</p>
    <div class="acts">
      <v-btn
        v-if="preview"
        size="small"
        color="primary"
        variant="flat"
        data-test="apply"
        @click="emit('apply')"
        >Apply</v-btn
      >
      <v-btn size="small" @click="emit('leave')">Leave it</v-btn>
    </div>
  </div>
</template>

<style scoped>
.trial {
  border-left: 4px solid var(--copper);
  background: color-mix(in srgb, var(--copper) 10%, rgb(var(--v-theme-surface)));
  padding: 8px 14px;
  font-size: 13px;
  display: grid;
  gap: 4px;
}
ul {
  list-style: none;
}
.acts {
  display: flex;
  gap: 8px;
}
</style>
