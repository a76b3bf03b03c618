<script setup lang="ts">
import { mdiArrowLeftThin, mdiArrowRightThin, mdiClose } from '@mdi/js'
import { computed } from 'vue'
import type { ControllerView, LaneView, LegView, PixelString, Section } from '../../api/types'
import WallPicture from '../../ribbon/WallPicture.vue'
import InPlaceNumber from '../../ribbon/InPlaceNumber.vue'
import { useDisplay } from '../../state/display'
import { usePatching } from '../../state/patching'

/** The selected leg enlarged, plug end first, with every value edited where it acts. */
const props = defineProps<{ view: ControllerView; lane: LaneView; leg: LegView; width: number }>()

const display = useDisplay()
const patching = usePatching()
const piece = computed(() => display.pieces.get(props.leg.piece)!)
const string = computed(() =>
  piece.value.piece.kind === 'string' ? (piece.value.piece as PixelString) : undefined,
)
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
/** What there is to say of a circuit, a fixture, a decoder or a dimmer. */
const facts = computed(() => {
  const { piece: one } = piece.value
  const at = props.leg.sections[0]
  const where = at?.start ? [`${at.start} – ${at.end}`, `display ${at.displayStart}`] : []
  switch (one.kind) {
    case 'circuit':
      return [...where, `on from ${one.threshold}`, one.safeOn ? 'rests on' : 'rests off']
    case 'fixture':
      return [
        ...where,
        `slot ${one.slot}, ${one.channels} channels`,
        ...one.pairs.map((pair) => `${pair.name} 16 bits at ${pair.channel}`),
      ]
    case 'decoder':
      return [...where, `slot ${one.slot}`, `${one.pixels} pixels RGBW of ${one.ledsPerPixel} LEDs`]
    case 'dimmer':
      return [`unit ${one.unit}`, `${one.circuits} dimmed circuits`, 'driven by the host itself']
    default:
      return where
  }
})

/** Widths of the sections: to scale, but never too small to edit. */
const widths = computed(() => {
  const room = props.width - 170
  const sections = string.value?.sections ?? []
  const total = sections.reduce((sum, s) => sum + s.pixels + s.nullPixels, 0)
  return sections.map((s) => Math.max(250, (room * (s.pixels + s.nullPixels)) / total))
})
const orders: Record<number, string[]> = {
  1: ['W'],
  3: ['RGB', 'RBG', 'GRB', 'GBR', 'BRG', 'BGR'],
  4: ['RGBW', 'GRBW', 'BRGW', 'WRGB', 'WGRB', 'GBRW', 'RBGW', 'BGRW'],
}

function set(index: number, changes: Partial<Section>) {
  const section = { ...string.value!.sections[index], ...changes }
  void display.edit({ type: 'SetSection', piece: props.leg.piece, index, section })
}
function setGap(nullPixels: number, cableMetres: number) {
  void display.edit({ type: 'SetGap', piece: props.leg.piece, nullPixels, cableMetres })
}
function toggleHold(index: number) {
  const start = placed(index)?.controllerStart
  const held = string.value!.sections[index].hold
  set(index, { hold: held || start === undefined ? undefined : { channel: start } })
}
function placed(index: number) {
  return props.leg.sections[index]
}
function bright(section: Section): number {
  return section.brightness ?? props.leg.brightness
}
/** Channels of a pixel, from what the section takes. */
function channels(index: number): number {
  const at = placed(index)
  return at && at.addresses ? at.channels / at.addresses : 3
}
function deviceStart(index: number): string {
  const at = placed(index)
  if (at?.deviceUniverse !== undefined) {
    return `${at.deviceUniverse}:${at.start?.split(':')[1]}`
  }
  return at?.controllerStart === undefined ? '–' : `${at.controllerStart}`
}
/** Where the string turns, as shares of the section's length. */
function turns(section: Section): number[] {
  if (!section.fold) {
    return []
  }
  const all: number[] = []
  for (let at = section.fold; at < section.pixels; at += section.fold) {
    all.push(at / section.pixels)
  }
  return all.length > 60 ? [] : all
}
function groups(section: Section): number[] {
  const count = Math.ceil(section.pixels / section.group)
  return section.group > 1 && count <= 60
    ? Array.from({ length: count }, (_, i) => (i * section.group) / section.pixels)
    : []
}
const colours: Record<string, string> = {
  R: '#c8372d',
  G: '#3c8a3f',
  B: '#2f62c0',
  W: '#d8d2c2',
  A: '#e0a020',
  V: '#7d4fb5',
}
const letters = (index: number, section: Section) =>
  (section.colourOrder ?? defaultOrder(index)).split('')
function defaultOrder(index: number): string {
  return (
    display.pixelTypes.get(string.value!.pixelType)?.colourOrder ??
    orders[channels(index)]?.[0] ??
    'RGB'
  )
}
</script>

<template>
  <div class="glass" role="group" :aria-label="`${leg.title} under the glass`" data-test="glass">
    <div class="title">
      <strong>{{ leg.title }}</strong>
      <span class="quiet">
        {{ lane.written }}
        <template v-if="string"> · {{ display.pixelTypes.get(string.pixelType)?.name }}</template>
        <template v-if="leg.mirrorOf">
          · mirrors {{ display.pieces.get(leg.mirrorOf)?.title }}</template
        >
      </span>
      <span v-if="plug" class="quiet">{{ plug }}</span>
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

    <div v-if="string" class="strip">
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
            @change="(v) => setGap(v ?? 0, leg.cableMetres)"
          />
          null px</span
        >
        <span
          ><InPlaceNumber
            :value="leg.cableMetres"
            label="Cable in the gap, metres"
            :least="0"
            :most="10000"
            :step="0.1"
            @change="(v) => setGap(leg.nullPixels, v ?? 0)"
          />
          m cable</span
        >
      </div>
      <div
        v-for="(section, i) in string.sections"
        :key="i"
        class="section"
        :style="{ width: `${widths[i]}px`, '--zone': display.zoneColour(leg.zone) }"
      >
        <div class="ends mono">
          <span class="start">
            <button
              type="button"
              class="catch"
              :class="{ held: section.hold }"
              :aria-pressed="section.hold !== undefined"
              :aria-label="section.hold ? 'Let the start address go' : 'Hold the start address'"
              :title="section.hold ? 'Held: click to let it flow' : 'Flows: click to hold it here'"
              data-test="hold"
              @click="toggleHold(i)"
            />
            <b data-test="start">{{ placed(i)?.start ?? 'nowhere' }}</b>
            <span class="quiet">display {{ placed(i)?.displayStart ?? '–' }}</span>
            <span class="quiet">device {{ deviceStart(i) }}</span>
          </span>
          <span class="end">
            <b>{{ placed(i)?.end ?? '' }}</b>
            <span class="quiet">display {{ placed(i)?.displayEnd ?? '–' }}</span>
          </span>
        </div>
        <div class="body">
          <div class="fill" :style="{ height: `${bright(section)}%` }" />
          <span
            v-for="x in turns(section)"
            :key="`f${x}`"
            class="turn"
            :style="{ left: `${x * 100}%` }"
          />
          <span
            v-for="x in groups(section)"
            :key="`g${x}`"
            class="groupmark"
            :style="{ left: `${x * 100}%`, width: `${(section.group / section.pixels) * 100}%` }"
          />
          <label class="order" :title="`Colour order ${letters(i, section).join('')}`">
            <span
              v-for="letter in letters(i, section)"
              :key="letter"
              :style="{ background: colours[letter] }"
              :class="{ dark: letter === 'W' || letter === 'A' }"
              >{{ letter }}</span
            >
            <select
              :aria-label="`Colour order of section ${i + 1}`"
              :value="section.colourOrder ?? ''"
              @change="
                set(i, { colourOrder: ($event.target as HTMLSelectElement).value || undefined })
              "
            >
              <option value="">{{ defaultOrder(i) }} (pixel type)</option>
              <option v-for="order in orders[channels(i)] ?? []" :key="order" :value="order">
                {{ order }}
              </option>
            </select>
          </label>
          <span class="pixels"
            ><InPlaceNumber
              :value="section.pixels"
              :label="`Pixels of section ${i + 1}`"
              :least="1"
              :most="100000"
              @change="(v) => set(i, { pixels: v! })"
            />
            pixels</span
          >
          <button
            type="button"
            class="direction"
            :aria-label="
              section.backward ? 'Runs backward: turn round' : 'Runs forward: turn round'
            "
            @click="set(i, { backward: !section.backward })"
          >
            <v-icon :icon="section.backward ? mdiArrowLeftThin : mdiArrowRightThin" size="30" />
          </button>
          <span class="bright"
            ><InPlaceNumber
              :value="section.brightness"
              :none="`${leg.brightness}`"
              :label="`Brightness of section ${i + 1}, percent`"
              :least="0"
              :most="100"
              @change="(v) => set(i, { brightness: v })"
            />
            %</span
          >
        </div>
        <div class="under">
          <span
            ><InPlaceNumber
              :value="section.nullPixels"
              :label="`Null pixels of section ${i + 1}`"
              :least="0"
              :most="1000"
              @change="(v) => set(i, { nullPixels: v ?? 0 })"
            />
            null</span
          >
          <span
            >fold every
            <InPlaceNumber
              :value="section.fold"
              none="–"
              :label="`Fold of section ${i + 1}`"
              :least="1"
              :most="100000"
              @change="(v) => set(i, { fold: v })"
          /></span>
          <span
            >groups of
            <InPlaceNumber
              :value="section.group"
              :label="`Group of section ${i + 1}`"
              :least="1"
              :most="100000"
              @change="(v) => set(i, { group: v ?? 1 })"
          /></span>
        </div>
      </div>
    </div>
    <WallPicture v-else-if="piece.piece.kind === 'wall'" :wall="piece.piece" :leg="leg" />
    <p v-else class="plain mono">{{ facts.join(' · ') }}</p>
  </div>
</template>

<style scoped>
.glass {
  height: 100%;
  margin-left: 86px;
  padding: 6px 12px 8px;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--copper);
  border-radius: 0 0 6px 6px;
  overflow-x: auto;
  overflow-y: hidden;
}
.title {
  display: flex;
  align-items: center;
  gap: 10px;
  height: 30px;
}
.strip {
  display: flex;
  align-items: stretch;
  font-size: 12px;
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
.section {
  flex: none;
}
.ends {
  display: flex;
  justify-content: space-between;
  height: 46px;
  font-size: 11px;
  line-height: 14px;
}
.start,
.end {
  display: grid;
  position: relative;
  align-content: end;
}
.start {
  padding-left: 18px;
}
.end {
  text-align: right;
  padding-right: 6px;
}
.start b,
.end b {
  font-size: 13px;
}
.catch {
  position: absolute;
  left: 0;
  bottom: 1px;
  width: 12px;
  height: 38px;
  border: 2px solid var(--line-strong);
  border-right: none;
  border-radius: 4px 0 0 4px;
}
.catch.held {
  border-color: var(--copper);
  background: color-mix(in srgb, var(--copper) 35%, transparent);
}
.body {
  position: relative;
  height: 60px;
  margin-right: 2px;
  border: 1.5px solid var(--zone);
  border-left-width: 5px;
  border-radius: 3px;
}
.fill {
  position: absolute;
  left: 0;
  right: 0;
  bottom: 0;
  background: color-mix(in srgb, var(--zone) 30%, transparent);
  border-top: 1px solid var(--zone);
}
.turn {
  position: absolute;
  top: -1px;
  width: 2px;
  height: 9px;
  background: var(--zone);
}
.groupmark {
  position: absolute;
  bottom: 0;
  height: 5px;
  border: 1px solid var(--zone);
  border-bottom: none;
}
.order {
  position: absolute;
  left: 4px;
  top: 18px;
  display: flex;
}
.order:focus-within {
  outline: 2px solid var(--copper);
}
.order > span {
  width: 15px;
  height: 22px;
  color: #fff;
  font: 600 11px/22px var(--mono);
  text-align: center;
}
.order > .dark {
  color: #2b2a27;
}
.order select {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
.pixels {
  position: absolute;
  left: 76px;
  top: 20px;
  font-size: 14px;
}
.direction {
  position: absolute;
  left: 50%;
  margin-left: 22px;
  top: 14px;
  width: 34px;
  height: 32px;
  border-radius: 4px;
}
.bright {
  position: absolute;
  right: 8px;
  top: 21px;
}
.under {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 4px 8px 0 2px;
}
.plain {
  font-size: 13px;
  padding-top: 8px;
}
</style>
