<script setup lang="ts">
import { onScopeDispose, watch } from 'vue'
import { useDisplay } from '../state/display'

/** A line of its own at the foot of the window: it says what an edit did and covers nothing. */
const PATIENCE = 12_000

const display = useDisplay()
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
  <footer class="said" :class="{ silent: !display.said }">
    <span role="status" data-test="said">{{ display.said?.text }}</span>
    <button v-if="display.said?.canUndo" type="button" class="undo" @click="display.undo()">
      Undo
    </button>
  </footer>
</template>

<style scoped>
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
.silent {
  height: 0;
  border-top: none;
}
.undo {
  color: var(--copper);
  font-weight: 500;
}
</style>
