<script setup lang="ts">
import { computed } from 'vue'
import { useHandover } from '../state/handover'
import { STATES } from '../parts/handoverWords'

/** How a device stands to the plan: sign and word. Silent until the season has begun. */
const props = defineProps<{
  /** The id of the controller. */
  controller: string
  /** Whether it is shown before anything was given, too. */
  always?: boolean
  /** Whether only what asks for something is shown. */
  onlyOpen?: boolean
}>()

const handover = useHandover()
const state = computed(() => handover.states.get(props.controller)?.state)
const words = computed(() => state.value && STATES[state.value])
const shown = computed(
  () =>
    words.value && (props.always || handover.begun) && !(props.onlyOpen && state.value === 'GIVEN'),
)
</script>

<template>
  <span v-if="shown" class="mark" :class="words!.tone" :data-state="state">
    <span aria-hidden="true">{{ words!.sign }}</span> {{ words!.word }}
  </span>
</template>

<style scoped>
.mark {
  font-size: 12px;
  white-space: nowrap;
}
.good {
  color: rgb(var(--v-theme-success));
}
.quiet {
  color: var(--quiet);
}
.warn {
  color: rgb(var(--v-theme-warning));
}
.bad {
  color: rgb(var(--v-theme-error));
}
</style>
