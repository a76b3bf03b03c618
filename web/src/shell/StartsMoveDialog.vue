<script setup lang="ts">
import { useDisplay } from '../state/display'

/** Starts keep still, and an edit cannot be made without moving some: which, why, and whether. */
const display = useDisplay()
const MOST = 12
</script>

<template>
  <v-dialog
    :model-value="display.startsMove !== undefined"
    max-width="680"
    @update:model-value="display.startsMove = undefined"
  >
    <v-card
      v-if="display.startsMove"
      role="alertdialog"
      aria-label="Starts have to move"
      data-test="starts-move"
    >
      <v-card-title class="text-body-1 font-weight-bold">Starts have to move</v-card-title>
      <v-card-text>
        <p>{{ display.startsMove.told }}.</p>
        <ul>
          <li
            v-for="one in display.startsMove.moving.slice(0, MOST)"
            :key="one.piece + one.section"
          >
            <strong>{{ one.title }}</strong>
            <span class="mono"> {{ one.written }} {{ one.from }} → {{ one.to }}</span>
            <span class="quiet"> {{ one.why }}</span>
          </li>
        </ul>
        <p v-if="display.startsMove.moving.length > MOST" class="quiet">
          and {{ display.startsMove.moving.length - MOST }} more
        </p>
      </v-card-text>
      <v-card-actions>
        <v-spacer />
        <v-btn autofocus @click="display.startsMove = undefined">Leave it</v-btn>
        <v-btn color="primary" data-test="move-starts" @click="display.moveStarts()"
          >Move them</v-btn
        >
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
ul {
  list-style: none;
  padding-top: 8px;
  display: grid;
  gap: 3px;
}
</style>
