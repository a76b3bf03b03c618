<script setup lang="ts">
import { computed } from 'vue'
import { portKey } from '../../state/display'
import type { Row } from './rows'

/** A row that passes faster than anybody reads: what it is. What hangs there is in PlainWires. */
const props = defineProps<{ row: Row }>()

const lane = computed(() => (props.row.kind === 'lane' ? props.row.lane : undefined))
const told = computed(() => {
  const { tag, name } = props.row.view.controller
  return lane.value?.written ?? (props.row.kind === 'head' ? `${tag} ${name}` : '')
})
</script>

<template>
  <div class="plain" :class="row.kind" :data-lane="lane && portKey(lane.port)">
    <span class="told mono">{{ told }}</span>
    <div v-if="lane" class="wirebox" data-wire />
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
  width: var(--label);
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
  height: 100%;
}
</style>
