<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { computed, ref } from 'vue'
import { said } from '../../api/said'
import type { Zone } from '../../api/types'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import { KEYS, keyOf } from '../../parts/keys'
import { followPointer } from '../../parts/followPointer'
import { useDisplay } from '../../state/display'
import { freshId } from '../../state/freshId'

/**
 * The zones on the site, to scale, north up: dragged or walked with the arrow keys, a metre a step.
 * From their distances cables get a length where nobody entered one.
 */
const props = defineProps<{ width: number; height: number }>()

const display = useDisplay()
const zones = computed(() => display.view!.zones)
const dragged = ref<{ id: string; east: number; north: number }>()
const at = (zone: Zone) =>
  dragged.value?.id === zone.id ? dragged.value : { east: zone.eastMetres, north: zone.northMetres }
const placed = computed(() =>
  zones.value.filter((zone) => zone.eastMetres !== undefined && zone.northMetres !== undefined),
)
const without = computed(() => zones.value.filter((zone) => !placed.value.includes(zone)))

/** The part of the site that is shown (m); it stays while something is dragged. */
const frame = computed(() => {
  const easts = placed.value.map((zone) => zone.eastMetres!)
  const norths = placed.value.map((zone) => zone.northMetres!)
  const west = Math.min(0, ...easts) - 15
  const south = Math.min(0, ...norths) - 12
  const wide = Math.max(40, ...easts) + 40 - west
  const tall = Math.max(20, ...norths) + 12 - south
  const scale = Math.min(props.width / wide, props.height / tall)
  return { west, south, scale }
})
const x = (east: number) => (east - frame.value.west) * frame.value.scale
const y = (north: number) => props.height - (north - frame.value.south) * frame.value.scale
/** A round length that is easy to see. */
const bar = computed(() => {
  const wanted = 80 / frame.value.scale
  return [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000].find((metres) => metres >= wanted / 2) ?? 1000
})
const tags = (zone: Zone) =>
  display
    .view!.controllers.filter((view) => view.controller.settings.zone === zone.id)
    .map((view) => view.controller.tag)
    .join(' ')

function put(zone: Zone, changes: Partial<Zone>) {
  void display.edit({ type: 'SetZones', zones: [zone.id], set: said(changes) })
}
/** A step from where the zone is when its turn has come: held keys lose none. */
function step(id: string, east: number, north: number) {
  void display.edit(() => {
    const zone = display.view!.zones.find((one) => one.id === id)
    return {
      type: 'SetZones',
      zones: [id],
      set: {
        eastMetres: (zone?.eastMetres ?? 0) + east,
        northMetres: (zone?.northMetres ?? 0) + north,
      },
    }
  })
}
function press(event: PointerEvent, zone: Zone) {
  const from = { x: event.clientX, y: event.clientY }
  followPointer(
    event,
    (moved) => {
      dragged.value = {
        id: zone.id,
        east: Math.round(zone.eastMetres! + (moved.clientX - from.x) / frame.value.scale),
        north: Math.round(zone.northMetres! - (moved.clientY - from.y) / frame.value.scale),
      }
    },
    (dropped) => {
      const to = dragged.value
      dragged.value = undefined
      if (dropped && to) {
        put(zone, { eastMetres: to.east, northMetres: to.north })
      }
    },
  )
}
function onKey(event: KeyboardEvent, zone: Zone) {
  const by = event.shiftKey ? 10 : 1
  const pressed = keyOf(KEYS.site, event)
  if (pressed) {
    event.preventDefault()
    const [east, north] = { left: [-by, 0], right: [by, 0], up: [0, by], down: [0, -by] }[pressed]
    step(zone.id, east, north)
  }
}
function add() {
  void display.edit(() => {
    const id = freshId(
      'zone',
      zones.value.map((zone) => zone.id),
    )
    const name = `Zone ${zones.value.length + 1}`
    return { type: 'PutZone', zone: { id, name, eastMetres: 0, northMetres: 0 } }
  })
}
</script>

<template>
  <section class="site" aria-label="Site">
    <div class="title">
      <h2>Site</h2>
      <v-spacer />
      <v-btn size="small" :prepend-icon="mdiPlus" @click="add">Add a zone</v-btn>
    </div>
    <svg :width="width" :height="height" class="plan" data-test="site">
      <line :x1="x(0)" :x2="x(0)" y1="0" :y2="height" class="axis" />
      <line x1="0" :x2="width" :y1="y(0)" :y2="y(0)" class="axis" />
      <g transform="translate(12 14)">
        <path :d="`M0 -4v4h${bar * frame.scale}v-4`" class="bar" />
        <text x="4" y="13" class="small mono">{{ bar }} m</text>
      </g>
      <path :d="`M${width - 18} 26V8l-4 6m4-6l4 6`" class="bar" />
      <text :x="width - 22" y="38" class="small">N</text>
      <g
        v-for="zone in placed"
        :key="zone.id"
        :transform="`translate(${x(at(zone).east!)} ${y(at(zone).north!)})`"
        class="zone"
        role="slider"
        tabindex="0"
        :aria-label="`${zone.name}: arrow keys move it`"
        :aria-valuenow="at(zone).east"
        :aria-valuetext="`${at(zone).east} m east, ${at(zone).north} m north`"
        :data-zone="zone.id"
        @pointerdown="(event) => press(event, zone)"
        @keydown="(event) => onKey(event, zone)"
      >
        <circle r="7" :fill="display.zoneColour(zone.id)" />
        <text x="11" y="0" class="name">{{ zone.name }}</text>
        <text x="11" y="12" class="small mono">
          {{ dragged?.id === zone.id ? `${dragged.east} E ${dragged.north} N` : tags(zone) }}
        </text>
      </g>
    </svg>
    <ul class="list">
      <li v-for="zone in zones" :key="zone.id">
        <span class="dot" :style="{ background: display.zoneColour(zone.id) }" />
        <InPlaceText
          :value="zone.name"
          label="Name of the zone"
          @change="(name) => put(zone, { name })"
        />
        <span class="mono where">
          <InPlaceNumber
            :value="zone.eastMetres"
            none="?"
            :label="`${zone.name}: metres east`"
            :least="-100000"
            :most="100000"
            :step="0.1"
            @change="(v) => put(zone, { eastMetres: v })"
          />
          E
          <InPlaceNumber
            :value="zone.northMetres"
            none="?"
            :label="`${zone.name}: metres north`"
            :least="-100000"
            :most="100000"
            :step="0.1"
            @change="(v) => put(zone, { northMetres: v })"
          />
          N
        </span>
        <button
          type="button"
          class="act"
          :aria-label="`Remove the zone ${zone.name}`"
          @click="display.edit({ type: 'RemoveZone', zone: zone.id })"
        >
          ×
        </button>
      </li>
    </ul>
    <p v-if="without.length" class="quiet small">
      Without a position, {{ without.map((zone) => zone.name).join(', ') }}
      {{ without.length === 1 ? 'gives' : 'give' }} no cable a length.
    </p>
  </section>
</template>

<style scoped>
.site {
  display: grid;
  gap: 8px;
  align-content: start;
}
.title {
  display: flex;
  align-items: center;
}
.plan {
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line);
  overflow: hidden;
}
.axis {
  stroke: var(--line);
}
.bar {
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
}
.zone {
  cursor: grab;
  touch-action: none;
}
.zone:focus-visible {
  outline: none;
}
.zone:focus-visible circle {
  stroke: var(--copper);
  stroke-width: 3;
}
.name {
  font-size: 11.5px;
  fill: rgb(var(--v-theme-on-surface));
}
.small {
  font-size: 10.5px;
  fill: var(--quiet);
}
.list {
  list-style: none;
  font-size: 12.5px;
}
.list li {
  display: flex;
  align-items: center;
  gap: 8px;
  height: 24px;
}
.dot {
  width: 9px;
  height: 9px;
  border-radius: 5px;
}
.where {
  margin-left: auto;
}
.act {
  width: 20px;
  color: var(--quiet);
}
</style>
