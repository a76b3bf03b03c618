<script setup lang="ts">
import { computed } from 'vue'
import type { LaneView } from '../api/types'
import { useDisplay } from '../state/display'
import { useProgress } from '../state/progress'
import { drawnLegs, type DrawnLeg } from './drawnLegs'
import { endOf, excessAt, limitOf, stretches } from './geometry'
import { labels } from './labels'

/** A run as a wire: ribbons to scale, null pixels hatched, folds notched, an end stop at the limit. */
const props = defineProps<{
  lane: LaneView
  /** Screen pixels for one pixel of the wire. */
  scale: number
  selected: string[]
  pointed?: string
  /** What shows the same as what is pointed at or chosen. */
  tied?: Set<string>
  /** Where the view of the wire ends (px). */
  room: number
  /** Pieces that are only being tried here. */
  ghosts: string[]
  cut: string[]
  /** The leg that the keyboard stands on; the number of legs: the free end. */
  active?: number
}>()
const emit = defineEmits<{
  press: [event: PointerEvent, piece: string]
  choose: [piece: string, extend: boolean]
  point: [piece: string | undefined]
  focusCell: [index: number]
}>()

const display = useDisplay()
const progress = useProgress()
const wires = computed(() => stretches(props.lane))
const limit = computed(() => limitOf(props.lane))
const end = computed(() => endOf(props.lane))
/** Where power enters besides the socket. */
const feeds = computed(() => (props.lane.power?.feeds ?? []).filter((feed) => feed.piece))
const over = computed(() => props.lane.load?.over ?? 0)
const excess = computed(
  () => `+${over.value} over the ${props.lane.load?.limitBy === 'FRAME' ? 'frame' : 'model'}`,
)

/** Worked out once for a lane: pointing at legs and choosing them changes none of it. */
const drawn = computed(() =>
  drawnLegs(props.lane, wires.value, props.scale, {
    view: (piece) => display.pieces.get(piece),
    wrong: (piece) => display.wrongAt.get(`piece ${piece}`),
    progress: (piece) => progress.byPiece.get(piece),
  }),
)
/** What is written on each ribbon, and behind the last. */
const written = computed(() =>
  labels(
    drawn.value.map((d) => ({
      title: (d.stretch.leg.mirrorOf ? '= ' : '') + d.stretch.leg.title,
      count: d.count,
      left: d.left,
      width: d.width,
      catch: d.caught,
      box: d.box,
    })),
    props.room,
  ),
)

const px = (places: number) => `${places * props.scale}px`

/** Where a ribbon lies, its colour, and where its sections end: one text, since it is set as one. */
function styleOf({ left, width, sections, stretch }: DrawnLeg): string {
  const own = `left: ${left}px; width: ${width}px; color: ${display.zoneColour(stretch.leg.zone)}`
  return sections.length
    ? `${own}; background-image: ${sections.map(() => 'var(--cut)').join()};` +
        ` background-position: ${sections.map((x) => `${x}px 0`).join()}`
    : own
}

/** The leg that an event is about. */
const at = (event: Event) =>
  (event.target as Element).closest<HTMLElement>('[data-piece]')?.dataset.piece
function press(event: PointerEvent) {
  const piece = at(event)
  if (piece) {
    emit('press', event, piece)
  }
}
function choose(event: MouseEvent) {
  const piece = at(event)
  if (piece && event.detail < 2) {
    emit('choose', piece, event.shiftKey || event.ctrlKey)
  }
}
function focus(event: FocusEvent) {
  const cell = (event.target as HTMLElement).dataset.cell
  if (cell !== undefined) {
    emit('focusCell', Number(cell))
  }
}
</script>

<template>
  <div
    class="wire"
    :style="{ width: px(Math.max(end, limit ?? 0) + 4) }"
    @pointerdown="press"
    @click="choose"
    @pointerover="(event) => emit('point', at(event))"
    @pointerleave="emit('point', undefined)"
    @focusin="focus"
  >
    <div v-if="limit" class="rail" :style="{ width: px(limit) }" />
    <div
      v-if="limit && end > limit"
      class="beyond"
      :style="{ left: px(limit), width: px(end - limit) }"
    />
    <template v-for="(d, i) in drawn" :key="i">
      <div
        v-if="d.stretch.gap"
        class="nulls"
        :style="{ left: px(d.stretch.from), width: `${Math.max(3, d.stretch.gap * scale - 1)}px` }"
        :title="`${d.stretch.gap} null pixels`"
      />
      <button
        type="button"
        class="leg"
        :class="{
          selected: selected.includes(d.piece),
          pointed: pointed === d.piece,
          ghost: ghosts.includes(d.piece),
          cut: cut.includes(d.piece),
          mirror: d.stretch.leg.mirrorOf,
          tied: tied?.has(d.piece),
          wall: lane.port.kind === 'PANEL',
          wrong: d.wrong?.fault,
          risky: d.wrong && !d.wrong.fault,
          onoff: lane.port.kind === 'RELAY' || lane.port.kind === 'SERIAL',
        }"
        :style="styleOf(d)"
        :tabindex="active === i ? 0 : -1"
        :data-piece="d.piece"
        :data-cell="i"
        :aria-label="d.told"
        :title="d.tip"
        :aria-pressed="selected.includes(d.piece)"
      >
        <span
          v-for="(n, which) in d.nulls"
          :key="`n${which}`"
          class="nulls inside"
          :style="{ left: `${n.at}px`, width: `${n.wide}px` }"
        />
        <span v-for="x in d.folds" :key="`f${x}`" class="fold" :style="{ left: `${x}px` }" />
        <span v-if="d.trouble" class="trouble" aria-hidden="true" data-test="trouble">▲</span>
        <span v-if="d.caught" class="catch" title="The start address is held" />
        <span v-if="d.box" aria-hidden="true" class="box mono" :title="`Remote box ${d.box}`">{{
          d.box
        }}</span>
        <!-- a name cut short is drawn, not text: the label has the whole one -->
        <span v-if="written.on[i].name.includes('…')" class="name" :data-cut="written.on[i].name" />
        <span v-else-if="written.on[i].name" class="name">{{ written.on[i].name }}</span>
        {{ ' ' }}
        <span v-if="written.on[i].count" class="count mono">{{ written.on[i].count }}</span>
      </button>
    </template>
    <template v-for="(d, i) in drawn" :key="`over${i}`">
      <span v-if="written.on[i].over" class="behind" :style="{ left: `${d.left + d.width}px` }">{{
        written.on[i].over
      }}</span>
    </template>
    <span v-if="written.behind" class="behind" :style="{ left: px(end) }">{{
      written.behind
    }}</span>
    <span
      v-for="(feed, i) in feeds"
      :key="`feed${i}`"
      class="feed"
      :style="{ left: px(feed.position - 0.5) }"
    />
    <div v-if="limit" class="stop" :class="{ broken: over > 0 }" :style="{ left: px(limit) }" />
    <span
      v-if="limit && over > 0"
      class="excess mono"
      :style="{ left: `${excessAt(Math.max(end, limit) * scale, room, excess)}px` }"
    >
      {{ excess }}
    </span>
    <button
      type="button"
      class="free"
      :style="{ left: px(end) }"
      :tabindex="active === wires.length ? 0 : -1"
      :data-cell="wires.length"
      :aria-label="`End of ${lane.written}${lane.legs.length ? '' : ', nothing hangs here'}`"
    />
  </div>
</template>

<style scoped src="./runRibbon.css"></style>
