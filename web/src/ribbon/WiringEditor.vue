<script setup lang="ts">
import { computed } from 'vue'
import { said } from '../api/said'
import type { LegView, Wiring } from '../api/types'
import { gaugesWith } from '../parts/gauges'
import InPlaceChoice from '../parts/InPlaceChoice.vue'
import { useDisplay } from '../state/display'
import StringWires from './StringWires.vue'

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
    type: 'SetPieces',
    pieces: [props.leg.piece],
    set: { kind: 'string', wires: said(changes) },
  })
}
function setCable(cableGauge?: string) {
  void display.edit({ type: 'SetLegs', pieces: [props.leg.piece], set: said({ cableGauge }) })
}
</script>

<template>
  <p v-if="string" class="wiring" data-test="wiring">
    <strong>{{ leg.title }}</strong> is wired with
    <StringWires :wirings="[wiring]" @change="set" />; cable before it
    <InPlaceChoice
      :value="leg.cableGauge"
      label="Wire of the cable before it"
      :choices="gaugesWith(leg.cableGauge)"
      none="AWG 18, as usual †"
      @change="setCable"
    />
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
.note {
  font-size: 12px;
  margin-left: 8px;
}
</style>
