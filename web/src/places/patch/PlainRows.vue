<script setup lang="ts">
import { computed, inject, ref, watchEffect, type Ref } from 'vue'
import { inkAt } from '../../parts/ink'
import { keepingNumbers } from '../../parts/slots'
import { shortened, summed } from '../../ribbon/labels'
import { pictureOf } from '../../ribbon/plainBlocks'
import { portKey, useDisplay } from '../../state/display'
import { useShell } from '../../state/shell'
import type { Placed, Row } from './rows'
import { LENS } from './scale'

/** So much is told of what hangs there, in the room that meters have otherwise (letters). */
const TOLD = 38
/** What a wire has free above and below (px). */
const EDGE = 6

/**
 * Rows that pass too fast to be read closely: what each is, and what hangs there, as blocks on its
 * wire and in one text. All wires are one layer, drawn as they are where the farthest lane just
 * fits: zooming stretches the layer and draws nothing anew.
 *
 * A row keeps its place among the others, so that with each that comes nothing is looked at but it.
 */
const props = defineProps<{
  passing: { rows: Ref<Placed[]> }
  /** The farthest pixel of all lanes. */
  far: number
  /** Whether there is no room beside the wire. */
  narrow: boolean
}>()

const display = useDisplay()
const shell = useShell()
const { room, zoom } = inject(LENS)!

const layer = ref<HTMLElement>()
/** Written out: a picture of variables would be read anew for each wire. */
const colours = computed(() => {
  void shell.dark
  const { colour } = inkAt(layer.value!)
  const zones = display.view!.zones.map(({ id }) => [id, colour(display.zoneColour(id))] as const)
  return new Map<string | undefined, string>([[undefined, colour(display.zoneColour())], ...zones])
})

const numbers = keepingNumbers()
const places = computed(() => {
  const rows = props.passing.rows.value
  const all: (Placed | undefined)[] = []
  const at = numbers(rows.map((one) => one.row.key))
  rows.forEach((one, i) => (all[at[i]] = one))
  return Array.from(all)
})

function nameOf(row: Row): string {
  const { tag, name } = row.view.controller
  return row.kind === 'lane' ? row.lane.written : row.kind === 'head' ? `${tag} ${name}` : ''
}

function hangingOn(row: Row): string {
  const titles = row.kind === 'lane' ? row.lane.legs.map((leg) => leg.title) : []
  return shortened(summed(titles), TOLD, [])
}

function wireOf({ row, top }: Placed): string {
  if (row.kind !== 'lane') {
    return 'display: none'
  }
  const scale = room.value / props.far
  const picture = pictureOf(row.lane, scale, (zone) => colours.value.get(zone)!)
  const height = row.height - 2 * EDGE
  return `top: ${top + EDGE}px; height: ${height}px; background-image: ${picture}`
}

watchEffect(
  () => {
    if (layer.value) {
      layer.value.style.transform = `translateZ(0) scaleX(${zoom.value})`
    }
  },
  { flush: 'post' },
)
</script>

<template>
  <div
    v-for="(one, i) in places"
    :key="i"
    v-memo="[one?.row, one?.top, narrow]"
    class="plain mono"
    :class="one?.row.kind"
    :style="one ? `top: ${one.top}px; height: ${one.row.height}px` : 'display: none'"
    :data-lane="one?.row.kind === 'lane' ? portKey(one.row.lane.port) : undefined"
  >
    {{ one && nameOf(one.row)
    }}<span v-if="!narrow" class="hanging">{{ one && hangingOn(one.row) }}</span>
  </div>
  <div ref="layer" class="wires" data-test="plain-wires" :style="{ width: `${room}px` }">
    <div
      v-for="(one, i) in places"
      :key="i"
      v-memo="[one?.row, one?.top, far, room]"
      class="wire"
      :style="one ? wireOf(one) : 'display: none'"
    />
  </div>
</template>

<style scoped>
.plain {
  position: absolute;
  left: 0;
  width: 100%;
  contain: layout style;
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding-left: 16px;
  border-bottom: 1px solid var(--line);
  font-size: 12.5px;
  white-space: nowrap;
}
.plain.head {
  font-weight: 500;
}
.hanging {
  flex: none;
  width: calc(var(--meters) - 12px);
  font-family: var(--sans);
  font-size: 11.5px;
}
.wires {
  position: absolute;
  top: 0;
  left: var(--label);
  height: 0;
  transform-origin: 0 0;
  opacity: 0.45;
  pointer-events: none;
}
.wire {
  position: absolute;
  left: 0;
  width: 100%;
}
</style>
