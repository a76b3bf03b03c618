<script setup lang="ts">
import { ref, watch } from 'vue'
import { onRefusal } from './refusals'

/** A text that is edited where it stands: Enter or leaving takes it, Escape gives it back. */
const props = defineProps<{
  value: string
  label: string
  /** Shown where there is none; then the field may be emptied. */
  none?: string
  most?: number
  /** What the text has to look like, and how that is told. */
  pattern?: RegExp
  told?: string
}>()
const emit = defineEmits<{ change: [value: string] }>()

const text = ref('')
const field = ref<HTMLInputElement>()
/** What was asked for last, until it is answered: Enter and then leaving the field ask once. */
let asked: string | undefined
function reset() {
  asked = undefined
  text.value = props.value
}
watch(() => props.value, reset, { immediate: true })
onRefusal(() => asked !== undefined && reset())

function complaint(typed: string): string {
  if (typed === '') {
    return props.none === undefined ? `Nothing: ${props.told ?? 'write a name'}` : ''
  }
  return props.pattern && !props.pattern.test(typed) ? `${typed}: ${props.told}` : ''
}
function commit() {
  const typed = text.value.trim()
  const wrong = complaint(typed)
  field.value?.setCustomValidity(wrong)
  if (wrong) {
    field.value?.reportValidity()
  } else if (typed !== props.value && typed !== asked) {
    asked = typed
    emit('change', typed)
  }
}
function typing() {
  asked = undefined
  field.value?.setCustomValidity('')
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
    class="text"
    :maxlength="most ?? 80"
    :placeholder="none"
    :aria-label="label"
    :title="label"
    :style="{ width: `${Math.max(2, (text || none || '').length) + 0.6}ch` }"
    @keydown.enter.stop.prevent="commit"
    @keydown.esc.stop="cancel"
    @input="typing"
    @blur="commit"
  />
</template>

<style scoped>
.text {
  border-bottom: 1px dashed transparent;
  min-width: 0;
  max-width: 100%;
  background: transparent;
}
.text:hover,
.text:focus {
  border-bottom-color: var(--copper);
}
.text::placeholder {
  color: var(--quiet);
  opacity: 1;
}
</style>
