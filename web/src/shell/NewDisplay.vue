<script setup lang="ts">
import { computed, ref } from 'vue'
import { useDisplay } from '../state/display'
import DisplayFileInput from './DisplayFileInput.vue'

/** A display begins from nothing, as a copy of last year's, from a file, or as the demo. */
const emit = defineEmits<{ done: [] }>()

const display = useDisplay()
const name = ref('')
const copyOf = ref('')
/** Whether it is the next year's: what is there now stays behind as a milestone. */
const nextYear = ref(false)
const file = ref<InstanceType<typeof DisplayFileInput>>()
const suggestion = computed(() => {
  const source = display.list.find((one) => one.id === copyOf.value)
  return source ? `${source.name.replace(/ \d{4}$/, '')} ${new Date().getFullYear() + 1}` : ''
})
const given = computed(() => name.value.trim() || suggestion.value)

async function start() {
  if (given.value) {
    emit('done')
    await display.create(given.value, copyOf.value || undefined, nextYear.value)
  }
}
function demo() {
  emit('done')
  void display.addDemo()
}
</script>

<template>
  <form class="new" @submit.prevent="start">
    <v-text-field
      v-model="name"
      label="Name of the display"
      :placeholder="suggestion"
      :persistent-placeholder="suggestion !== ''"
      maxlength="80"
      autofocus
    />
    <label v-if="display.list.length" class="from">
      begins
      <select v-model="copyOf" aria-label="What it begins as" data-test="copy-of">
        <option value="">empty</option>
        <option v-for="one in display.list" :key="one.id" :value="one.id">
          as a copy of {{ one.name }}
        </option>
      </select>
    </label>
    <label v-if="copyOf" class="from">
      <input v-model="nextYear" type="checkbox" data-test="next-year" />
      next year's: nothing of it is given yet, and how it was stays behind as a milestone
    </label>
    <div class="acts">
      <v-btn type="submit" color="primary" variant="flat" :disabled="!given">Start</v-btn>
      <v-btn @click="file?.choose()">Open a file…</v-btn>
      <v-btn @click="demo">Look at the demo</v-btn>
    </div>
    <DisplayFileInput ref="file" @chosen="emit('done')" />
  </form>
</template>

<style scoped>
.new {
  display: grid;
  gap: 14px;
}
.from select {
  border-bottom: 1px dashed var(--copper);
}
.from option {
  color: rgb(var(--v-theme-on-surface));
  background: rgb(var(--v-theme-surface));
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
