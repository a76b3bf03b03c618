<script setup lang="ts">
import { computed } from 'vue'
import type { HandoverEntry, GivingStep } from '../../api/types'
import { PROGRESS } from '../../parts/handoverWords'
import NearOnly from '../../parts/NearOnly.vue'
import StateMark from '../../shell/StateMark.vue'
import { useHandover } from '../../state/handover'

/** Controllers in list order, each with how it stands; the boxes choose several. */
const props = defineProps<{ entries: HandoverEntry[]; open?: string }>()
const emit = defineEmits<{ open: [controller: string] }>()
const chosen = defineModel<string[]>('chosen', { required: true })

/** So many at most are all drawn; as high as most are (px). */
const SHORT = 40
const ROW = 31
const handover = useHandover()
const steps = computed(
  () =>
    new Map<string, GivingStep>(
      handover.running ? handover.now!.giving!.steps.map((step) => [step.controller, step]) : [],
    ),
)
function choose(controller: string, on: boolean) {
  chosen.value = props.entries
    .map((entry) => entry.state.controller)
    .filter((id) => (id === controller ? on : chosen.value.includes(id)))
}
</script>

<template>
  <ul class="devices" aria-label="Controllers to hand over">
    <NearOnly
      v-for="entry in entries"
      :key="entry.state.controller"
      as="li"
      :height="ROW"
      :always="entries.length <= SHORT"
      :class="{ open: entry.state.controller === open }"
      :data-row="entry.state.controller"
    >
      <input
        type="checkbox"
        :checked="chosen.includes(entry.state.controller)"
        :aria-label="`Choose ${entry.state.tag}`"
        @change="choose(entry.state.controller, ($event.target as HTMLInputElement).checked)"
      />
      <button
        type="button"
        :aria-current="entry.state.controller === open ? 'true' : undefined"
        @click="emit('open', entry.state.controller)"
      >
        <span class="line">
          <strong>{{ entry.state.tag }}</strong> <span class="name">{{ entry.name }}</span>
          <span v-if="steps.has(entry.state.controller)" class="quiet now">
            {{ PROGRESS[steps.get(entry.state.controller)!.progress].sign }}
            {{ PROGRESS[steps.get(entry.state.controller)!.progress].word }}
          </span>
          <StateMark v-else class="now" :controller="entry.state.controller" always />
        </span>
        <span v-if="entry.state.differs.length" class="differs">{{ entry.state.differs[0] }}</span>
        <span v-if="entry.untold" class="wrong">▲ {{ entry.untold }} cannot be told</span>
      </button>
    </NearOnly>
  </ul>
</template>

<style scoped>
.devices {
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 22px 1fr;
  align-items: start;
  border-left: 3px solid transparent;
  padding-left: 7px;
}
li:hover,
li.open {
  background: rgb(var(--v-theme-surface-variant));
}
li.open {
  border-left-color: var(--copper);
}
input {
  margin-top: 11px;
  accent-color: var(--copper);
}
button {
  display: grid;
  text-align: left;
  padding: 7px 8px 7px 2px;
  font-size: 12.5px;
  line-height: 17px;
  min-width: 0;
}
.line {
  display: flex;
  gap: 5px;
  min-width: 0;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.now {
  margin-left: auto;
}
.differs {
  font-size: 11.5px;
  color: var(--quiet);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.wrong {
  color: rgb(var(--v-theme-error));
}
</style>
