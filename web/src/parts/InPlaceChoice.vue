<script setup lang="ts">
import { computed, ref } from 'vue'
import { listed, type Choice } from './listed'

/** One of several, chosen where it stands. */
const props = withDefaults(
  defineProps<{
    value?: string
    label: string
    /** A function where it costs something to know them: it is asked once somebody comes near. */
    choices: Choice[] | (() => Choice[])
    /** Shown and chosen where there is none. */
    none?: string
    /** More than these are listed only once somebody comes near. */
    many?: number
  }>(),
  { value: undefined, none: undefined, many: 24 },
)
/** Whether the pointer or the keyboard is here, or was. */
const near = ref(false)
const options = computed(() => listed(props.choices, props.value, near.value, props.many))
const emit = defineEmits<{ change: [value: string | undefined] }>()

function choose(event: Event) {
  const field = event.target as HTMLSelectElement
  emit('change', field.value || undefined)
  // what is shown is what is; it follows when the change has been made
  field.value = props.value ?? ''
}
</script>

<template>
  <select
    class="choice"
    :aria-label="label"
    :title="label"
    :value="value ?? ''"
    @focus="near = true"
    @pointerenter="near = true"
    @pointerdown="near = true"
    @change="choose"
  >
    <option v-if="none !== undefined || value === undefined" value="">{{ none ?? '' }}</option>
    <option v-for="one in options" :key="one.value" :value="one.value">{{ one.title }}</option>
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
