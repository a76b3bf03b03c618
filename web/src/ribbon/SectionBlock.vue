<script setup lang="ts">
import DrawnIcon from '../parts/DrawnIcon'
import { holdOf, START, START_TOLD } from './hold'
import { mdiArrowLeftThin, mdiArrowRightThin } from '@mdi/js'
import { computed } from 'vue'
import type { Section, SectionView } from '../api/types'
import { toldStart } from '../parts/deviceStart'
import InPlaceNumber from '../parts/InPlaceNumber.vue'
import InPlaceText from '../parts/InPlaceText.vue'
import { whyPiece } from '../parts/why'
import { LETTER_COLOURS, ordersOf } from './colourOrders'

/** One section enlarged: every value stands where it acts, and is edited there. */
const props = defineProps<{
  section: Section
  index: number
  /** The string that it is of, where its addresses answer why. */
  piece?: string
  /** Where it stands, if it hangs anywhere. */
  at?: SectionView
  width: number
  zoneColour: string
  /** In force where the section has none of its own (%). */
  brightness: number
  /** The pixel type's. */
  usualOrder: string
}>()
const emit = defineEmits<{
  set: [changes: Partial<Section>]
  turn: []
  split: [pixels: number]
}>()

const bright = computed(() => props.section.brightness ?? props.brightness)
const letters = computed(() => (props.section.colourOrder ?? props.usualOrder).split(''))

function toggleHold() {
  const start = props.at?.controllerStart
  const held = props.section.hold
  emit('set', { hold: held || start === undefined ? undefined : { channel: start } })
}

/** Where the string turns, as shares of the section's length. */
const turns = computed(() => {
  const { fold, pixels } = props.section
  const all: number[] = []
  for (let at = fold ?? pixels; at < pixels; at += fold!) {
    all.push(at / pixels)
  }
  return all.length > 60 ? [] : all
})
const groups = computed(() => {
  const { group, pixels } = props.section
  const count = Math.ceil(pixels / group)
  return group > 1 && count <= 60
    ? Array.from({ length: count }, (_, i) => (i * group) / pixels)
    : []
})
/** The middle, between two groups. */
const middle = computed(() => {
  const { group, pixels } = props.section
  return Math.floor(pixels / 2 / group) * group
})
/** Splits where the ribbon was double-clicked, at the nearest place between two groups. */
function splitAt(event: MouseEvent) {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  const { group, pixels } = props.section
  const place = Math.round(((event.clientX - box.left) / box.width) * (pixels / group)) * group
  if (place > 0 && place < pixels) {
    emit('split', place)
  }
}
</script>

<template>
  <div class="section" :style="{ width: `${width}px`, '--zone': zoneColour }">
    <div v-if="at" class="ends mono">
      <span class="start">
        <button
          type="button"
          class="catch"
          :class="{ held: section.hold }"
          :aria-pressed="section.hold !== undefined"
          :aria-label="section.hold ? 'Let the start address go' : 'Hold the start address'"
          :title="section.hold ? 'Held: click to let it flow' : 'Flows: click to hold it here'"
          data-test="hold"
          @click="toggleHold"
        />
        <b
          ><InPlaceText
            v-if="at.start"
            data-test="start"
            :value="at.start"
            :label="`Start of section ${index + 1}; a typed one is held there`"
            :pattern="START"
            :told="START_TOLD"
            @change="(typed) => emit('set', { hold: holdOf(typed) })"
          /><template v-else>nowhere</template></b
        >
        <span class="quiet" :data-why="piece && whyPiece('START', piece, index)"
          >display {{ at.displayStart ?? '–' }}</span
        >
        <span
          class="quiet"
          data-test="device-start"
          :data-why="at.device && piece && whyPiece('START', piece, index)"
          >{{ at.device ? `device ${toldStart(at.device)}` : 'the device counts on' }}</span
        >
      </span>
      <span class="end">
        <b>{{ at.end ?? '' }}</b>
        <span class="quiet">display {{ at.displayEnd ?? '–' }}</span>
      </span>
    </div>
    <div class="body" title="Double-click: split here" @dblclick="splitAt">
      <div class="fill" :style="{ height: `${bright}%` }" />
      <span v-for="x in turns" :key="`f${x}`" class="turn" :style="{ left: `${x * 100}%` }" />
      <span
        v-for="x in groups"
        :key="`g${x}`"
        class="groupmark"
        :style="{ left: `${x * 100}%`, width: `${(section.group / section.pixels) * 100}%` }"
      />
      <label class="order" :title="`Colour order ${letters.join('')}`" @dblclick.stop>
        <span
          v-for="letter in letters"
          :key="letter"
          :style="{ background: LETTER_COLOURS[letter] }"
          :class="{ dark: letter === 'W' || letter === 'A' }"
          >{{ letter }}</span
        >
        <select
          :aria-label="`Colour order of section ${index + 1}`"
          :value="section.colourOrder ?? ''"
          @change="
            emit('set', {
              colourOrder: ($event.target as HTMLSelectElement).value || undefined,
            })
          "
        >
          <option value="">{{ usualOrder }} (pixel type)</option>
          <option v-for="order in ordersOf(usualOrder)" :key="order" :value="order">
            {{ order }}
          </option>
        </select>
      </label>
      <span class="pixels"
        ><InPlaceNumber
          :value="section.pixels"
          :label="`Pixels of section ${index + 1}`"
          :least="1"
          :most="100000"
          @change="(v) => emit('set', { pixels: v! })"
        />
        pixels</span
      >
      <button
        type="button"
        class="direction"
        :aria-label="section.backward ? 'Runs backward: turn round' : 'Runs forward: turn round'"
        @click="emit('turn')"
        @dblclick.stop
      >
        <DrawnIcon :path="section.backward ? mdiArrowLeftThin : mdiArrowRightThin" :size="30" />
      </button>
      <span class="bright"
        ><InPlaceNumber
          :value="section.brightness"
          :none="`${brightness}`"
          :label="`Brightness of section ${index + 1}, percent`"
          :least="0"
          :most="100"
          @change="(v) => emit('set', { brightness: v })"
        />
        %</span
      >
    </div>
    <div class="under">
      <span
        ><InPlaceNumber
          :value="section.nullPixels"
          :label="`Null pixels of section ${index + 1}`"
          :least="0"
          :most="1000"
          @change="(v) => emit('set', { nullPixels: v ?? 0 })"
        />
        null</span
      >
      <span
        >fold every
        <InPlaceNumber
          :value="section.fold"
          none="–"
          :label="`Fold of section ${index + 1}`"
          :least="1"
          :most="100000"
          @change="(v) => emit('set', { fold: v })"
      /></span>
      <span
        >groups of
        <InPlaceNumber
          :value="section.group"
          :label="`Group of section ${index + 1}`"
          :least="1"
          :most="100000"
          @change="(v) => emit('set', { group: v ?? 1 })"
      /></span>
      <button
        v-if="middle > 0 && middle < section.pixels"
        type="button"
        class="split"
        :aria-label="`Split section ${index + 1} in the middle`"
        @click="emit('split', middle)"
      >
        split
      </button>
    </div>
  </div>
</template>

<style scoped>
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
.split {
  color: var(--copper);
}
.split:hover {
  text-decoration: underline;
}
</style>
