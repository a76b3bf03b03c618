<script setup lang="ts">
import { computed } from 'vue'
import type { LaneView } from '../../api/types'
import { whyPort } from '../../parts/why'
import LoadMeter from '../../ribbon/LoadMeter.vue'
import { cellsOf } from '../loads/loadColumns'
import RunRibbon from '../../ribbon/RunRibbon.vue'
import { portKey, useDisplay } from '../../state/display'
import { useHandover } from '../../state/handover'
import { isAcross, usePatching } from '../../state/patching'

const props = defineProps<{
  lane: LaneView
  scale: number
  /** Whether there is no room beside the wire. */
  narrow: boolean
  /** Where the view of the wire ends (px). */
  room: number
  /** The leg that the keyboard stands on, if it is in this lane. */
  active?: number
}>()
const emit = defineEmits<{
  press: [event: PointerEvent, piece: string]
  choose: [piece: string, extend: boolean]
  focusCell: [index: number]
}>()

const display = useDisplay()
const patching = usePatching()
const handover = useHandover()
/** Where it hung at the milestone that is shown. */
const shadows = computed(() => handover.shadowsAt.get(props.lane.written) ?? [])
const key = computed(() => portKey(props.lane.port))
/** Whether the cable of its bank ends here: the next port is on another, or on none. */
const lastOfCable = computed(() => {
  const next = { ...props.lane.port, port: props.lane.port.port + 1 }
  return display.laneByPort.get(portKey(next))?.bank?.bank !== props.lane.bank?.bank
})
/** What is wrong with the port itself. */
const wrong = computed(() => display.wrongAt.get(key.value))
/** The lane as it would be while something is dragged over it. */
const shown = computed(() => patching.previewLanes.get(key.value) ?? props.lane)
const aimed = computed(() => patching.isOver(props.lane))
const ghosts = computed(() =>
  aimed.value && patching.preview ? patching.dragged : patching.arranged,
)
const load = computed(() => shown.value.load)
/** The fuse nearest to its limit, as Loads and Overview tell it. */
const fuses = computed(() => (load.value ? cellsOf(shown.value) : undefined))

const caption = computed(() => {
  if (!aimed.value || !patching.preview) {
    return ''
  }
  const first = shown.value.legs.find((leg) => patching.dragged.includes(leg.piece))
  const start = first?.sections[0]?.start
  const pixels = shown.value.legs
    .filter((leg) => patching.dragged.includes(leg.piece))
    .reduce((sum, leg) => sum + leg.pixels, 0)
  const parts = [start && `starts ${start}`, pixels && `${pixels} px`]
  if (load.value) {
    parts.push(`${Math.floor(load.value.framesPerSecond)} fps`, `${load.value.amps.toFixed(1)} A`)
  }
  const own = parts.filter(Boolean).join(' · ')
  if (isAcross(patching.target!)) {
    return own // what it does as a whole is told once, at the pointer
  }
  const faults = patching.preview.found.filter((finding) => finding.severity === 'FAULT')
  return [own, patching.preview.moved, ...faults.map((finding) => `▲ ${finding.title}`)]
    .filter(Boolean)
    .join(' — ')
})
</script>

<template>
  <div class="lane" :class="{ aimed, narrow, absent: !lane.present }" :data-lane="key">
    <div
      class="port mono"
      :class="{ wrong: wrong?.fault, risky: wrong && !wrong.fault }"
      :title="lane.present ? wrong?.told : 'No such port in this mode'"
    >
      <span>{{ wrong ? '▲ ' : '' }}{{ lane.written }}</span>
      <span
        v-if="lane.bank"
        class="quiet pin"
        :title="`Socket ${lane.bank.socket} on the boxes of bank ${lane.bank.bank}`"
        >·{{ lane.bank.socket }}</span
      >
      <i
        v-if="lane.bank"
        class="cable"
        :class="{ last: lastOfCable }"
        aria-hidden="true"
        data-test="cable"
      />
      <span v-if="lane.label !== String(lane.port.port)" class="quiet pin">{{ lane.label }}</span>
    </div>
    <div class="wirebox" data-wire>
      <RunRibbon
        :lane="shown"
        :scale="scale"
        :room="room"
        :selected="patching.selected"
        :pointed="patching.pointed"
        :tied="patching.tied"
        :ghosts="ghosts"
        :cut="patching.cut"
        :active="active"
        @press="(event, piece) => emit('press', event, piece)"
        @choose="(piece, extend) => emit('choose', piece, extend)"
        @point="(piece) => (patching.pointed = piece)"
        @focus-cell="(index) => emit('focusCell', index)"
      />
      <div
        v-for="leg in shadows"
        :key="leg.piece"
        class="shadow"
        :class="{ gone: !lane.legs.some((one) => one.piece === leg.piece) }"
        :style="{
          left: `${leg.from * scale}px`,
          width: `${Math.max(3, leg.places * scale - 2)}px`,
        }"
        :title="`${handover.shadows!.name}: ${leg.title} at ${leg.start}`"
        data-test="shadow"
      ></div>
      <div v-if="caption" class="caption mono" role="status" data-test="ghost">{{ caption }}</div>
    </div>
    <div v-if="!narrow" class="meters">
      <template v-if="load">
        <LoadMeter
          :text="`${load.pixels + load.nullPixels}/${load.limit}`"
          :share="(load.pixels + load.nullPixels) / load.limit"
          :why="whyPort('PIXEL_LIMIT', lane.port)"
          :label="`Pixels of the limit, set by the ${load.limitBy === 'FRAME' ? 'frame' : 'model'}`"
        />
        <LoadMeter
          :text="`${Math.floor(load.framesPerSecond)} fps`"
          :share="load.frameShare"
          :why="whyPort('FRAME_TIME', lane.port)"
          label="Share of the show's frame"
        />
        <LoadMeter
          v-if="fuses"
          :text="fuses.amps.text"
          :share="fuses.amps.share"
          :mark="fuses.full.share"
          :why="whyPort('AMPS', lane.port)"
          :label="`${fuses.amps.told}; ${fuses.full.text} at 100 %`"
        />
      </template>
      <span v-else-if="lane.universe !== undefined" class="mono quiet">
        universe {{ lane.universe }}
      </span>
      <span v-else-if="lane.legs.length === 0" class="quiet free">free</span>
    </div>
  </div>
</template>

<style scoped>
.lane {
  height: 100%;
  display: grid;
  grid-template-columns: var(--label) 1fr var(--meters);
  border-bottom: 1px solid var(--line);
  align-items: stretch;
}
.lane.narrow {
  grid-template-columns: var(--label) 1fr;
}
.lane.aimed {
  background: color-mix(in srgb, var(--copper) 9%, transparent);
}
.shadow {
  position: absolute;
  bottom: 1px;
  height: 4px;
  border: 1.5px solid var(--line-strong);
  border-top: none;
}
.shadow.gone {
  border-style: dashed;
  border-top: none;
}
.lane.absent .port {
  color: rgb(var(--v-theme-error));
}
.port {
  position: var(--stays);
  left: 0;
  z-index: var(--above);
  background: rgb(var(--v-theme-background));
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 6px;
  padding: 0 8px 0 16px;
  font-size: 12.5px;
}
/* all ports of a bank hang on one cable, which comes down from its heading */
.cable {
  position: absolute;
  top: 0;
  bottom: -1px;
  left: 5px;
  width: 3px;
  background: var(--line-strong);
}
.cable::after {
  content: '';
  position: absolute;
  top: calc(50% - 1px);
  left: 3px;
  width: 6px;
  height: 2px;
  background: inherit;
}
.cable.last {
  bottom: calc(50% - 1px);
  border-radius: 0 0 0 3px;
}
.cable.last::after {
  top: auto;
  bottom: 0;
}
.port.wrong {
  color: rgb(var(--v-theme-error));
}
.port.risky {
  color: rgb(var(--v-theme-warning));
}
.aimed .port {
  color: var(--copper);
}
.pin {
  font-size: 11px;
}
.wirebox {
  position: relative;
}
.caption {
  position: absolute;
  right: 0;
  top: 7px;
  z-index: 6;
  font-size: 11.5px;
  padding: 2px 8px;
  border-radius: 3px;
  background: var(--copper);
  color: rgb(var(--v-theme-on-primary));
  white-space: nowrap;
  pointer-events: none;
}
.meters {
  position: var(--stays);
  right: 0;
  z-index: var(--above);
  background: rgb(var(--v-theme-background));
  display: grid;
  grid-template-columns: 84px 64px 84px;
  gap: 12px;
  padding: 0 16px 0 12px;
  align-items: center;
  font-size: 11.5px;
}
.meters > span {
  grid-column: 1 / 4;
}
.free {
  font-size: 11.5px;
}
</style>
