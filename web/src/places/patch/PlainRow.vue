<script setup lang="ts">
import { computed } from 'vue'
import { portKey } from '../../state/display'
import { shortened, summed } from '../../ribbon/labels'
import type { Row } from './rows'

/** So much is told of what hangs there, in the room that meters have otherwise (letters). */
const TOLD = 38

/**
 * A row that passes too fast to be read closely: what it is and what hangs there, which is drawn
 * in PlainWires.
 */
const props = defineProps<{
  row: Row
  /** Whether there is no room beside the wire. */
  narrow: boolean
}>()

const lane = computed(() => (props.row.kind === 'lane' ? props.row.lane : undefined))
const told = computed(() => {
  const { tag, name } = props.row.view.controller
  return lane.value?.written ?? (props.row.kind === 'head' ? `${tag} ${name}` : '')
})
const hanging = computed(() => {
  const titles = props.narrow ? [] : (lane.value?.legs.map((leg) => leg.title) ?? [])
  return shortened(summed(titles), TOLD, [])
})
</script>

<template>
  <div class="plain" :class="row.kind" :data-lane="lane && portKey(lane.port)">
    <span class="told mono">{{ told }}</span>
    <div v-if="lane" class="wirebox" data-wire />
    <span v-if="hanging" class="hanging">{{ hanging }}</span>
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
.hanging {
  flex: none;
  width: var(--meters);
  padding: 0 16px 0 12px;
  font-size: 11.5px;
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
