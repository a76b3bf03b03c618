<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'
import type { ControllerView, LaneView, LegChange, LegView } from '../../api/types'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import GlassVoltage from './GlassVoltage.vue'
import PieceEditor from '../../ribbon/PieceEditor.vue'
import WiringEditor from '../../ribbon/WiringEditor.vue'
import { useDisplay } from '../../state/display'
import { usePatching } from '../../state/patching'

/** The selected leg enlarged, plug end first, with every value edited where it acts. */
const props = defineProps<{ view: ControllerView; lane: LaneView; leg: LegView; width: number }>()

const display = useDisplay()
const patching = usePatching()
const piece = computed(() => display.pieces.get(props.leg.piece)!)
const string = computed(() => (piece.value.piece.kind === 'string' ? piece.value.piece : undefined))
/** What is known of a string's plug. */
const plug = computed(() => {
  const one = string.value
  return [
    one?.dataIn && `data in ${one.dataIn}`,
    one?.connector,
    one?.leadMetres ? `lead ${one.leadMetres} m` : '',
    props.leg.box ? `box ${String.fromCharCode(64 + props.leg.box)}` : '',
  ]
    .filter(Boolean)
    .join(' · ')
})
/** Strings and circuits show what others show; what is set at itself by a slot or a unit does not. */
const mayMirror = computed(() => ['string', 'circuit'].includes(piece.value.piece.kind))
/** What a leg may mirror: what hangs on a port of this kind and is no mirror. */
const originals = computed(() =>
  [...display.legs.values()]
    .filter(({ lane, leg }) => lane.port.kind === props.lane.port.kind && !leg.mirrorOf)
    .filter(({ leg }) => leg.piece !== props.leg.piece)
    .map(({ lane, leg }) => ({ value: leg.piece, title: `${leg.title} (${lane.written})` })),
)
const entered = computed(() =>
  props.leg.cableOrigin === 'ENTERED' ? props.leg.cableMetres : undefined,
)
const guess = computed(() =>
  props.leg.cableOrigin === 'ESTIMATED' ? `≈${props.leg.cableMetres}` : '–',
)
const run = computed(() =>
  props.view.controller.runs.find(
    ({ kind, port }) => kind === props.lane.port.kind && port === props.lane.port.port,
  ),
)
function setPort(set: { universe?: number | null; brightness?: number | null }) {
  void display.edit({ type: 'SetPort', port: props.lane.port, set })
}
function setLeg(set: LegChange) {
  void display.edit({ type: 'SetLegs', pieces: [props.leg.piece], set })
}
</script>

<template>
  <div class="glass" role="group" :aria-label="`${leg.title} under the glass`" data-test="glass">
    <div class="title">
      <strong>{{ leg.title }}</strong>
      <span class="quiet">
        {{ lane.written }}
        <template v-if="string"> · {{ display.pixelTypes.get(string.pixelType)?.name }}</template>
        <template v-if="mayMirror">
          · mirrors
          <InPlaceChoice
            :value="leg.mirrorOf"
            :label="`What ${leg.title} mirrors`"
            :choices="originals"
            none="nothing"
            @change="(mirrorOf) => setLeg({ mirrorOf: mirrorOf ?? null })"
        /></template>
      </span>
      <span v-if="plug" class="quiet">{{ plug }}</span>
      <span v-if="lane.port.kind === 'DMX'" class="quiet"
        >universe of the line
        <InPlaceNumber
          :value="run?.universe"
          none="assigned"
          :label="`Universe of ${lane.written}, where it is fixed`"
          :least="0"
          :most="63999"
          @change="(universe) => setPort({ universe: universe ?? null })"
      /></span>
      <span v-else-if="string" class="quiet"
        >port at
        <InPlaceNumber
          :value="run?.brightness"
          none="usual"
          :label="`Brightness of ${lane.written}, percent`"
          :least="0"
          :most="100"
          @change="(brightness) => setPort({ brightness: brightness ?? null })"
        />
        %</span
      >
      <v-spacer />
      <v-btn size="small" @click="display.edit({ type: 'UnpatchPieces', pieces: [leg.piece] })"
        >Unpatch</v-btn
      >
      <v-btn
        :icon="mdiClose"
        size="x-small"
        aria-label="Put the glass away"
        @click="patching.glass = undefined"
      />
    </div>
    <PieceEditor
      :view="piece"
      :zone="leg.zone"
      :at="leg.sections"
      :brightness="leg.brightness"
      :width="width - 170"
    >
      <template #plug>
        <div class="plug">
          <svg width="34" height="46" aria-hidden="true">
            <path d="M0 23h10M10 12h14v22H10zM24 18h8M24 28h8" class="plugline" />
          </svg>
          <span class="caption">gap before it</span>
          <span
            ><InPlaceNumber
              :value="leg.nullPixels"
              label="Null pixels in the gap"
              :least="0"
              :most="1000"
              @change="(v) => setLeg({ nullPixels: v ?? 0 })"
            />
            null px</span
          >
          <span
            :title="
              leg.cableOrigin === 'ESTIMATED'
                ? 'Estimated from the positions of the zones, and a fifth more for the way round'
                : undefined
            "
            ><InPlaceNumber
              :value="entered"
              :none="guess"
              label="Cable in the gap, metres"
              :least="0"
              :most="10000"
              :step="0.1"
              @change="(v) => setLeg({ cableMetres: v ?? null })"
            />
            m cable</span
          >
        </div>
      </template>
    </PieceEditor>
    <template v-if="string">
      <GlassVoltage :lane="lane" :leg="leg" :width="width - 170" />
      <WiringEditor :leg="leg" />
    </template>
  </div>
</template>

<style scoped>
.glass {
  height: 100%;
  margin-left: var(--label);
  padding: 6px 12px 8px;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--copper);
  border-radius: 0 0 6px 6px;
  overflow: auto;
}
.title {
  display: flex;
  align-items: center;
  gap: 10px;
  height: 30px;
}
.plug {
  flex: none;
  width: 118px;
  display: grid;
  gap: 1px;
  align-content: start;
  padding-top: 50px;
  position: relative;
}
.plug svg {
  position: absolute;
  right: 0;
  top: 56px;
}
.plugline {
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.6;
}
.caption {
  color: var(--quiet);
}
</style>
