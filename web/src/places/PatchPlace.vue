<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch, watchEffect, type Ref } from 'vue'
import { useRouter } from 'vue-router'
import type { ControllerView, LaneView } from '../api/types'
import { portKey, useDisplay } from '../state/display'
import { isAcross, usePatching } from '../state/patching'
import AddressesRow from './patch/AddressesRow.vue'
import ArrangePanel from './patch/ArrangePanel.vue'
import BankHeading from './patch/BankHeading.vue'
import CarriedPieces from './patch/CarriedPieces.vue'
import ControllerHeader from './patch/ControllerHeader.vue'
import { useDrag } from './patch/drag'
import { usePatchKeys, type Cell } from './patch/keys'
import { useFolding } from './patch/folding'
import LegGlass from './patch/LegGlass.vue'
import PieceTray from './patch/PieceTray.vue'
import { BESIDE_WIRES, LABEL, useLens } from './patch/scale'
import PatchTools from './patch/PatchTools.vue'
import PlainRows from './patch/PlainRows.vue'
import { usePointedPixel } from './patch/pointedPixel'
import PortLane from './patch/PortLane.vue'
import { useReveal } from './patch/reveal'
import { keepingRows, type Placed, type Row } from './patch/rows'
import { useFlight } from '../parts/flight'
import { useSlots } from '../parts/slots'
import { useWindowing } from '../parts/windowing'

/** The piece that the address opens. */
const props = defineProps<{ piece?: string }>()

/** What of it is being arranged: all, or a zone. */
const arranging = computed(() => {
  const found = /^arrange(?:-(.+))?$/.exec(props.piece ?? '')
  return found && { zone: found[1] as string | undefined }
})

const display = useDisplay()
const router = useRouter()
const patching = usePatching()
const scroller = ref<HTMLElement>()
const onlyUsed = ref(false)

/** A host's free lines only matter while there is something to hang on one. */
const wantsLines = computed(() => display.loose.some((piece) => piece.piece.kind === 'dimmer'))
const controllers = computed(() =>
  display.view!.controllers.filter((c) => c.lanes.some((lane) => isShown(c, lane))),
)
function isShown(view: ControllerView, lane: LaneView): boolean {
  return lane.legs.length > 0 || (view.host ? wantsLines.value : !onlyUsed.value)
}
const { folded, fold, allFolded, foldAll } = useFolding(controllers)
const rowsOf = keepingRows()
const rows: Ref<Row[]> = computed(() => {
  const glass = patching.glass
  const glassAt = glass === undefined ? undefined : display.legs.get(glass)?.lane.port.controller
  const which = `${onlyUsed.value} ${wantsLines.value}`
  return controllers.value.flatMap((view) =>
    rowsOf(view, which, {
      folded: folded.has(view.controller.id),
      has: (lane) => isShown(view, lane),
      glass:
        glassAt === view.controller.id
          ? { leg: glass!, width: glassWidth.value, of: display.pieces.get(glass!)! }
          : undefined,
    }),
  )
})
const { visible, total, width, show } = useWindowing(scroller, rows, (step) => flight.moved(step))
const glassWidth = computed(() => Math.max(1, width.value - LABEL - 24))

const { most, narrow, room, scale, wire, inner } = useLens(width)

const flight = useFlight(
  computed(() => visible.value.map((one) => one.row.key)),
  scale,
)
/**
 * All rows, as large as they are: not of what is drawn, which zooming would draw anew each time. As
 * wide as that only once it stands: each row would be laid out anew.
 */
const all = ref<HTMLElement>()
watchEffect(
  () => {
    if (all.value) {
      all.value.style.height = `${total.value}px`
    }
    if (all.value && flight.plain.value.size === 0) {
      all.value.classList.toggle('wide', inner.value > width.value)
      all.value.style.width = `${inner.value}px`
    }
  },
  { flush: 'post' },
)

const isPlain = (row: Row) => row.kind !== 'glass' && flight.plain.value.has(row.key)
/** Handed on as they are: what is drawn here is not looked at anew with each row that flies by. */
const passing = { rows: computed(() => visible.value.filter(({ row }) => isPlain(row))) }
/** The very same as long as nothing of it changed: while all flies by nothing else is looked at. */
const whole = computed<Placed[]>((before) => {
  const now = visible.value.filter(({ row }) => !isPlain(row))
  const same = (one: Placed, i: number) => now[i].row === one.row && now[i].top === one.top
  return before?.length === now.length && before.every(same) ? before : now
})
/** Lanes and rulers keep nothing of their own: their elements may be used again. */
const slotsOf = useSlots<Row>((row) =>
  row.kind === 'lane' || row.kind === 'ruler' ? row.kind : undefined,
)
const slots = computed(() => slotsOf(whole.value.map((one) => one.row)))

const shownLanes = computed(() => {
  const lanes: LaneView[] = []
  for (const row of rows.value) {
    if (row.kind === 'lane') {
      lanes.push(row.lane)
    }
  }
  return lanes
})
const { cell, onKey } = usePatchKeys(shownLanes, (to) => void go(to))
/** What the pixel under the pointer answers to. */
const pixel = usePointedPixel(scale)
const { at, overTray, press, clickIsMeant } = useDrag(scale, scroller)

async function go(to: Cell) {
  const index = rows.value.findIndex((row) => row.kind === 'lane' && row.key === to.lane)
  if (rows.value[index + 1]?.kind === 'glass') {
    show(index + 1)
  }
  show(index)
  await nextTick()
  const lane = scroller.value?.querySelector(`[data-lane="${to.lane}"]`)
  lane?.querySelector<HTMLElement>(`[data-cell="${to.index}"]`)?.focus({ preventScroll: true })
}

/** Brings a leg that lies under the glass into view, as far as there is room its lane too. */
function showGlass(piece: string) {
  const index = rows.value.findIndex((row) => row.kind === 'glass' && row.leg.piece === piece)
  show(index)
  show(index - 1)
}

function choose(piece: string, extend: boolean) {
  if (!clickIsMeant()) {
    return
  }
  const wasOnly = patching.selected.length === 1 && patching.selected[0] === piece
  patching.select(piece, extend)
  if (!extend && display.legs.has(piece)) {
    patching.glass = wasOnly && patching.glass === piece ? undefined : piece
    if (patching.glass) {
      void nextTick(() => showGlass(piece))
    }
  }
}

function focusCell(lane: LaneView, index: number) {
  cell.value = { lane: portKey(lane.port), index }
}
function activeIn(lane: LaneView): number | undefined {
  const key = portKey(lane.port)
  if (cell.value === undefined) {
    return shownLanes.value[0] && portKey(shownLanes.value[0].port) === key ? 0 : undefined
  }
  return cell.value.lane === key ? Math.min(cell.value.index, lane.legs.length) : undefined
}

function isAimedAt(lane: LaneView): boolean {
  const target = patching.target
  return (
    !!target &&
    isAcross(target) &&
    target.from === lane.port.port &&
    isAimed({ controller: { id: lane.port.controller } })
  )
}
function isAimed(view: { controller: { id: string } }): boolean {
  const target = patching.target
  return !!target && isAcross(target) && target.controller === view.controller.id
}

/** With pieces in hand, the keyboard goes to the lanes. */
function toLanes() {
  const lane = shownLanes.value.find((one) => one.legs.length === 0) ?? shownLanes.value[0]
  if (lane) {
    void go({ lane: portKey(lane.port), index: lane.legs.length })
  }
}

function openGlass(piece?: string) {
  if (piece && piece !== patching.glass && display.legs.has(piece)) {
    patching.select(piece)
    patching.glass = piece
    patching.reveal = `piece:${piece}`
  }
}
onMounted(() => openGlass(props.piece))
watch(() => props.piece, openGlass)
watch(
  () => patching.glass,
  (piece) => {
    if (piece ? piece !== props.piece : props.piece && !arranging.value) {
      void router.replace({ name: 'patch', params: { piece: piece ?? '' } })
    }
  },
  { immediate: true, flush: 'post' },
)

useReveal(rows, show, go)
</script>

<template>
  <div
    class="patch"
    :style="BESIDE_WIRES"
    @dragstart.prevent
    @mousemove="pixel.point"
    @mouseleave="pixel.forget"
  >
    <PatchTools
      v-model:only-used="onlyUsed"
      :ports="shownLanes.length"
      :pixel="pixel.told.value"
      :folds="controllers.length > 1"
      :all-folded="allFolded"
      @fold-all="foldAll"
    />

    <div v-if="controllers.length === 0" class="empty">
      <h2>No controller with ports yet</h2>
      <p class="quiet">
        Place some in <router-link :to="{ name: 'controllers' }">Controllers</router-link>, or open
        a display file from the menu of displays above.
      </p>
    </div>
    <div
      ref="scroller"
      class="lanes scrolls"
      role="application"
      aria-label="Ports and what hangs on them"
      @keydown="onKey"
    >
      <div ref="all" class="all">
        <div
          v-for="({ row, top }, i) in whole"
          :key="slots[i]"
          class="row"
          :class="[row.kind, { over: row.kind === 'lane' && patching.isOver(row.lane) }]"
          :style="`top: ${top}px; height: ${row.height}px`"
        >
          <ControllerHeader
            v-if="row.kind === 'head'"
            :view="row.view"
            :folded="folded.has(row.view.controller.id)"
            :most="most"
            :aimed="isAimed(row.view)"
            :style="{ width: `${width}px` }"
            @fold="(others) => fold(row.view.controller.id, others)"
          />
          <PortLane
            v-else-if="row.kind === 'lane'"
            :lane="row.lane"
            :scale="scale"
            :room="Math.max(room, wire)"
            :narrow="narrow"
            :active="activeIn(row.lane)"
            @press="press"
            @choose="choose"
            @focus-cell="(index) => focusCell(row.lane, index)"
          />
          <LegGlass
            v-else-if="row.kind === 'glass'"
            :view="row.view"
            :lane="row.lane"
            :leg="row.leg"
            :width="glassWidth"
            :style="{ width: `${width - LABEL - 16}px` }"
          />
          <BankHeading
            v-else-if="row.kind === 'bank'"
            :view="row.view"
            :lane="row.lane"
            :aimed="isAimedAt(row.lane)"
          />
          <AddressesRow
            v-else
            :view="row.view"
            :room="room"
            :narrow="narrow"
            @choose="(piece) => choose(piece, false)"
          />
        </div>
        <PlainRows :passing="passing" :far="most" :narrow="narrow" />
      </div>
    </div>
    <PieceTray
      v-if="!arranging"
      :over-tray="overTray"
      :click-is-meant="clickIsMeant"
      @press="press"
      @in-hand="toLanes"
      @arrange="router.push({ name: 'patch', params: { piece: 'arrange' } })"
    />
    <ArrangePanel
      v-if="arranging"
      :zone="arranging.zone"
      @done="router.push({ name: 'patch', params: { piece: '' } })"
    />
    <CarriedPieces v-if="patching.dragged.length" :at="at" />
  </div>
</template>

<style scoped>
.patch {
  height: 100%;
  display: flex;
  flex-direction: column;
}
.lanes {
  flex: 1;
  min-height: 0;
  position: relative;
}
.all {
  position: relative;
}
/* labels and meters stay in view, above the wires, where lanes are wider than the window, and cost
   nothing elsewhere */
.all {
  --stays: static;
  --above: auto;
}
.all.wide {
  --stays: sticky;
  --above: 2;
}
.row {
  position: absolute;
  left: 0;
  width: 100%;
  contain: layout style;
}
.row.over {
  z-index: 5;
}
.empty {
  padding: 12vh 24px;
  text-align: center;
}
</style>
