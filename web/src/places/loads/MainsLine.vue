<script setup lang="ts">
import { said } from '../../api/said'
import type { MainsCircuit, MainsView } from '../../api/types'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import { useDisplay } from '../../state/display'
import LoadBar from './LoadBar.vue'

/** A mains circuit: its breaker, what it carries, what else hangs on it. */
const props = defineProps<{ view: MainsView }>()

const display = useDisplay()
function set(changes: Partial<MainsCircuit>) {
  void display.edit({ type: 'SetMainsCircuits', mains: [props.view.mains.id], set: said(changes) })
}
</script>

<template>
  <div class="mains" :data-power="view.mains.id">
    <h2>
      <InPlaceText
        :value="view.mains.name"
        label="Name of the mains circuit"
        @change="(v) => set({ name: v })"
      />
      <span class="values">
        <InPlaceNumber
          :value="view.mains.amps"
          label="Breaker, amperes"
          :least="1"
          :most="1000"
          :step="0.1"
          @change="(v) => set({ amps: v! })"
        />
        A at
        <InPlaceNumber
          :value="view.mains.volts"
          label="Mains voltage"
          :least="50"
          :most="400"
          :step="0.1"
          @change="(v) => set({ volts: v! })"
        />
        V, and
        <InPlaceNumber
          :value="view.mains.otherWatts"
          label="What else hangs on it, watts"
          :least="0"
          :most="1000000"
          :step="0.1"
          @change="(v) => set({ otherWatts: v! })"
        />
        W of other things
      </span>
    </h2>
    <LoadBar :now="view.watts" :full="view.fullWatts" :most="view.mostWatts" unit="W" />
    <v-btn
      size="small"
      :aria-label="`Remove ${view.mains.name}`"
      @click="display.edit({ type: 'RemoveMainsCircuit', mains: view.mains.id })"
      >Remove</v-btn
    >
  </div>
</template>

<style scoped>
.mains {
  display: grid;
  grid-template-columns: minmax(360px, 1fr) minmax(320px, 1fr) 84px;
  gap: 16px;
  align-items: center;
}
.values {
  font-size: 13px;
  font-weight: 400;
  margin-left: 12px;
}
</style>
