<script setup lang="ts">
import { ref } from 'vue'
import { numberComplaint, numberOf } from './number'
import { useTyped } from './useTyped'

/** A number that is edited where it stands. An empty field gives undefined where that is allowed. */
const props = defineProps<{
  value?: number
  label: string
  least: number
  most: number
  /** Shown where there is no value; then the field may be emptied. */
  none?: string
  step?: number
  /** Whether what is typed is no edit of the plan. */
  local?: boolean
}>()
const emit = defineEmits<{
  change: [value: number | undefined]
  /** While it is typed, where it is allowed; undefined when that is over. */
  typing: [value: number | undefined]
}>()

const field = ref<HTMLInputElement>()
function allowed(text: string): boolean {
  const number = numberOf(text)
  const fits = number !== undefined && (props.step !== undefined || Number.isInteger(number))
  return fits && number >= props.least && number <= props.most
}
const typed = useTyped(field, {
  shown: () => (props.value === undefined ? '' : String(props.value)),
  label: () => props.label,
  complaint(text) {
    return (text === '' ? props.none !== undefined : allowed(text))
      ? ''
      : numberComplaint(text, props.least, props.most)
  },
  ask: (text) => emit('change', numberOf(text)),
  local: props.local,
})
const { text, cancel, enter } = typed
function typing(now: string) {
  typed.onInput(now)
  emit('typing', allowed(now) ? numberOf(now) : undefined)
}
function leave() {
  emit('typing', undefined)
  typed.leave()
}
</script>

<template>
  <input
    ref="field"
    :value="text"
    class="number mono"
    inputmode="decimal"
    :placeholder="none"
    :aria-label="label"
    :title="`${label}: ${least} to ${most}`"
    :style="{ width: `${Math.max(2, (text || none || '').length) + 1}ch` }"
    @keydown.enter.stop.prevent="enter"
    @keydown.esc.stop="cancel"
    @input="typing(($event.target as HTMLInputElement).value)"
    @blur="leave"
    @dblclick.stop
  />
</template>

<style scoped>
.number {
  border: none;
  border-bottom: 1px dashed var(--copper);
  text-align: center;
  font-size: inherit;
  padding: 0;
  min-width: 0;
  color: inherit;
  background: transparent;
}
.number::placeholder {
  color: var(--quiet);
  opacity: 1;
}
</style>
