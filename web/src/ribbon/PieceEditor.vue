<script setup lang="ts">
import { computed } from 'vue'
import { said } from '../api/said'
import type { Piece, PieceChange, PieceView, SectionView } from '../api/types'
import InPlaceNumber from '../parts/InPlaceNumber.vue'
import InPlaceText from '../parts/InPlaceText.vue'
import { useDisplay } from '../state/display'
import HeldStart from './HeldStart.vue'
import SlotLine from './SlotLine.vue'
import StringStrip from './StringStrip.vue'
import WallEditor from './WallEditor.vue'

/** A piece enlarged, of whatever kind; every value edited where it acts. */
const props = defineProps<{
  view: PieceView
  zone?: string
  /** Where it stands, if it hangs anywhere. */
  at?: SectionView[]
  /** In force where it has none of its own (%). */
  brightness: number
  width: number
}>()

const display = useDisplay()
const piece = computed(() => props.view.piece)
type Circuit = Extract<Piece, { threshold: number }>
type Slotted = Extract<Piece, { slot: number }>

function set(changes: Partial<Piece>) {
  const { id, kind } = piece.value
  void display.edit({
    type: 'SetPieces',
    pieces: [id],
    set: { kind, ...said(changes) } as PieceChange,
  })
}
/** What stands on the same DMX line. */
const line = computed<Slotted[]>(() => {
  const lane = display.legs.get(piece.value.id)?.lane
  return lane
    ? lane.legs.map((leg) => display.pieces.get(leg.piece)!.piece as Slotted)
    : [piece.value as Slotted]
})
/** Circuits that must never be on with it. */
const partners = computed(() => {
  const one = piece.value
  const group = one.kind === 'circuit' ? one.interlock : undefined
  return [...display.pieces.values()]
    .filter(({ piece: other }) => other.kind === 'circuit' && other.id !== one.id)
    .filter(({ piece: other }) => group && (other as Circuit).interlock === group)
    .map((view) => view.title)
})
const where = computed(() => {
  const one = props.at?.[0]
  return one?.start ? `${one.start} – ${one.end}` : ''
})
</script>

<template>
  <StringStrip
    v-if="piece.kind === 'string'"
    :string="piece"
    :zone="zone"
    :at="at"
    :brightness="brightness"
    :width="width"
  >
    <template #plug><slot name="plug" /></template>
  </StringStrip>
  <WallEditor v-else-if="piece.kind === 'wall'" :wall="piece" :view="view.wall!" :at="at?.[0]" />
  <div v-else class="plain">
    <p v-if="piece.kind === 'circuit'">
      <HeldStart
        :at="at?.[0]"
        :hold="piece.hold"
        @hold="(hold) => set({ hold: hold ?? undefined })"
      />
      on from level
      <InPlaceNumber
        :value="piece.threshold"
        label="On from level"
        :least="1"
        :most="255"
        @change="(v) => set({ threshold: v! })"
      />, rests
      <button
        type="button"
        class="toggle"
        :aria-pressed="piece.safeOn"
        @click="set({ safeOn: !piece.safeOn })"
      >
        {{ piece.safeOn ? 'on' : 'off' }}
      </button>
      when no levels come; on for
      <InPlaceNumber
        :value="piece.shortestOnSeconds"
        none="any time"
        label="Shortest time on, seconds"
        :least="0.01"
        :most="86400"
        :step="0.01"
        @change="(v) => set({ shortestOnSeconds: v })"
      />
      up to
      <InPlaceNumber
        :value="piece.longestOnSeconds"
        none="any time"
        label="Longest time on, seconds"
        :least="0.01"
        :most="86400"
        :step="0.01"
        @change="(v) => set({ longestOnSeconds: v })"
      />
      s, off for
      <InPlaceNumber
        :value="piece.shortestOffSeconds"
        none="any time"
        label="Shortest time off, seconds"
        :least="0.01"
        :most="86400"
        :step="0.01"
        @change="(v) => set({ shortestOffSeconds: v })"
      />
      s; interlock
      <InPlaceText
        :value="piece.interlock ?? ''"
        none="none"
        label="Interlock: of circuits with the same name never two may be on together"
        @change="(v) => set({ interlock: v || undefined })"
      /><template v-if="partners.length">, never on with {{ partners.join(', ') }}</template>
    </p>
    <template v-else-if="piece.kind === 'fixture' || piece.kind === 'decoder'">
      <p>
        <span v-if="where" class="mono">{{ where }} · </span>
        slot
        <InPlaceNumber
          :value="piece.slot"
          label="Start slot, set at the device"
          :least="1"
          :most="512"
          @change="(v) => set({ slot: v! })"
        />,
        <template v-if="piece.kind === 'fixture'">
          <InPlaceNumber
            :value="piece.channels"
            label="Channels"
            :least="1"
            :most="512"
            @change="(v) => set({ channels: v! })"
          />
          channels<template v-for="pair in piece.pairs" :key="pair.name"
            >, {{ pair.name }} 16 bits at {{ pair.channel }}</template
          >
        </template>
        <template v-else>
          <InPlaceNumber
            :value="piece.pixels"
            label="Pixels RGBW"
            :least="1"
            :most="128"
            @change="(v) => set({ pixels: v! })"
          />
          pixels RGBW of
          <InPlaceNumber
            :value="piece.ledsPerPixel"
            label="LEDs of a pixel"
            :least="1"
            :most="1000"
            @change="(v) => set({ ledsPerPixel: v! })"
          />
          LEDs
        </template>
      </p>
      <SlotLine :piece="piece" :line="line" :zone="zone" :width="Math.min(width, 900)" />
    </template>
    <p v-else>
      unit
      <InPlaceNumber
        :value="piece.unit"
        label="Unit number, set at the device"
        :least="1"
        :most="255"
        @change="(v) => set({ unit: v! })"
      />,
      <InPlaceNumber
        :value="piece.circuits"
        label="Dimmed circuits"
        :least="1"
        :most="64"
        @change="(v) => set({ circuits: v! })"
      />
      dimmed circuits, driven by the host itself
    </p>
  </div>
</template>

<style scoped>
.plain {
  font-size: 13px;
  display: grid;
  gap: 6px;
}
.toggle {
  border-bottom: 1px dashed var(--copper);
}
</style>
