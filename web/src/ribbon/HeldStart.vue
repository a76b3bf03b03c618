<script setup lang="ts">
import type { Section, SectionView } from '../api/types'
import InPlaceText from '../parts/InPlaceText.vue'
import { holdOf, START, START_TOLD } from './hold'

/** Where a circuit or a wall stands: a start that is typed is held there until it is let go. */
defineProps<{ at?: SectionView; hold?: Section['hold'] }>()
const emit = defineEmits<{ hold: [at: Section['hold'] | null] }>()
</script>

<template>
  <span v-if="at?.start" class="mono">
    <InPlaceText
      :value="at.start"
      label="Start; a typed one is held there"
      :pattern="START"
      :told="START_TOLD"
      @change="(typed) => emit('hold', holdOf(typed))"
    />
    – {{ at.end }}
    <button v-if="hold" type="button" class="held" @click="emit('hold', null)">
      held: let it go
    </button>
  </span>
</template>

<style scoped>
.held {
  color: var(--copper);
  font-size: 12px;
}
.held:hover {
  text-decoration: underline;
}
</style>
