<script setup lang="ts">
import { computed, nextTick, onMounted, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../../api/client'
import type { Spot } from '../../api/types'
import { KEYS, keyOf } from '../../parts/keys'
import { useGoThere } from '../../shell/goThere'
import { useDisplay } from '../../state/display'
import { usePatching } from '../../state/patching'
import { useShell } from '../../state/shell'
import ChannelLetter from './ChannelLetter.vue'
import { drawRow, LABEL_WIDTH, namesOn, ROW_HEIGHT, slotAt } from './drawGrid'
import { useGridInk } from './gridInk'
import { useGridRows } from './gridAsked'
import { gapTold, type GridRow, slotOf, standsAt, totals } from './gridRows'
import GridSlots from './GridSlots.vue'

/** Every universe a row of its slots to scale, as they go over the wire. */
const props = defineProps<{ filter: string; row?: string }>()
const emit = defineEmits<{ counted: [shown: number, all: number] }>()

/** How long the pointer rests before the very pixel is asked for (ms). */
const REST = 60
const PAGE = 20

const display = useDisplay()
const patching = usePatching()
const shell = useShell()
const goThere = useGoThere()
const router = useRouter()
const scroller = ref<HTMLElement>()
const canvas = ref<HTMLCanvasElement>()
const ink = useGridInk(canvas)
const cursor = ref(0)
const slot = ref(1)
const spots = shallowRef<Spot[]>([])
const opened = ref<number>()
const scrollTop = ref(0)
const size = ref({ width: 1000, height: 500 })

const { grid, rows, all, shadows } = useGridRows(() => props.filter)
watch([rows, all], () => emit('counted', rows.value.length, all.value.length), { immediate: true })
const sum = computed(() => totals(rows.value))
const controllers = computed(() => display.view!.controllers)
const titleOf = (piece: string) => display.pieces.get(piece)?.title ?? ''
/** What is written on rows, of those that were drawn: it stays until an edit, or another width. */
const names = computed(() => {
  void display.view!.version
  const { width } = size.value
  const known = new Map<GridRow, string[]>()
  return (row: GridRow) => {
    const names = known.get(row) ?? namesOn(row, width, titleOf)
    known.set(row, names)
    return names
  }
})

const here = computed<GridRow | undefined>(() => rows.value[cursor.value])
const stands = computed(() => (here.value ? standsAt(here.value, slot.value) : []))
const lit = computed(() => patching.pointed ?? patching.selected[0])

let due = 0
function draw() {
  due = 0
  const context = canvas.value?.getContext('2d')
  if (!context) {
    return
  }
  const { width, height } = size.value
  const ratio = window.devicePixelRatio || 1
  if (canvas.value!.width !== Math.round(width * ratio)) {
    canvas.value!.width = Math.round(width * ratio)
  }
  if (canvas.value!.height !== Math.round(height * ratio)) {
    canvas.value!.height = Math.round(height * ratio)
  }
  context.setTransform(ratio, 0, 0, ratio, 0, 0)
  context.clearRect(0, 0, width, height)
  const pen = ink()
  const named = names.value
  const first = Math.floor(scrollTop.value / ROW_HEIGHT)
  const last = Math.min(rows.value.length, Math.ceil((scrollTop.value + height) / ROW_HEIGHT))
  for (let i = first; i < last; i++) {
    const row = rows.value[i]
    drawRow(context, row, i * ROW_HEIGHT - scrollTop.value, width, pen, {
      begins: i === first || rows.value[i - 1].controller !== row.controller,
      names: named(row),
      lit: lit.value,
      slot: i === cursor.value ? slot.value : undefined,
      open: row.index === opened.value,
      shadows: shadows.value.get(row.index),
    })
  }
}
function drawSoon() {
  due ||= requestAnimationFrame(draw)
}
watch([rows, shadows, lit, cursor, slot, opened, () => shell.dark, size, scrollTop], drawSoon, {
  flush: 'post',
})

/** Below this the very pixel is asked for anew when the pointer comes to rest. */
let resting: number | undefined
let locating: AbortController | undefined
watch([here, slot, () => display.view!.version], () => {
  window.clearTimeout(resting)
  locating?.abort()
  spots.value = []
  const row = here.value
  if (!row || !stands.value.length) {
    return
  }
  const controller = controllers.value[row.controller].controller.id
  resting = window.setTimeout(async () => {
    const mine = (locating = new AbortController())
    try {
      const query =
        row.firstByte < 0
          ? { slot: slotOf(row, slot.value) }
          : { controller, byte: row.firstByte + slot.value - 1 }
      const found = await api.locate(display.view!.id, query, mine.signal)
      if (locating === mine) {
        // the same universe may be another packet for somebody else
        const own = new Set(row.stretches.map((one) => one.piece))
        spots.value = found.filter((spot) => own.has(spot.piece))
      }
    } catch {
      // it was moved on from
    }
  }, REST)
})

function aim(event: PointerEvent): boolean {
  const box = canvas.value!.getBoundingClientRect()
  const index = Math.floor((event.clientY - box.top + scrollTop.value) / ROW_HEIGHT)
  const row = rows.value[index]
  const found = row && slotAt(row, event.clientX - box.left, size.value.width)
  if (row && found === undefined && event.clientX - box.left < LABEL_WIDTH) {
    cursor.value = index
    return true
  }
  if (!row || found === undefined) {
    return false
  }
  cursor.value = index
  slot.value = found
  return true
}
function onMove(event: PointerEvent) {
  aim(event)
  patching.pointed = stands.value[0]?.piece
}
function onPress(event: PointerEvent) {
  if (aim(event) && stands.value[0]) {
    patching.select(stands.value[0].piece)
  }
}
function toggle() {
  opened.value = opened.value === here.value?.index ? undefined : here.value?.index
}
function move(by: number) {
  cursor.value = Math.max(0, Math.min(rows.value.length - 1, cursor.value + by))
  slot.value = Math.min(slot.value, here.value?.size ?? 1)
  const element = scroller.value!
  const top = cursor.value * ROW_HEIGHT
  if (top < element.scrollTop) {
    element.scrollTop = top
  } else if (top + ROW_HEIGHT > element.scrollTop + element.clientHeight) {
    element.scrollTop = top + ROW_HEIGHT - element.clientHeight
  }
}
function step(by: number, far: boolean) {
  const row = here.value
  if (!row) {
    return
  }
  const edges = row.stretches.map((one) => one.first)
  const next =
    by > 0 ? edges.filter((at) => at > slot.value) : edges.filter((at) => at < slot.value)
  const edge = by > 0 ? Math.min(...next, row.size) : Math.max(...next, 1)
  slot.value = far ? edge : Math.max(1, Math.min(row.size, slot.value + by))
}
async function toPatch() {
  const piece = stands.value[0]?.piece
  if (piece) {
    await goThere({ piece })
  }
}
function onKey(event: KeyboardEvent) {
  const pressed = keyOf(KEYS.grid, event)
  if (!pressed) {
    return
  }
  event.preventDefault()
  const acts: Record<typeof pressed, () => void> = {
    left: () => step(-1, event.shiftKey),
    right: () => step(1, event.shiftKey),
    up: () => move(-1),
    down: () => move(1),
    farUp: () => move(-PAGE),
    farDown: () => move(PAGE),
    first: () => move(-rows.value.length),
    last: () => move(rows.value.length),
    open: toggle,
    patch: () => void toPatch(),
    letGo: () => (opened.value = undefined),
  }
  acts[pressed]()
  patching.pointed = stands.value[0]?.piece
}

/** A row that an address of the window names: "5" or "5:301". */
async function reveal() {
  const [number, channel] = (props.row ?? '').split(':').map(Number)
  const index = rows.value.findIndex((row) => row.firstByte < 0 && row.number === number)
  if (index >= 0) {
    cursor.value = index
    slot.value = channel || 1
    await nextTick()
    scroller.value!.scrollTop = Math.max(0, (index - 4) * ROW_HEIGHT)
    drawSoon()
  }
}
watch([() => props.row, () => rows.value.length > 0], reveal, { immediate: true })
watch(opened, () => {
  const row = rows.value.find((one) => one.index === opened.value)
  void router.replace({ name: 'addresses', params: { row: row ? String(row.number) : '' } })
})

let observer: ResizeObserver | undefined
onMounted(() => {
  observer = new ResizeObserver(() => {
    size.value = { width: scroller.value!.clientWidth, height: scroller.value!.clientHeight }
  })
  observer.observe(scroller.value!)
  drawSoon()
})
onScopeDispose(() => {
  observer?.disconnect()
  cancelAnimationFrame(due)
  window.clearTimeout(resting)
  patching.pointed = undefined
})

/** What stands under the pointer, in words. */
const told = computed(() => {
  const row = here.value
  if (!row) {
    return ''
  }
  if (!stands.value.length) {
    return gapTold(row, slot.value)
  }
  return stands.value
    .map((one) => `${titleOf(one.piece)}, slots ${one.first} to ${one.last}`)
    .join(' and ')
})
const displayOf = (spot: Spot) => spot.channels[spot.asked ?? -1]?.displayChannel
</script>

<template>
  <div class="grid">
    <div
      ref="scroller"
      class="scroller scrolls"
      tabindex="0"
      role="application"
      :aria-label="`Grid of ${rows.length} universes; ${here ? slotOf(here, slot) : ''} ${told}`"
      data-test="address-grid"
      @scroll.passive="scrollTop = ($event.target as HTMLElement).scrollTop"
      @pointermove="onMove"
      @pointerdown="onPress"
      @pointerleave="patching.pointed = undefined"
      @dblclick="toggle"
      @keydown="onKey"
    >
      <canvas ref="canvas" class="canvas" :style="{ height: `${size.height}px` }"></canvas>
      <div :style="{ height: `${Math.max(0, rows.length * ROW_HEIGHT - size.height)}px` }"></div>
    </div>
    <div class="told" role="status" data-test="pointed">
      <span v-if="here" class="mono at">{{ slotOf(here, slot) }}</span>
      <template v-if="spots.length">
        <span v-for="spot in spots" :key="`${spot.piece} ${spot.section}`" class="spot">
          <b>{{ spot.title }}</b>, {{ spot.pixel
          }}<template v-if="spot.positions > 1"> and {{ spot.positions - 1 }} more</template>
          <ChannelLetter :spot="spot" />
          <span class="mono quiet"
            >{{ spot.written
            }}<template v-if="spot.metres !== undefined">
              · {{ spot.metres.toFixed(2) }} m along the wire</template
            ><template v-if="displayOf(spot)">
              · display {{ displayOf(spot)!.toLocaleString('en') }}</template
            ></span
          >
        </span>
      </template>
      <span v-else class="quiet">{{ told }}</span>
      <span class="end quiet">
        {{ sum.taken.toLocaleString('en') }} of {{ sum.slots.toLocaleString('en') }} slots
        taken<template v-if="sum.overlapping"> · ▲ {{ sum.overlapping }} overlap</template>
      </span>
      <button v-if="here" type="button" class="link" data-test="open-row" @click="toggle">
        {{ here.index === opened ? 'close' : 'slot by slot' }}
      </button>
      <button v-if="stands.length" type="button" class="link" @click="toPatch">in Patch</button>
    </div>
    <GridSlots v-if="opened !== undefined" :grid="grid" :row="opened" />
  </div>
</template>

<style scoped>
.grid {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.scroller {
  flex: 1;
  min-height: 120px;
  position: relative;
}
.scroller:focus-visible {
  outline-offset: -2px;
}
.canvas {
  position: sticky;
  top: 0;
  display: block;
  width: 100%;
}
.told {
  flex: none;
  min-height: 34px;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  padding: 4px 16px;
  border-top: 1px solid var(--line);
  font-size: 12.5px;
  background: rgb(var(--v-theme-surface));
}
.at {
  min-width: 9ch;
  font-weight: 500;
}
.end {
  margin-left: auto;
}
.link {
  color: var(--copper);
}
.link:hover {
  text-decoration: underline;
}
</style>
