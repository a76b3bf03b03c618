<script setup lang="ts">
import { computed } from 'vue'
import { useDisplay } from '../state/display'

const display = useDisplay()
const open = computed({
  get: () => display.said !== undefined,
  set: (value) => {
    if (!value) {
      display.said = undefined
    }
  },
})
</script>

<template>
  <v-snackbar v-model="open" :timeout="6000" location="bottom" color="secondary">
    <span role="status">{{ display.said?.text }}</span>
    <template #actions>
      <v-btn v-if="display.said?.canUndo" @click="display.undo()">Undo</v-btn>
      <v-btn aria-label="Close" @click="open = false">Close</v-btn>
    </template>
  </v-snackbar>
</template>
