<script setup lang="ts">
/** One of several, chosen where it stands. */
const props = defineProps<{
  value?: string
  label: string
  choices: { value: string; title: string }[]
  /** Shown and chosen where there is none. */
  none?: string
}>()
const emit = defineEmits<{ change: [value: string | undefined] }>()

function choose(event: Event) {
  const field = event.target as HTMLSelectElement
  emit('change', field.value || undefined)
  // what is shown is what is; it follows when the change has been made
  field.value = props.value ?? ''
}
</script>

<template>
  <select class="choice" :aria-label="label" :title="label" :value="value ?? ''" @change="choose">
    <option v-if="none !== undefined || value === undefined" value="">{{ none ?? '' }}</option>
    <option v-for="one in choices" :key="one.value" :value="one.value">{{ one.title }}</option>
  </select>
</template>

<style scoped>
.choice {
  border-bottom: 1px dashed var(--copper);
  max-width: min(100%, 26ch);
  text-overflow: ellipsis;
  cursor: pointer;
}
.choice option {
  color: rgb(var(--v-theme-on-surface));
  background: rgb(var(--v-theme-surface));
}
</style>
