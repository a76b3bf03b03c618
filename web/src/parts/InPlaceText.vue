<script setup lang="ts">
import { ref } from 'vue'
import { useTyped } from './useTyped'

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
  /** Whether what is typed is no edit of the plan. */
  local?: boolean
}>()
const emit = defineEmits<{ change: [value: string] }>()

const field = ref<HTMLInputElement>()
const { text, onInput, cancel, enter, leave } = useTyped(field, {
  shown: () => props.value,
  label: () => props.label,
  complaint(typed) {
    if (typed === '') {
      return props.none === undefined ? `Nothing: ${props.told ?? 'write a name'}` : ''
    }
    return props.pattern && !props.pattern.test(typed) ? `${typed}: ${props.told}` : ''
  },
  ask: (typed) => emit('change', typed),
  local: props.local,
})
</script>

<template>
  <input
    ref="field"
    :value="text"
    class="text"
    :maxlength="most ?? 80"
    :placeholder="none"
    :aria-label="label"
    :title="label"
    :style="{ width: `${Math.max(2, (text || none || '').length) + 0.6}ch` }"
    @keydown.enter.stop.prevent="enter"
    @keydown.esc.stop="cancel"
    @input="onInput(($event.target as HTMLInputElement).value)"
    @blur="leave"
    @dblclick.stop
  />
</template>

<style scoped>
.text {
  border-bottom: 1px dashed transparent;
  min-width: 0;
  max-width: 100%;
  background: transparent;
  text-overflow: ellipsis;
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
