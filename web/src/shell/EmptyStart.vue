<script setup lang="ts">
import { ref } from 'vue'
import { useDisplay } from '../state/display'

const display = useDisplay()
const name = ref('')
const file = ref<HTMLInputElement>()

function take(event: Event) {
  const chosen = (event.target as HTMLInputElement).files?.[0]
  if (chosen) {
    void display.importFile(chosen)
  }
}
</script>

<template>
  <section class="empty">
    <h1>No display yet</h1>
    <p class="quiet">Give one a name, or open a display file (*.hamper.json).</p>
    <form class="row" @submit.prevent="name.trim() && display.create(name.trim())">
      <v-text-field v-model="name" label="Name of the display" maxlength="80" />
      <v-btn type="submit" color="primary" variant="flat" :disabled="!name.trim()">Start</v-btn>
      <v-btn @click="file?.click()">Open a file</v-btn>
    </form>
    <input ref="file" type="file" accept=".json" hidden @change="take" />
  </section>
</template>

<style scoped>
.empty {
  max-width: 620px;
  margin: 12vh auto;
  display: grid;
  gap: 16px;
}
.row {
  display: flex;
  gap: 12px;
  align-items: center;
}
</style>
