<script setup lang="ts">
import { ref } from 'vue'
import type { FeedView, LaneView } from '../../api/types'
import { KEYS, keyOf } from '../../parts/keys'
import { followPointer } from '../../parts/followPointer'
import { useDisplay } from '../../state/display'
import { placeName } from './feeds'

/**
 * The feeds of a run as triangles below its ribbon: dragged along it, walked with the arrow keys.
 * Nothing is changed before the feed is let go.
 */
const props = defineProps<{
  lane: LaneView
  feeds: FeedView[]
  /** Screen pixels for one position. */
  scale: number
  positions: number
  chosen?: number
  lost?: number
}>()
const emit = defineEmits<{
  choose: [index: number]
  /** While it is moved. */
  aim: [index: number, position: number]
  drop: [index: number, position: number]
  leave: []
  lose: [index: number]
  remove: [index: number]
}>()

const display = useDisplay()
const walked = ref<{ index: number; from: number; position: number }>()
const row = ref<HTMLElement>()

function within(position: number): number {
  return Math.min(props.positions, Math.max(1, Math.round(position)))
}
function press(event: PointerEvent, index: number) {
  emit('choose', index)
  const feed = props.feeds[index]
  if (feed.piece === undefined || event.button !== 0) {
    return
  }
  const start = event.clientX
  const from = feed.position
  let to = from
  followPointer(
    event,
    (moved) => {
      to = within(from + (moved.clientX - start) / props.scale)
      emit('aim', index, to)
    },
    (dropped) => {
      if (dropped && to !== from) {
        emit('drop', index, to)
      } else {
        emit('leave')
      }
    },
  )
}
function key(event: KeyboardEvent, index: number) {
  const feed = props.feeds[index]
  const pressed = keyOf(KEYS.feed, event)
  if ((pressed === 'left' || pressed === 'right') && feed.piece !== undefined) {
    event.preventDefault()
    const so = walked.value
    const { from, position: now } =
      so?.index === index ? so : { from: feed.position, position: feed.position }
    const position = within(now + (pressed === 'left' ? -1 : 1) * (event.shiftKey ? 10 : 1))
    walked.value = { index, from, position }
    emit('aim', index, position)
  } else if (pressed === 'open') {
    event.preventDefault()
    settle()
  } else if (pressed === 'letGo' && walked.value) {
    event.stopPropagation()
    walked.value = undefined
    emit('leave')
  } else if (pressed === 'remove' && feed.piece !== undefined) {
    event.preventDefault()
    emit('remove', index)
  } else if (pressed === 'lose') {
    emit('lose', index)
  }
}
function settle() {
  const to = walked.value
  walked.value = undefined
  if (to) {
    if (to.position !== to.from) {
      emit('drop', to.index, to.position)
    } else {
      emit('leave')
    }
  }
}
function told(feed: FeedView): string {
  const where =
    feed.piece === undefined
      ? 'The port’s own feed'
      : `Feed at ${placeName(props.lane, feed.position)}`
  const fuse = feed.fuseAmps ? ` of ${feed.fuseAmps} A` : ', no fuse'
  return `${where}: ${feed.amps.toFixed(1)} A${fuse}; ${feed.fullAmps.toFixed(1)} A at 100 %`
}
/** Over its fuse at planned brightness, near it or over it at 100 %, or fine. */
function state(feed: FeedView): string {
  const fuse = feed.fuseAmps ?? Infinity
  if (feed.amps > fuse || feed.amps < 0) {
    return 'over'
  }
  return feed.amps > fuse * display.view!.power.plannedShare || feed.fullAmps > fuse
    ? 'near'
    : 'fine'
}
const left = (feed: FeedView) => `${(feed.position - 0.5) * props.scale}px`
</script>

<template>
  <div ref="row" class="feeds" role="group" aria-label="Feeds">
    <button
      v-for="(feed, i) in feeds"
      :key="i"
      type="button"
      class="feed"
      :class="[state(feed), { own: !feed.piece, chosen: chosen === i, lost: lost === i }]"
      :style="{ left: left(feed) }"
      :aria-label="told(feed)"
      :aria-pressed="chosen === i"
      :title="told(feed)"
      :data-feed="i"
      @pointerdown="press($event, i)"
      @click="emit('choose', i)"
      @keydown="key($event, i)"
      @blur="settle"
    >
      <svg width="14" height="11" aria-hidden="true"><path d="M7 0l7 11H0z" /></svg>
      <span class="mono">{{ state(feed) === 'over' ? '▲ ' : '' }}{{ feed.amps.toFixed(1) }}</span>
    </button>
  </div>
</template>

<style scoped>
.feeds {
  position: relative;
  height: 34px;
}
.feed {
  position: absolute;
  top: 2px;
  width: 44px;
  margin-left: -22px;
  display: grid;
  justify-items: center;
  line-height: 14px;
  cursor: ew-resize;
  touch-action: none;
  border-radius: 3px;
}
.feed.own {
  cursor: pointer;
}
.feed span {
  font-size: 11px;
}
.feed path {
  fill: var(--copper);
  stroke: var(--copper);
}
.feed.own path {
  fill: rgb(var(--v-theme-surface));
  stroke-width: 1.5;
}
.feed.chosen {
  background: color-mix(in srgb, var(--copper) 18%, transparent);
}
.feed.over span {
  color: rgb(var(--v-theme-error));
  font-weight: 600;
}
.feed.over path {
  fill: rgb(var(--v-theme-error));
  stroke: rgb(var(--v-theme-error));
}
.feed.lost path {
  fill: none;
  stroke-dasharray: 2 2;
}
.feed.lost span {
  text-decoration: line-through;
}
</style>
