<script setup lang="ts">
import type { StringAt } from './types'
import { ago, titleOf } from './waiting'
import { moveOf, there } from './known'

/** Where a string is, in words: its stage, its trouble, whether it was moved. */
defineProps<{ string: StringAt; short?: boolean }>()
</script>

<template>
  <span class="state" :data-stage="string.stage">
    <span v-if="string.trouble" class="wrong"
      >▲ {{ string.trouble.reason }} ({{ string.trouble.urgency.toLowerCase() }})</span
    >
    <span v-if="string.elsewhere" class="wrong">▲ is plugged in elsewhere</span>
    <span v-if="string.stage !== 'PLANNED'"
      >{{ titleOf(string.stage) }}<template v-if="string.by && !short">, {{ string.by }}</template
      ><template v-if="string.since && !short">, {{ ago(string.since, there()) }}</template></span
    >
    <span v-if="moveOf.get(string.piece)" class="moved" :data-moved="string.piece"
      >moved from {{ moveOf.get(string.piece)!.from ?? 'nowhere' }} to
      {{ moveOf.get(string.piece)!.to ?? 'nowhere' }}
      {{ ago(moveOf.get(string.piece)!.at, there()) }}</span
    >
    <span v-if="string.note && !short" class="quiet"
      >note: {{ string.note.text || 'a photo' }}</span
    >
  </span>
</template>

<style scoped>
.state > * {
  display: block;
  font-size: 15px;
}
.moved {
  font-weight: 700;
  text-decoration: underline double;
  text-underline-offset: 3px;
}
</style>
