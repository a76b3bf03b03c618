<script setup lang="ts">
import { ref, watch } from 'vue'
import { api } from '../../api/client'
import type { RescueView } from '../../api/types'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { useHandover } from '../../state/handover'

/** A controller is dead: up to three answers, each with what has to be done and what stays dark. */
const props = defineProps<{ controller: string; tag: string }>()
const emit = defineEmits<{ done: [] }>()

const display = useDisplay()
const handover = useHandover()
const answers = ref<RescueView[]>()
const MOST = 8
/** Where a spare answers that still has its maker's address. */
const at = ref('')
watch(
  [() => props.controller, () => display.view!.version],
  async () => {
    answers.value = undefined
    answers.value = await display.attempt(() => api.rescue(display.view!.id, props.controller))
  },
  { immediate: true },
)

async function take(view: RescueView) {
  if (view.answer.edit) {
    const edit = view.answer.edit
    await display.edit(edit)
  } else {
    await handover.give({
      which: 'CHOSEN',
      controllers: [props.controller],
      replaced: [props.controller],
      faultsSeen: [props.controller],
      ...(at.value.trim() && { at: at.value.trim() }),
    })
  }
  emit('done')
}
const named = (all: string[]) =>
  all.slice(0, MOST).join(', ') + (all.length > MOST ? ` and ${all.length - MOST} more` : '')
</script>

<template>
  <div class="rescue" role="group" :aria-label="`${tag} is dead`" data-test="rescue">
    <strong>{{ tag }} is dead: what now?</strong>
    <p v-if="!answers" class="quiet">Trying what would work …</p>
    <ul v-else>
      <li v-for="view in answers" :key="view.answer.way">
        <div>
          <strong>{{ view.answer.title }}</strong>
          <label v-if="view.answer.way === 'SPARE'"
            >It answers at
            <input
              v-model="at"
              class="mono"
              placeholder="its planned address"
              maxlength="15"
              aria-label="Where the spare answers"
          /></label>
          <p v-if="view.answer.recabled.length">
            Plug {{ counted(view.answer.recabled.length, 'piece') }} elsewhere:
            {{ named(view.answer.recabled.map((one) => `${one.title} ${one.from} → ${one.to}`)) }}
          </p>
          <p v-else>Nothing is plugged elsewhere.</p>
          <p>
            <template v-if="view.answer.senders.length"
              >Tell the senders: {{ named(view.answer.senders) }}</template
            ><template v-else>Senders go on as they are.</template>
          </p>
          <p :class="{ dark: view.answer.dark.length }">
            <template v-if="view.answer.dark.length"
              >Stays dark: {{ named(view.answer.dark.map((one) => one.title)) }}</template
            ><template v-else>✓ Nothing stays dark.</template>
          </p>
        </div>
        <v-btn
          size="small"
          color="primary"
          variant="flat"
          :data-test="`take-${view.answer.way}`"
          @click="take(view)"
          >{{ view.answer.edit ? 'Do this' : 'Give the spare' }}</v-btn
        >
      </li>
    </ul>
    <v-btn size="small" @click="emit('done')">Leave it</v-btn>
  </div>
</template>

<style scoped>
.rescue {
  border-left: 4px solid rgb(var(--v-theme-error));
  background: rgb(var(--v-theme-surface));
  padding: 8px 14px;
  margin-bottom: 12px;
  font-size: 13px;
}
ul {
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 14px;
  align-items: start;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
input {
  border-bottom: 1px solid var(--line-strong);
  width: 170px;
}
.dark {
  color: rgb(var(--v-theme-error));
}
</style>
