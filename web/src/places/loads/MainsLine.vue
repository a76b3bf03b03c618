<script setup lang="ts">
import { said } from '../../api/said'
import type { MainsCircuit, MainsView } from '../../api/types'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import { useDisplay } from '../../state/display'
import { whyPart } from '../../parts/why'
import LoadBar from './LoadBar.vue'

/** A mains circuit: its breaker, what it carries, what else hangs on it. */
const props = defineProps<{ view: MainsView }>()

const display = useDisplay()
const KINDS = ['B', 'C', 'D'].map((value) => ({ value, title: `kind ${value}` }))
const told = (milliamps: number) => String(Number(milliamps.toFixed(1)))
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
        A
        <InPlaceChoice
          :value="view.mains.breaker"
          label="Kind of the breaker"
          :choices="KINDS"
          none="of any kind"
          @change="(v) => set({ breaker: v as MainsCircuit['breaker'] })"
        />
        at
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
        W of other things, residual-current breaker
        <InPlaceNumber
          :value="view.mains.residualMilliamps"
          none="none"
          label="Rating of its residual-current breaker, milliamperes"
          :least="1"
          :most="1000"
          :step="0.1"
          @change="(v) => set({ residualMilliamps: v })"
        /><template v-if="view.mains.residualMilliamps !== undefined"> mA</template>
      </span>
    </h2>
    <div>
      <LoadBar
        :now="view.watts"
        :full="view.fullWatts"
        :most="view.mostWatts"
        unit="W"
        :why="whyPart('MAINS_WATTS', view.mains.id)"
      />
      <p class="more quiet">
        <span
          :class="{
            over: view.mostLeakage !== undefined && view.leakageMilliamps > view.mostLeakage,
          }"
          title="To earth, 1 mA a supply unless it says else; planned up to 30 % of the residual-current breaker"
          >leaks {{ told(view.leakageMilliamps)
          }}<template v-if="view.mostLeakage !== undefined">
            of {{ told(view.mostLeakage) }}</template
          >
          mA</span
        >
        ·
        <span
          :class="{
            over: view.mostSwitchOn !== undefined && view.switchOnAmps > view.mostSwitchOn,
          }"
          title="All supplies in the moment of switching on, 10 times what they take at their rating unless they say else"
          >switches on {{ view.switchOnAmps.toFixed(0)
          }}<template v-if="view.mostSwitchOn !== undefined">
            of {{ view.mostSwitchOn.toFixed(0) }}</template
          >
          A</span
        >
      </p>
    </div>
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
.more {
  font-size: 12px;
}
.more .over {
  color: rgb(var(--v-theme-error));
}
.values {
  font-size: 13px;
  font-weight: 400;
  margin-left: 12px;
}
@media (width < 700px) {
  .mains {
    grid-template-columns: minmax(0, 1fr);
    gap: 6px;
  }
}
</style>
