<script setup lang="ts">
import { mdiHistory } from '@mdi/js'
import { ref, watch } from 'vue'
import { api } from '../api/client'
import type { HistoryView } from '../api/types'
import { useDisplay } from '../state/display'

/** Every step that undo and redo walk over, as a list: a click goes back, or forth, to right after it. */
const display = useDisplay()
const open = ref(false)
const history = ref<HistoryView>()
const walking = ref(false)

async function look() {
  const id = display.view!.id
  history.value = await display.attempt(() => api.history(id))
}
watch([open, () => display.view?.version], () => open.value && !walking.value && void look())

/** So many steps, one after another; each is a step that others may have made meanwhile. */
async function walk(steps: number, way: 'undo' | 'redo') {
  walking.value = true
  for (let i = 0; i < steps && display.view!.undo[way]; i++) {
    await display[way]()
  }
  walking.value = false
  await look()
}
const when = (at: string) =>
  new Date(at).toLocaleTimeString('en', { hour: '2-digit', minute: '2-digit', hour12: false })
</script>

<template>
  <v-menu v-model="open" :close-on-content-click="false" location="bottom end">
    <template #activator="{ props }">
      <v-btn
        v-bind="props"
        :icon="mdiHistory"
        size="small"
        variant="text"
        class="opens"
        :disabled="!display.view?.undo.undo && !display.view?.undo.redo"
        aria-label="Steps to walk back and forth over"
        title="Steps to walk back and forth over"
        data-test="history"
      />
    </template>
    <div class="steps" data-test="history-list">
      <ol v-if="history" :aria-busy="walking">
        <li v-for="(step, i) in [...history.redo].reverse()" :key="`redo ${i}`">
          <button type="button" class="ahead" @click="walk(history.redo.length - i, 'redo')">
            <span class="mono quiet">{{ when(step.at) }}</span> {{ step.label }}
            <span v-if="step.by" class="quiet">{{ step.by }}</span>
          </button>
        </li>
        <li class="here" aria-current="step">as it is now</li>
        <li v-for="(step, i) in history.undo" :key="`undo ${i}`">
          <button type="button" :title="`Back to before it`" @click="walk(i + 1, 'undo')">
            <span class="mono quiet">{{ when(step.at) }}</span> {{ step.label }}
            <span v-if="step.by" class="quiet">{{ step.by }}</span>
          </button>
        </li>
      </ol>
      <p class="quiet">A step below is taken back with all after it; one above is made again.</p>
    </div>
  </v-menu>
</template>

<style scoped>
.steps {
  width: 380px;
  max-width: 95vw;
  max-height: 70vh;
  overflow: auto;
  padding: 8px;
  font-size: 13px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: rgb(var(--v-theme-surface));
}
ol {
  list-style: none;
}
.steps button {
  width: 100%;
  padding: 4px 8px;
  text-align: left;
  border-radius: 3px;
}
.steps button:hover {
  background: color-mix(in srgb, var(--copper) 14%, transparent);
}
.steps .ahead {
  color: var(--quiet);
}
.here {
  padding: 4px 8px;
  font-weight: 600;
  border-left: 3px solid var(--copper);
}
p {
  padding: 6px 8px 2px;
}
/* under a thumb undo and redo are enough */
@media (width < 700px) {
  .opens {
    display: none;
  }
}
</style>
