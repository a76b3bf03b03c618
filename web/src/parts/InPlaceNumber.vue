<script setup lang="ts">
import { ref, watch } from 'vue'
import { onRefusal } from './refusals'

/** A number that is edited where it stands. An empty field gives undefined where that is allowed. */
const props = defineProps<{
  value?: number
  label: string
  least: number
  most: number
  /** Shown where there is no value; then the field may be emptied. */
  none?: string
  step?: number
}>()
const emit = defineEmits<{
  change: [value: number | undefined]
  /** While it is typed, where it is allowed; undefined when that is over. */
  typing: [value: number | undefined]
}>()

const text = ref('')
const field = ref<HTMLInputElement>()
/** What was asked for last, until it is answered: Enter and then leaving the field ask once. */
let asked: number | undefined | null = null
function reset() {
  asked = null
  text.value = props.value === undefined ? '' : String(props.value)
}
watch(() => props.value, reset, { immediate: true })
onRefusal(() => asked !== null && reset())

function commit() {
  const typed = text.value.trim()
  const number = Number(typed)
  if (typed === '' && props.none !== undefined) {
    ask(undefined)
    return
  }
  if (typed === '' || !allowed(number)) {
    field.value?.setCustomValidity(
      `${typed || 'Nothing'}: allowed is ${props.least} to ${props.most}`,
    )
    field.value?.reportValidity()
    return
  }
  field.value?.setCustomValidity('')
  ask(number)
}
function ask(wanted: number | undefined) {
  if (wanted !== props.value && wanted !== asked) {
    asked = wanted
    emit('change', wanted)
  }
}
function allowed(number: number): boolean {
  const whole = props.step !== undefined || Number.isInteger(number)
  return whole && number >= props.least && number <= props.most
}
function typing() {
  asked = null
  field.value?.setCustomValidity('')
  const number = Number(text.value)
  emit('typing', text.value.trim() && allowed(number) ? number : undefined)
}
function leave() {
  emit('typing', undefined)
  commit()
}
function cancel() {
  reset()
  field.value?.setCustomValidity('')
  field.value?.blur()
}
</script>

<template>
  <input
    ref="field"
    v-model="text"
    class="number mono"
    inputmode="decimal"
    :placeholder="none"
    :aria-label="label"
    :title="`${label}: ${least} to ${most}`"
    :style="{ width: `${Math.max(2, (text || none || '').length) + 1}ch` }"
    @keydown.enter.stop.prevent="commit"
    @keydown.esc.stop="cancel"
    @input="typing"
    @blur="leave"
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
