<script setup lang="ts">
import { computed, onScopeDispose, watch } from 'vue'
import { useDisplay } from '../state/display'
import { useForecast } from './forecast'

/**
 * A line of its own at the foot of the window: it says what an edit did, and while a value is typed
 * what it would do. It covers nothing.
 */
const PATIENCE = 12_000

const display = useDisplay()
const forecast = useForecast()
const would = computed(() => forecast.told && `Enter would do this: ${forecast.told}`)
let timer: number | undefined

watch(
  () => display.said,
  (said) => {
    window.clearTimeout(timer)
    if (said) {
      timer = window.setTimeout(() => (display.said = undefined), PATIENCE)
    }
  },
)
onScopeDispose(() => window.clearTimeout(timer))
</script>

<template>
  <footer class="said" :class="{ silent: !display.said && !would, would }">
    <span role="status" data-test="said">{{ would || display.said?.text }}</span>
    <button
      v-if="!would && display.said?.canUndo"
      type="button"
      class="undo"
      @click="display.undo()"
    >
      Undo
    </button>
  </footer>
</template>

<style scoped>
.said span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.said {
  flex: none;
  height: 28px;
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 0 16px;
  font-size: 12.5px;
  border-top: 1px solid var(--line);
  background: rgb(var(--v-theme-surface));
}
.would {
  border-top-color: var(--copper);
  background: color-mix(in srgb, var(--copper) 10%, rgb(var(--v-theme-surface)));
}
.silent {
  height: 0;
  border-top: none;
}
.undo {
  color: var(--copper);
  font-weight: 500;
}
</style>
