<script setup lang="ts">
import { computed } from 'vue'
import type { LaneView } from '../api/types'
import { useDisplay } from '../state/display'
import { useProgress } from '../state/progress'
import { limitOf, stretches, type Stretch } from './geometry'
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
const end = computed(() =>
  wires.value.reduce((far, s) => Math.max(far, s.from + s.gap + s.length), 0),
)
/** Where power enters besides the socket. */
const feeds = computed(() => (props.lane.power?.feeds ?? []).filter((feed) => feed.piece))
const over = computed(() => props.lane.load?.over ?? 0)

/** What is written on each ribbon, and behind the last. */
const written = computed(() =>
  labels(
    wires.value.map((s) => ({
      title: (s.leg.mirrorOf ? '= ' : '') + s.leg.title,
      count: count(s),
      left: (s.from + s.gap) * props.scale,
      width: width(s),
      catch: caught(s),
      box: boxOf(s),
    })),
    props.room,
  ),
)

/** Whether its start is held, which its catch tells; what hangs on DMX lines always has its slot. */
const caught = (s: Stretch) => props.lane.port.kind !== 'DMX' && !!s.leg.sections[0]?.held

const px = (places: number) => `${places * props.scale}px`

function width(s: Stretch): number {
  return Math.max(s.length * props.scale - 1, 14)
}

/** Marks inside a leg: section ends, null pixels of sections, folds; in screen pixels. */
function marks(s: Stretch) {
  const sections: number[] = []
  const nulls: { at: number; wide: number }[] = []
  const folds: number[] = []
  const piece = display.pieces.get(s.leg.piece)?.piece
  if (piece?.kind !== 'string') {
    return { sections, nulls, folds }
  }
  let at = 0
  for (const section of piece.sections) {
    if (at > 0) {
      sections.push(at * props.scale)
    }
    if (section.nullPixels > 0) {
      nulls.push({ at: at * props.scale, wide: Math.max(3, section.nullPixels * props.scale) })
      at += section.nullPixels
    }
    if (section.fold && section.fold * props.scale >= 5) {
      for (let turn = section.fold; turn < section.pixels; turn += section.fold) {
        folds.push((at + turn) * props.scale)
      }
    }
    at += section.pixels
  }
  return { sections, nulls, folds }
}

function count(s: Stretch): string {
  if (props.lane.port.kind === 'DMX') {
    return `${s.leg.sections[0]?.channels ?? ''}`
  }
  const piece = display.pieces.get(s.leg.piece)?.piece
  switch (piece?.kind) {
    case 'wall':
      return `${s.leg.pixels} px`
    case 'circuit':
      return `on from ${piece.threshold}`
    case 'dimmer':
      return `unit ${piece.unit} · ${piece.circuits}`
    default:
      return `${s.leg.pixels}`
  }
}

const wrong = (s: Stretch) => display.wrongAt.get(`piece ${s.leg.piece}`)
/** The letter of the remote box, where the leg hangs on another box than the one before it. */
function boxOf(s: Stretch): string {
  const before = props.lane.legs[s.index - 1]?.box ?? 1
  const box = s.leg.box ?? 1
  const chained = (props.lane.bank?.boxes ?? 1) > 1
  return chained && (s.index === 0 || box !== before) ? String.fromCharCode(64 + box) : ''
}

function told(s: Stretch): string {
  const first = s.leg.sections[0]
  const start = first?.start ? `, starts ${first.start}` : ''
  const units = { PIXEL: ' pixels', DMX: ' channels', RELAY: '', PANEL: '', SERIAL: ' circuits' }
  const unit = units[props.lane.port.kind]
  const held = first?.held && props.lane.port.kind !== 'DMX' ? ', held' : ''
  const mirror = s.leg.mirrorOf
    ? `, mirrors ${display.pieces.get(s.leg.mirrorOf)?.title ?? s.leg.mirrorOf}`
    : ''
  const trouble = troubleOf(s) ? `, in trouble: ${troubleOf(s)}` : ''
  return `${s.leg.title} ${count(s)}${unit}${start}${held}${mirror}, on ${props.lane.written}${trouble}`
}
/** What somebody said is wrong with it; nothing where nobody did. */
function troubleOf(s: Stretch): string | undefined {
  return progress.byPiece.get(s.leg.piece)?.trouble?.reason
}
/** What is told of it when it is pointed at. */
function tip(s: Stretch): string {
  const at = progress.byPiece.get(s.leg.piece)
  const stage = at && at.stage !== 'PLANNED' ? at.stage.toLowerCase().replace('_', ' ') : ''
  const trouble = troubleOf(s) ? `▲ ${troubleOf(s)}` : ''
  return [s.leg.title, stage, trouble, wrong(s)?.told].filter(Boolean).join('\n')
}
</script>

<template>
  <div class="wire" :style="{ width: px(Math.max(end, limit ?? 0) + 4) }">
    <div v-if="limit" class="rail" :style="{ width: px(limit) }" />
    <div
      v-if="limit && end > limit"
      class="beyond"
      :style="{ left: px(limit), width: px(end - limit) }"
    />
    <template v-for="s in wires" :key="s.index">
      <div
        v-if="s.gap"
        class="nulls"
        :style="{ left: px(s.from), width: `${Math.max(3, s.gap * scale - 1)}px` }"
        :title="`${s.gap} null pixels`"
      />
      <button
        type="button"
        class="leg"
        :class="{
          selected: selected.includes(s.leg.piece),
          pointed: pointed === s.leg.piece,
          ghost: ghosts.includes(s.leg.piece),
          cut: cut.includes(s.leg.piece),
          mirror: s.leg.mirrorOf,
          tied: tied?.has(s.leg.piece),
          wall: lane.port.kind === 'PANEL',
          wrong: wrong(s)?.fault,
          risky: wrong(s) && !wrong(s)!.fault,
          onoff: lane.port.kind === 'RELAY' || lane.port.kind === 'SERIAL',
        }"
        :style="{
          left: px(s.from + s.gap),
          width: `${width(s)}px`,
          '--zone': display.zoneColour(s.leg.zone),
        }"
        :tabindex="active === s.index ? 0 : -1"
        :data-piece="s.leg.piece"
        :data-cell="s.index"
        :aria-label="told(s)"
        :title="tip(s)"
        :aria-pressed="selected.includes(s.leg.piece)"
        @pointerdown="emit('press', $event, s.leg.piece)"
        @click="$event.detail < 2 && emit('choose', s.leg.piece, $event.shiftKey || $event.ctrlKey)"
        @pointerenter="emit('point', s.leg.piece)"
        @pointerleave="emit('point', undefined)"
        @focus="emit('focusCell', s.index)"
      >
        <span
          v-for="(n, i) in marks(s).nulls"
          :key="`n${i}`"
          class="nulls inside"
          :style="{ left: `${n.at}px`, width: `${n.wide}px` }"
        />
        <span
          v-for="x in marks(s).sections"
          :key="`s${x}`"
          class="cutline"
          :style="{ left: `${x}px` }"
        />
        <span v-for="x in marks(s).folds" :key="`f${x}`" class="fold" :style="{ left: `${x}px` }" />
        <span v-if="troubleOf(s)" class="trouble" aria-hidden="true" data-test="trouble">▲</span>
        <span v-if="caught(s)" class="catch" title="The start address is held" />
        <span
          v-if="boxOf(s)"
          aria-hidden="true"
          class="box mono"
          :title="`Remote box ${boxOf(s)}`"
          >{{ boxOf(s) }}</span
        >
        <!-- a name cut short is drawn, not text: the label has the whole one -->
        <span
          v-if="written.on[s.index].name.includes('…')"
          class="name"
          :data-cut="written.on[s.index].name"
        />
        <span v-else-if="written.on[s.index].name" class="name">{{
          written.on[s.index].name
        }}</span>
        {{ ' ' }}
        <span v-if="written.on[s.index].count" class="count mono">{{
          written.on[s.index].count
        }}</span>
      </button>
    </template>
    <template v-for="s in wires" :key="`over${s.index}`">
      <span
        v-if="written.on[s.index].over"
        class="behind"
        :style="{ left: `${(s.from + s.gap) * scale + width(s)}px` }"
        >{{ written.on[s.index].over }}</span
      >
    </template>
    <span v-if="written.behind" class="behind" :style="{ left: px(end) }">{{
      written.behind
    }}</span>
    <svg
      v-for="(feed, i) in feeds"
      :key="`feed${i}`"
      class="feed"
      width="8"
      height="6"
      :style="{ left: px(feed.position - 0.5) }"
      aria-hidden="true"
    >
      <title>Feed, {{ feed.amps.toFixed(1) }} A</title>
      <path d="M4 0l4 6H0z" />
    </svg>
    <div v-if="limit" class="stop" :class="{ broken: over > 0 }" :style="{ left: px(limit) }">
      <span v-if="over > 0" class="excess mono">
        +{{ over }} over the {{ lane.load?.limitBy === 'FRAME' ? 'frame' : 'model' }}
      </span>
    </div>
    <button
      type="button"
      class="free"
      :style="{ left: px(end) }"
      :tabindex="active === wires.length ? 0 : -1"
      :data-cell="wires.length"
      :aria-label="`End of ${lane.written}${lane.legs.length ? '' : ', nothing hangs here'}`"
      @focus="emit('focusCell', wires.length)"
    />
  </div>
</template>

<style scoped>
.name[data-cut]::before {
  content: attr(data-cut);
}
.wire {
  position: relative;
  height: 100%;
}
.rail {
  position: absolute;
  left: 0;
  top: calc(50% - 0.5px);
  height: 1px;
  background: var(--line-strong);
}
.leg {
  position: absolute;
  top: 6px;
  bottom: 6px;
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 0 6px 0 9px;
  border-radius: 3px;
  border: 1px solid color-mix(in srgb, var(--zone) 55%, transparent);
  border-left: 4px solid var(--zone);
  background: color-mix(in srgb, var(--zone) 22%, rgb(var(--v-theme-surface)));
  color: rgb(var(--v-theme-on-surface));
  font-size: 12px;
  text-align: left;
  overflow: hidden;
  cursor: grab;
  touch-action: none;
  user-select: none;
}
.leg.tied {
  outline: 2px dashed var(--copper);
  outline-offset: 1px;
}
.leg.pointed {
  background: color-mix(in srgb, var(--zone) 38%, rgb(var(--v-theme-surface)));
}
.leg.selected {
  border-color: var(--copper);
  box-shadow: 0 0 0 1.5px var(--copper);
}
/* a corner that is turned down */
.leg.wrong::after,
.leg.risky::after {
  content: '';
  position: absolute;
  right: 0;
  top: 0;
  border: 5px solid transparent;
  border-top-color: rgb(var(--v-theme-error));
  border-right-color: rgb(var(--v-theme-error));
}
.leg.risky::after {
  border-top-color: rgb(var(--v-theme-warning));
  border-right-color: rgb(var(--v-theme-warning));
}
.leg.ghost {
  border: 1.5px dashed var(--copper);
  background: color-mix(in srgb, var(--zone) 10%, transparent);
}
.leg.cut {
  opacity: 0.45;
  border-style: dashed;
}
.leg.mirror {
  border-style: dotted;
  border-left-style: solid;
}
.leg.wall {
  background:
    linear-gradient(var(--zone) 1px, transparent 1px) 0 0 / 9px 9px,
    linear-gradient(90deg, var(--zone) 1px, transparent 1px) 0 0 / 9px 9px,
    rgb(var(--v-theme-surface));
}
.leg.wall .name,
.leg.wall .count {
  background: rgb(var(--v-theme-surface));
  padding: 0 3px;
  flex: none;
}
.leg.onoff {
  border-radius: 12px;
}
.box {
  flex: none;
  font-size: 10.5px;
  font-weight: 600;
  padding: 0 4px;
  border: 1.5px solid rgb(var(--v-theme-on-surface));
  border-radius: 2px;
  position: relative;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-weight: 500;
  flex: 1;
  position: relative;
}
.count {
  font-size: 11px;
  position: relative;
  margin-left: auto;
}
.behind {
  position: absolute;
  top: 8px;
  margin-left: 12px;
  font-size: 12px;
  padding: 0 4px;
  background: rgb(var(--v-theme-background));
  white-space: nowrap;
  pointer-events: none;
}
.nulls {
  position: absolute;
  top: 6px;
  bottom: 6px;
  background: repeating-linear-gradient(115deg, var(--line-strong) 0 1.5px, transparent 1.5px 4px);
  border: 1px solid var(--line-strong);
  border-radius: 2px;
}
.nulls.inside {
  top: 0;
  bottom: auto;
  height: 6px;
  border-radius: 0;
}
.cutline {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 1px;
  /* open in the middle, where names are written */
  background: linear-gradient(
    var(--zone) 0 5px,
    transparent 5px calc(100% - 5px),
    var(--zone) calc(100% - 5px)
  );
}
.fold {
  position: absolute;
  top: -1px;
  width: 1.5px;
  height: 5px;
  background: var(--zone);
}
.trouble {
  flex: none;
  font-size: 10px;
  color: rgb(var(--v-theme-error));
}
.catch {
  flex: none;
  width: 7px;
  height: 9px;
  border: 2px solid var(--copper);
  border-right: none;
  border-radius: 2px 0 0 2px;
}
.feed {
  position: absolute;
  bottom: 0;
  margin-left: -4px;
  fill: var(--copper);
  pointer-events: none;
}
.stop {
  position: absolute;
  top: 3px;
  bottom: 3px;
  width: 2px;
  background: rgb(var(--v-theme-on-surface));
  pointer-events: none;
}
.stop.broken {
  background: rgb(var(--v-theme-error));
}
.excess {
  position: absolute;
  z-index: 2;
  left: 8px;
  top: 7px;
  white-space: nowrap;
  font-size: 11px;
  padding: 1px 5px;
  border-radius: 3px;
  background: rgb(var(--v-theme-error));
  color: rgb(var(--v-theme-on-error));
}
.beyond {
  position: absolute;
  top: 3px;
  bottom: 3px;
  z-index: 1;
  pointer-events: none;
  background:
    repeating-linear-gradient(45deg, rgb(var(--v-theme-error)) 0 1px, transparent 1px 6px),
    repeating-linear-gradient(-45deg, rgb(var(--v-theme-error)) 0 1px, transparent 1px 6px);
}
.free {
  position: absolute;
  top: 8px;
  bottom: 8px;
  width: 10px;
  margin-left: 3px;
  border-radius: 2px;
}
.free:focus-visible {
  background: var(--line);
}
</style>
