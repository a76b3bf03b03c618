<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Piece } from '../api/types'
import { KEYS, keyOf } from '../parts/keys'
import { followPointer } from '../parts/followPointer'
import { useDisplay } from '../state/display'

/**
 * The 512 slots of a DMX line to scale, with what stands on it; the piece in hand is dragged or
 * walked along by arrow keys. Its start slot is set at the device itself: moving it here says where
 * it is to be set.
 */
const props = defineProps<{
  piece: Extract<Piece, { slot: number }>
  /** Pieces of the same line, this one included; this one alone where it hangs nowhere. */
  line: Extract<Piece, { slot: number }>[]
  zone?: string
  width: number
}>()

const display = useDisplay()
const SLOTS = 512
const scale = computed(() => props.width / SLOTS)
type Slotted = Extract<Piece, { slot: number }>
const channelsOf = (one: Slotted) => display.pieces.get(one.id)?.channels ?? 1
const channels = computed(() => channelsOf(props.piece))
const dragged = ref<number>()
const slot = computed(() => dragged.value ?? props.piece.slot)
const others = computed(() => props.line.filter((one) => one.id !== props.piece.id))
const clash = computed(() =>
  others.value.find(
    (one) => one.slot < slot.value + channels.value && slot.value < one.slot + channelsOf(one),
  ),
)

function within(wanted: number): number {
  return Math.max(1, Math.min(SLOTS, wanted))
}
/** By so many slots from where it is when its turn has come: a held key loses no step. */
function move(by: number) {
  const { id } = props.piece
  void display.edit(() => {
    const now = (display.pieces.get(id)?.piece as Slotted | undefined)?.slot ?? 1
    return { type: 'MoveSlots', pieces: [id], by: within(now + by) - now }
  })
}
function press(event: PointerEvent) {
  const from = event.clientX
  followPointer(
    event,
    (moved) => {
      const slots = (moved.clientX - from) / scale.value
      dragged.value = within(Math.round(props.piece.slot + slots))
    },
    (dropped) => {
      if (dropped && dragged.value !== undefined) {
        move(dragged.value - props.piece.slot)
      }
      dragged.value = undefined
    },
  )
}
function onKey(event: KeyboardEvent) {
  const pressed = keyOf(KEYS.slot, event)
  if (pressed) {
    event.preventDefault()
    event.stopPropagation()
    move({ left: -1, right: 1, farLeft: -16, farRight: 16 }[pressed])
  }
}
</script>

<template>
  <div class="line">
    <svg :width="width" height="44" class="slots">
      <rect x="0" y="10" :width="width" height="18" class="ground" />
      <g v-for="n in 9" :key="n">
        <line :x1="(n - 1) * 64 * scale" :x2="(n - 1) * 64 * scale" y1="8" y2="31" class="tick" />
        <text v-if="n < 9" :x="(n - 1) * 64 * scale + 2" y="42" class="number mono">
          {{ (n - 1) * 64 + 1 }}
        </text>
      </g>
      <rect
        v-for="one in others"
        :key="one.id"
        :x="(one.slot - 1) * scale"
        y="12"
        :width="Math.max(2, channelsOf(one) * scale)"
        height="14"
        class="other"
      >
        <title>{{ one.name }}: {{ one.slot }} – {{ one.slot + channelsOf(one) - 1 }}</title>
      </rect>
      <rect
        :x="(slot - 1) * scale"
        y="9"
        :width="Math.max(4, channels * scale)"
        height="20"
        rx="2"
        class="mine"
        :class="{ clash }"
        :fill="display.zoneColour(zone)"
        role="slider"
        tabindex="0"
        :aria-label="`Start slot of ${piece.name}`"
        :aria-valuenow="slot"
        aria-valuemin="1"
        aria-valuemax="512"
        @pointerdown="press"
        @keydown="onKey"
      />
    </svg>
    <span class="mono told">
      {{ slot }} – {{ slot + channels - 1 }}
      <template v-if="clash">▲ meets {{ clash.name }}</template>
      <template v-else-if="slot + channels - 1 > SLOTS">▲ past slot 512</template>
    </span>
  </div>
</template>

<style scoped>
.line {
  display: grid;
}
.slots {
  display: block;
  overflow: visible;
}
.ground {
  fill: var(--line);
}
.tick {
  stroke: var(--line-strong);
}
.number {
  font-size: 10px;
  fill: var(--quiet);
}
.other {
  fill: var(--line-strong);
}
.mine {
  cursor: ew-resize;
  touch-action: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.2;
}
.mine.clash {
  stroke: rgb(var(--v-theme-error));
  stroke-width: 2.5;
}
.told {
  font-size: 12px;
}
</style>
