<script setup lang="ts">
import { computed } from 'vue'
import { useDisplay } from '../state/display'

const display = useDisplay()
const open = computed({
  get: () => display.problem !== undefined,
  set: (value) => {
    if (!value) {
      display.problem = undefined
    }
  },
})
</script>

<template>
  <v-dialog v-model="open" max-width="640">
    <v-card v-if="display.problem" role="alertdialog" :aria-label="display.problem.title">
      <v-card-title class="title">{{ display.problem.title }}</v-card-title>
      <v-card-text>
        <ul v-if="display.problem.reasons.length" class="reasons">
          <li v-for="reason in display.problem.reasons" :key="reason.place + reason.message">
            <span class="mono place">{{ reason.place }}</span>
            <span>{{ reason.message }}</span>
          </li>
        </ul>
        <p v-else>{{ display.problem.message }}</p>
      </v-card-text>
      <v-card-actions>
        <v-spacer />
        <v-btn color="primary" autofocus @click="open = false">Understood</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.title {
  font-size: 16px;
  font-weight: 600;
  white-space: normal;
  padding: 16px 24px 0;
}
.reasons {
  list-style: none;
  display: grid;
  gap: 8px;
  max-height: 50vh;
  overflow: auto;
}
.reasons li {
  display: grid;
  gap: 2px;
}
.place {
  font-size: 12px;
  color: var(--quiet);
}
</style>
