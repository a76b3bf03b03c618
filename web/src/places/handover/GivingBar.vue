<script setup lang="ts">
import { computed } from 'vue'
import type { GivingStep } from '../../api/types'
import { PROGRESS } from '../../parts/handoverWords'
import { counted } from '../../parts/words'
import { useHandover } from '../../state/handover'

/** How a giving goes, what it asks, and how it ended. */
const emit = defineEmits<{ open: [controller: string] }>()

const handover = useHandover()
const run = computed(() => handover.now?.giving)
const done = computed(
  () => run.value?.steps.filter((step) => !['WAITING', 'WORKING'].includes(step.progress)) ?? [],
)
const percent = computed(() =>
  run.value?.steps.length ? (100 * done.value.length) / run.value.steps.length : 0,
)
const GOOD = ['GIVEN', 'UNCHANGED']
/** What did not go well, or waits for an answer. */
const asks = computed(
  () => run.value?.steps.filter((step) => step.why || !GOOD.includes(step.progress)) ?? [],
)
const told = computed(() => {
  const count = (...what: GivingStep['progress'][]) =>
    run.value?.steps.filter((step) => what.includes(step.progress)).length ?? 0
  const given = count('GIVEN')
  const same = count('UNCHANGED')
  return [
    given && `${given} given`,
    same && `${same} had it already`,
    asks.value.length && `${asks.value.length} to look at`,
  ]
    .filter(Boolean)
    .join(', ')
})

const again = (step: GivingStep, more: object) =>
  void handover.give({ which: 'CHOSEN', controllers: [step.controller], ...more })
</script>

<template>
  <section v-if="run" class="giving" aria-label="Giving" data-test="giving">
    <div v-if="run.running" class="going">
      <v-progress-linear
        :model-value="percent"
        color="primary"
        height="6"
        aria-label="Devices done"
      />
      <span class="mono">{{ done.length }} / {{ run.steps.length }}</span>
      <v-btn size="small" data-test="stop-giving" @click="handover.stop()">Stop</v-btn>
    </div>
    <p v-else-if="run.failed" class="bad" role="alert">It could not be done: {{ run.failed }}.</p>
    <p v-else role="status">
      {{ run.readBack ? 'Read back' : 'Given' }}: {{ told || counted(0, 'device') }}.
    </p>
    <ul v-if="!run.running && asks.length">
      <li v-for="step in asks" :key="step.controller" :class="PROGRESS[step.progress].tone">
        <button type="button" @click="emit('open', step.controller)">
          <strong>{{ step.tag }}</strong> {{ PROGRESS[step.progress].sign }}
          {{ PROGRESS[step.progress].word }}
        </button>
        <span class="why">{{ step.why }}</span>
        <v-btn
          v-if="step.progress === 'HAS_FAULTS'"
          size="small"
          :data-test="`seen-${step.tag}`"
          @click="again(step, { faultsSeen: [step.controller] })"
          >Seen: give all the same</v-btn
        >
        <v-btn
          v-else-if="step.progress === 'OTHER_UNIT'"
          size="small"
          :data-test="`replaces-${step.tag}`"
          @click="again(step, { replaced: [step.controller], faultsSeen: [step.controller] })"
          >It replaces {{ step.tag }}: give it</v-btn
        >
        <v-btn
          v-else-if="step.progress === 'LOST' || step.progress === 'FAILED'"
          size="small"
          @click="again(step, { readBack: true })"
          >Read it back</v-btn
        >
        <v-btn
          v-else-if="step.progress !== 'UNCHANGED'"
          size="small"
          @click="again(step, { faultsSeen: [step.controller] })"
          >Try again</v-btn
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.giving {
  border: 1px solid var(--line);
  background: rgb(var(--v-theme-surface));
  padding: 8px 14px;
  margin-bottom: 12px;
  font-size: 13px;
}
.going {
  display: flex;
  align-items: center;
  gap: 12px;
}
ul {
  list-style: none;
  margin-top: 4px;
}
li {
  display: grid;
  grid-template-columns: 190px 1fr auto;
  align-items: center;
  gap: 10px;
  padding: 2px 0;
}
li button {
  text-align: left;
}
.why {
  color: var(--quiet);
}
.warn > button:first-child {
  color: rgb(var(--v-theme-warning));
}
.bad > button:first-child,
p.bad {
  color: rgb(var(--v-theme-error));
}
@media (width < 700px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
