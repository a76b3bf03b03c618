<script setup lang="ts">
import { computed } from 'vue'
import type { LegView, Wiring } from '../api/types'
import { gaugesWith } from '../parts/gauges'
import InPlaceChoice from '../parts/InPlaceChoice.vue'
import InPlaceNumber from '../parts/InPlaceNumber.vue'
import { useDisplay } from '../state/display'

/** The wires of a string and the cable before it; what nobody entered is as usual, and says so. */
const props = defineProps<{ leg: LegView }>()

const display = useDisplay()
const string = computed(() => {
  const piece = display.pieces.get(props.leg.piece)?.piece
  return piece?.kind === 'string' ? piece : undefined
})
const wiring = computed<Wiring>(() => string.value?.wiring ?? { dataOnly: false })
function set(changes: Partial<Wiring>) {
  void display.edit({
    type: 'SetPiece',
    piece: { ...string.value!, wiring: { ...wiring.value, ...changes } },
  })
}
function setCable(cableGauge?: string) {
  const { piece, nullPixels, cableOrigin, cableMetres } = props.leg
  void display.edit({
    type: 'SetGap',
    piece,
    nullPixels,
    cableMetres: cableOrigin === 'ENTERED' ? cableMetres : undefined,
    cableGauge,
  })
}
</script>

<template>
  <p v-if="string" class="wiring" data-test="wiring">
    <strong>{{ leg.title }}</strong> is wired with
    <InPlaceChoice
      :value="wiring.gauge"
      label="Wire of the string"
      :choices="gaugesWith(wiring.gauge)"
      none="AWG 20, as usual †"
      @change="(v) => set({ gauge: v })"
    />,
    <InPlaceNumber
      :value="wiring.spacingMetres"
      none="0.075 †"
      label="From pixel to pixel, metres"
      :least="0"
      :most="100"
      :step="0.001"
      @change="(v) => set({ spacingMetres: v })"
    />
    m from pixel to pixel, cable before it
    <InPlaceChoice
      :value="leg.cableGauge"
      label="Wire of the cable before it"
      :choices="gaugesWith(leg.cableGauge)"
      none="AWG 18, as usual †"
      @change="setCable"
    />; its plug carries
    <InPlaceNumber
      :value="wiring.connectorAmps"
      none="?"
      label="Most that its plug carries, amperes; left out: not judged"
      :least="0.1"
      :most="1000"
      :step="0.1"
      @change="(v) => set({ connectorAmps: v })"
    />
    A and
    <button
      type="button"
      class="toggle"
      :aria-pressed="wiring.dataOnly"
      @click="set({ dataOnly: !wiring.dataOnly })"
    >
      {{ wiring.dataOnly ? 'data only, no power' : 'power and data' }}
    </button>
    <span class="quiet note"
      >† a rule of thumb for stock strings and leads, where nobody entered it</span
    >
  </p>
</template>

<style scoped>
.wiring {
  font-size: 13px;
  line-height: 28px;
}
.toggle {
  border-bottom: 1px dashed var(--copper);
}
.note {
  font-size: 12px;
  margin-left: 8px;
}
</style>
