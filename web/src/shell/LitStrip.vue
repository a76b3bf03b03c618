<script setup lang="ts">
import { mdiStop } from '@mdi/js'
import { computed } from 'vue'
import { useDisplay } from '../state/display'
import { useOutput } from '../state/output'
import { lit, troubles } from './lit'

const display = useDisplay()
const output = useOutput()

const live = computed(() => output.ground?.live)
const elsewhere = computed(() =>
  display.list.find((one) => one.id === output.now?.display && one.id !== display.view?.id),
)
</script>

<template>
  <div v-if="output.running" class="strip" :class="{ live }" role="status" data-test="lit-strip">
    <v-menu :close-on-content-click="false" location="bottom end">
      <template #activator="{ props }">
        <button v-bind="props" type="button" class="what" data-test="lit">
          <strong class="where">{{ output.where }}</strong>
          <span class="mono">{{ lit(output.now!) }}</span>
          <span v-for="one in troubles(output.now!)" :key="one" class="wrong">▲ {{ one }}</span>
        </button>
      </template>
      <div class="sheet" data-test="lit-sheet">
        <p>{{ output.meant }}.</p>
        <p v-if="elsewhere">What is lit is {{ elsewhere.name }}.</p>
        <ul>
          <li v-for="one in output.now!.holders" :key="one.who">
            <strong>{{ one.who }}</strong> {{ one.pattern }} on {{ one.pieces }} pieces at
            {{ one.percent }} %, at most {{ one.ceiling }} % of light
          </li>
          <li v-for="one in output.now!.leftOut" :key="one.tag" class="wrong">
            <strong>{{ one.tag }}</strong> {{ one.why }}
          </li>
        </ul>
        <p class="quiet mono">
          {{ output.now!.frames.toLocaleString('en') }} frames,
          {{ output.now!.packets.toLocaleString('en') }} packets, latest by
          {{ output.now!.worstLateMillis.toFixed(1) }} ms
        </p>
      </div>
    </v-menu>
    <v-spacer />
    <v-btn
      size="small"
      color="error"
      variant="flat"
      :prepend-icon="mdiStop"
      :loading="output.stopping"
      data-test="stop-output"
      title="Safe states and black, for everybody (Ctrl+.)"
      @click="output.stop()"
      >Stop</v-btn
    >
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  align-items: center;
  gap: 12px;
  flex: none;
  padding: 4px 12px;
  font-size: 12.5px;
  border-bottom: 1px solid var(--line);
  border-left: 4px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-surface));
}
.strip.live {
  border-left-color: rgb(var(--v-theme-error));
}
.what {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 2px 12px;
  text-align: left;
}
.live .where {
  padding: 2px 8px;
  border-radius: 3px;
  color: rgb(var(--v-theme-on-error));
  background: rgb(var(--v-theme-error));
}
.sheet {
  max-width: 380px;
  padding: 12px 16px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: rgb(var(--v-theme-surface));
}
.sheet ul {
  list-style: none;
  margin: 8px 0;
}
.wrong {
  color: rgb(var(--v-theme-error));
}
</style>
