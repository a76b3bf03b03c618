<script setup lang="ts">
import { ref } from 'vue'
import { useDisplay } from '../state/display'

/** Chooses a display file and opens it. */
const emit = defineEmits<{ chosen: [] }>()

const display = useDisplay()
const field = ref<HTMLInputElement>()

function take(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  // the same file may be chosen again after it was mended
  input.value = ''
  if (file) {
    emit('chosen')
    void display.importFile(file)
  }
}
defineExpose({ choose: () => field.value?.click() })
</script>

<template>
  <input ref="field" type="file" accept=".json" hidden aria-label="Display file" @change="take" />
</template>
