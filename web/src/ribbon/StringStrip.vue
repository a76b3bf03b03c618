<script setup lang="ts">
import DrawnIcon from '../parts/DrawnIcon'
import { mdiContentCut, mdiLinkVariant } from '@mdi/js'
import { computed, ref } from 'vue'
import { said } from '../api/said'
import type { PixelString, Section, SectionView } from '../api/types'
import { KEYS, keyOf } from '../parts/keys'
import { followPointer } from '../parts/followPointer'
import { cutting } from '../state/cutting'
import { useDisplay } from '../state/display'
import { SEAM, sectionWidths } from './geometry'
import SectionBlock from './SectionBlock.vue'

/**
 * A string enlarged, plug end first: its sections, split by double-click, joined and shifted at the
 * boundaries between them, where the string itself is cut in two as well.
 */
const props = defineProps<{
  string: PixelString
  zone?: string
  /** Where its sections stand, if it hangs anywhere. */
  at?: SectionView[]
  /** In force where a section has none of its own (%). */
  brightness: number
  width: number
}>()

const display = useDisplay()
const usualOrder = computed(
  () => display.pixelTypes.get(props.string.pixelType)?.colourOrder ?? 'RGB',
)
const widths = computed(() => sectionWidths(props.string.sections, props.width))

function set(index: number, changes: Partial<Section>) {
  const sections = [{ piece: props.string.id, index }]
  void display.edit({ type: 'SetSections', sections, set: said(changes) })
}
function turn(index: number) {
  void display.edit({ type: 'TurnSections', sections: [{ piece: props.string.id, index }] })
}
function split(index: number, pixels: number) {
  void display.edit({ type: 'SplitSection', piece: props.string.id, index, pixels })
}
function join(index: number) {
  void display.edit({ type: 'JoinSections', piece: props.string.id, index })
}
/** Two strings of one: each can hang on a port of its own then. */
function cut(index: number) {
  const before = props.string.sections.slice(0, index + 1)
  const after = before.reduce((sum, section) => sum + section.pixels, 0)
  void display.edit(cutting(display.view!, props.string.id, after))
}

/** A boundary that is being dragged, and how many pixels the section before it would have. */
const dragged = ref<{ index: number; pixels: number }>()
function press(event: PointerEvent, index: number) {
  const from = event.clientX
  const { sections } = props.string
  const both = sections[index].pixels + sections[index + 1].pixels
  const perPixel = (widths.value[index] + widths.value[index + 1]) / both
  followPointer(
    event,
    (moved) => {
      const pixels = Math.round(sections[index].pixels + (moved.clientX - from) / perPixel)
      dragged.value = { index, pixels: Math.max(1, Math.min(both - 1, pixels)) }
    },
    (dropped) => {
      if (dropped && dragged.value) {
        shift(index, dragged.value.pixels - sections[index].pixels)
      }
      dragged.value = undefined
    },
  )
}
function shift(index: number, by: number) {
  if (by !== 0) {
    void display.edit({ type: 'MoveBoundary', piece: props.string.id, index, by })
  }
}
function onKey(event: KeyboardEvent, index: number) {
  const pressed = keyOf(KEYS.boundary, event)
  if (!pressed) {
    return
  }
  event.preventDefault()
  event.stopPropagation()
  if (pressed === 'remove') {
    join(index)
  } else if (pressed === 'cut') {
    cut(index)
  } else {
    shift(index, (pressed === 'left' ? -1 : 1) * (event.shiftKey ? 10 : 1))
  }
}
</script>

<template>
  <div class="strip">
    <slot name="plug" />
    <div class="parts">
      <div v-for="(section, i) in string.sections" :key="i" class="part">
        <SectionBlock
          :section="section"
          :index="i"
          :piece="at && string.id"
          :at="at?.[i]"
          :width="widths[i]"
          :zone-colour="display.zoneColour(zone)"
          :brightness="brightness"
          :usual-order="usualOrder"
          @set="(changes) => set(i, changes)"
          @turn="turn(i)"
          @split="(pixels) => split(i, pixels)"
        />
        <div v-if="i < string.sections.length - 1" class="seam" :class="{ low: at }">
          <div
            class="boundary"
            role="slider"
            tabindex="0"
            :aria-label="`Boundary between sections ${i + 1} and ${i + 2}; Delete joins them`"
            :aria-valuenow="section.pixels"
            :aria-valuemin="1"
            :aria-valuemax="section.pixels + string.sections[i + 1].pixels - 1"
            :data-boundary="i"
            title="Drag, or arrow keys: shift. Delete: join. X: cut the string in two"
            @pointerdown="(event) => press(event, i)"
            @keydown="(event) => onKey(event, i)"
          />
          <button
            type="button"
            class="join"
            :aria-label="`Join sections ${i + 1} and ${i + 2}`"
            @click="join(i)"
          >
            <DrawnIcon :path="mdiLinkVariant" :size="14" />
          </button>
          <button
            type="button"
            class="join cut"
            :aria-label="`Cut the string in two between sections ${i + 1} and ${i + 2}`"
            title="Cut the string in two here"
            @click="cut(i)"
          >
            <DrawnIcon :path="mdiContentCut" :size="14" />
          </button>
          <span v-if="dragged?.index === i" class="shifted mono"
            >{{ dragged.pixels }} |
            {{ section.pixels + string.sections[i + 1].pixels - dragged.pixels }}</span
          >
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  font-size: 12px;
}
.parts {
  display: flex;
  flex-wrap: wrap;
  flex: 1;
  min-width: 0;
}
.part {
  display: flex;
}
.seam {
  position: relative;
  flex: none;
  width: v-bind('`${SEAM}px`');
}
.boundary {
  width: 10px;
  height: 60px;
  margin-left: 1px;
  border-radius: 3px;
  cursor: col-resize;
  touch-action: none;
  background: linear-gradient(90deg, transparent 4px, var(--line-strong) 4px 6px, transparent 6px);
}
.seam.low .boundary {
  margin-top: 46px;
}
.boundary:hover {
  background-color: color-mix(in srgb, var(--copper) 30%, transparent);
}
.join {
  position: relative;
  width: 24px;
  height: 22px;
  margin-left: -6px;
  color: var(--copper);
  z-index: 1;
}
/* where addresses stand above, at the head of the line along which it cuts */
.low .cut {
  position: absolute;
  left: 0;
  top: 26px;
  transform: rotate(90deg);
}
.shifted {
  position: absolute;
  top: 26px;
  left: 16px;
  padding: 2px 6px;
  white-space: nowrap;
  color: rgb(var(--v-theme-background));
  background: rgb(var(--v-theme-on-surface));
  border-radius: 3px;
  z-index: 3;
}
</style>
