<script setup lang="ts">
import { computed } from 'vue'
import type { GridOrder, Panels, SectionView, Wall, WallChange, WallView, Way } from '../api/types'
import InPlaceChoice from '../parts/InPlaceChoice.vue'
import InPlaceNumber from '../parts/InPlaceNumber.vue'
import { useDisplay } from '../state/display'
import HeldStart from './HeldStart.vue'
import WallPicture from './WallPicture.vue'

/** A wall: its picture from the front, and its size as panels, as pixels, or as size and pitch. */
const props = defineProps<{ wall: Wall; view: WallView; at?: SectionView }>()

const display = useDisplay()
function set(changes: Omit<WallChange, 'kind'>) {
  void display.edit({
    type: 'SetPieces',
    pieces: [props.wall.id],
    set: { kind: 'wall', ...changes },
  })
}
const setOrder = (order: Partial<GridOrder>) => set({ order })
const setPanels = (panels: Omit<Partial<Panels>, 'order'>) => set({ panels })
const setChain = (order: Partial<GridOrder>) => set({ panels: { order } })

const made = computed<Way>(() =>
  props.wall.panels ? 'PANELS' : props.wall.resolution ? 'RESOLUTION' : 'SIZE',
)
/** Says the size another way. */
function remake(way?: string) {
  void display.edit({ type: 'RemakeWall', piece: props.wall.id, way: way as Way })
}
const lines = [
  { value: 'ROWS', title: 'row by row' },
  { value: 'COLUMNS', title: 'column by column' },
]
const turning = [
  { value: 'no', title: 'each line from the same side' },
  { value: 'yes', title: 'back and forth' },
]
const corners = [
  { value: 'TOP_LEFT', title: 'top left' },
  { value: 'TOP_RIGHT', title: 'top right' },
  { value: 'BOTTOM_LEFT', title: 'bottom left' },
  { value: 'BOTTOM_RIGHT', title: 'bottom right' },
]
const asCorner = (value?: string) => value as GridOrder['start']
const asLines = (value?: string) => value as GridOrder['lines']
</script>

<template>
  <div class="wall">
    <WallPicture :wall="wall" :view="view" @corner="(start) => setOrder({ start })" />
    <ul class="facts">
      <li>
        <strong class="mono">{{ view.width }} × {{ view.height }} pixels</strong>
        <template v-if="at?.start">
          · <HeldStart :at="at" :hold="wall.hold" @hold="(hold) => set({ hold })"
        /></template>
      </li>
      <li>
        first pixel
        <InPlaceChoice
          :value="wall.order.start"
          label="Corner of the first pixel, from the front"
          :choices="corners"
          @change="(v) => setOrder({ start: asCorner(v) })"
        />,
        <InPlaceChoice
          :value="wall.order.lines"
          label="How the pixels are run through"
          :choices="lines"
          @change="(v) => setOrder({ lines: asLines(v) })"
        />,
        <InPlaceChoice
          :value="wall.order.serpentine ? 'yes' : 'no'"
          label="Whether every second line runs back"
          :choices="turning"
          @change="(v) => setOrder({ serpentine: v === 'yes' })"
        />
      </li>
      <li>
        told as
        <InPlaceChoice
          :value="made"
          label="How its size is told"
          :choices="[
            { value: 'PANELS', title: 'panels' },
            { value: 'RESOLUTION', title: 'pixels' },
            { value: 'SIZE', title: 'size and pitch' },
          ]"
          @change="remake"
        />:
        <template v-if="wall.panels">
          <InPlaceNumber
            :value="wall.panels.columns"
            label="Panels side by side"
            :least="1"
            :most="100"
            @change="(v) => setPanels({ columns: v! })"
          />
          ×
          <InPlaceNumber
            :value="wall.panels.rows"
            label="Panels above each other"
            :least="1"
            :most="100"
            @change="(v) => setPanels({ rows: v! })"
          />
          panels of
          <InPlaceNumber
            :value="wall.panels.panelWidth"
            label="Pixels across a panel"
            :least="1"
            :most="1024"
            @change="(v) => setPanels({ panelWidth: v! })"
          />
          ×
          <InPlaceNumber
            :value="wall.panels.panelHeight"
            label="Pixels down a panel"
            :least="1"
            :most="1024"
            @change="(v) => setPanels({ panelHeight: v! })"
          />
        </template>
        <template v-else-if="wall.resolution">
          <InPlaceNumber
            :value="wall.resolution.width"
            label="Pixels across"
            :least="1"
            :most="10000"
            @change="(v) => set({ resolution: { width: v! } })"
          />
          ×
          <InPlaceNumber
            :value="wall.resolution.height"
            label="Pixels down"
            :least="1"
            :most="10000"
            @change="(v) => set({ resolution: { height: v! } })"
          />
        </template>
        <template v-else-if="wall.size">
          <InPlaceNumber
            :value="wall.size.widthMillimetres"
            label="Width, millimetres"
            :least="1"
            :most="1000000"
            :step="0.1"
            @change="(v) => set({ size: { widthMillimetres: v! } })"
          />
          ×
          <InPlaceNumber
            :value="wall.size.heightMillimetres"
            label="Height, millimetres"
            :least="1"
            :most="1000000"
            :step="0.1"
            @change="(v) => set({ size: { heightMillimetres: v! } })"
          />
          mm, a pixel every
          <InPlaceNumber
            :value="wall.pitchMillimetres"
            label="Pitch, millimetres"
            :least="0.1"
            :most="10000"
            :step="0.1"
            @change="(v) => set({ pitchMillimetres: v! })"
          />
          mm
        </template>
      </li>
      <li v-if="wall.panels">
        chained from
        <InPlaceChoice
          :value="wall.panels.order.start"
          label="Corner of the first panel, from the front"
          :choices="corners"
          @change="(v) => setChain({ start: asCorner(v) })"
        />,
        <InPlaceChoice
          :value="wall.panels.order.lines"
          label="How the panels are chained"
          :choices="lines"
          @change="(v) => setChain({ lines: asLines(v) })"
        />,
        <InPlaceChoice
          :value="wall.panels.order.serpentine ? 'yes' : 'no'"
          label="Whether every second line of panels runs back"
          :choices="turning"
          @change="(v) => setChain({ serpentine: v === 'yes' })"
        />
      </li>
      <li v-for="card in wall.panels?.cards" :key="card.name" class="mono">
        {{ card.name }}: rows {{ card.rows.join(', ') }} ·
        {{ card.rows.length * view.width * wall.panels!.panelHeight }} of {{ card.mostPixels }} px ·
        {{ card.refreshHertz }} Hz
      </li>
    </ul>
  </div>
</template>

<style scoped>
.wall {
  display: flex;
  gap: 20px;
}
.facts {
  list-style: none;
  font-size: 12.5px;
  line-height: 26px;
}
</style>
