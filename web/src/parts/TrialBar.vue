<script setup lang="ts">
import { computed } from 'vue'
import type { Preview } from '../api/types'
import { counted } from './words'

/** What an edit would do, before it is made: applied or left. */
const props = defineProps<{ preview?: Preview; refused?: string }>()
const emit = defineEmits<{ apply: []; leave: [] }>()

const MOST = 4
function named(names: string[]): string {
  const more = names.length > MOST ? ` and ${names.length - MOST} more` : ''
  return names.slice(0, MOST).join(', ') + more
}
const lines = computed(() => {
  const { moved, unpatched, found, cleared, lanes, stale, still } = props.preview!
  const told = moved ? [moved] : ['no address moves']
  if (still?.movesWithout) {
    told.push(
      `keeping still: ${counted(still.movesWith, 'channel')} of others ${still.movesWith === 1 ? 'moves' : 'move'} instead of ${still.movesWithout.toLocaleString('en')}`,
    )
  }
  if (lanes.length) {
    told.push(`changes ${named(lanes.map((lane) => lane.written))}`)
  }
  if (stale.length) {
    told.push(`${named(stale)} would want the configuration anew`)
  }
  if (unpatched.length) {
    told.push(`${counted(unpatched.length, 'piece')} back to the tray: ${named(unpatched)}`)
  }
  found.slice(0, MOST).forEach((finding) => told.push(`▲ ${finding.message}`))
  if (found.length > MOST) {
    told.push(`▲ and ${found.length - MOST} more findings`)
  }
  if (cleared.length) {
    told.push(`clears ${counted(cleared.length, 'finding')}`)
  }
  return told
})
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
        <li v-for="line in lines" :key="line">{{ line }}</li>
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
