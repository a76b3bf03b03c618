<script setup lang="ts">
import { computed } from 'vue'
import type { AddressAt } from '../../api/types'
import { useDisplay } from '../../state/display'

/**
 * Where what hangs on a controller stood when it was given, above, and where it stands now, below:
 * port by port on one scale of its own channels. Ports that stayed as they were are left out.
 */
const props = defineProps<{ before: AddressAt[]; after: AddressAt[] }>()

const display = useDisplay()
const WIDTH = 560

interface Lane {
  port: string
  was: AddressAt[]
  is: AddressAt[]
  from: number
  to: number
}
function byPort(all: AddressAt[]): Map<string, AddressAt[]> {
  const ports = new Map<string, AddressAt[]>()
  all
    .filter((at) => at.own > 0)
    .forEach((at) => ports.set(at.written, [...(ports.get(at.written) ?? []), at]))
  return ports
}
const told = (all: AddressAt[]) =>
  all.map((at) => `${at.piece}/${at.section}@${at.own}+${at.channels} ${text(at)}`).join()
const lanes = computed<Lane[]>(() => {
  const was = byPort(props.before)
  const is = byPort(props.after)
  return [...new Set([...was.keys(), ...is.keys()])]
    .map((port) => ({ port, was: was.get(port) ?? [], is: is.get(port) ?? [] }))
    .filter((lane) => told(lane.was) !== told(lane.is))
    .map((lane) => {
      const all = [...lane.was, ...lane.is]
      return {
        ...lane,
        from: Math.min(...all.map((at) => at.own)),
        to: Math.max(...all.map((at) => at.own + at.channels)),
      }
    })
})
const widest = computed(() => Math.max(1, ...lanes.value.map((lane) => lane.to - lane.from)))
const scale = computed(() => WIDTH / widest.value)

function text(at: AddressAt): string {
  return at.start ? `${at.start.universe}:${at.start.channel}` : `channel ${at.own}`
}
function box(lane: Lane, at: AddressAt) {
  return {
    x: (at.own - lane.from) * scale.value,
    width: Math.max(3, at.channels * scale.value - 1),
  }
}
const colour = (at: AddressAt) => display.zoneColour(display.propOfPiece.get(at.piece)?.prop.zone)
</script>

<template>
  <figure v-if="lanes.length" class="moves" data-test="start-ribbons">
    <figcaption class="quiet">
      As it was given, above; as it is planned now, below. To scale in the controller's channels.
    </figcaption>
    <div v-for="lane in lanes" :key="lane.port" class="lane">
      <strong class="mono">{{ lane.port }}</strong>
      <svg :width="WIDTH" height="42" role="img" :aria-label="`${lane.port}: before and now`">
        <g v-for="at in lane.was" :key="`was ${at.piece} ${at.section}`" opacity="0.5">
          <rect
            v-bind="box(lane, at)"
            y="2"
            height="8"
            fill="none"
            stroke-width="1.5"
            :stroke="colour(at)"
          />
        </g>
        <g v-for="at in lane.is" :key="`is ${at.piece} ${at.section}`">
          <line
            v-for="then in lane.was.filter((o) => o.piece === at.piece && o.section === at.section)"
            :key="then.piece"
            :x1="box(lane, then).x"
            y1="10"
            :x2="box(lane, at).x"
            y2="18"
            stroke="var(--copper)"
            stroke-width="1.5"
          />
          <rect v-bind="box(lane, at)" y="18" height="10" :fill="colour(at)" />
          <text :x="Math.min(box(lane, at).x, WIDTH - 60)" y="40" class="mono at">
            {{ text(at) }}
          </text>
        </g>
      </svg>
      <ul>
        <li v-for="at in lane.is" :key="`${at.piece} ${at.section}`" class="mono quiet">
          <template
            v-for="then in lane.was.filter((o) => o.piece === at.piece && o.section === at.section)"
            :key="then.piece"
          >
            <span v-if="text(then) !== text(at)">{{ text(then) }} → {{ text(at) }}</span>
            <span v-else-if="then.channels !== at.channels"
              >{{ then.channels }} → {{ at.channels }} channels</span
            >
          </template>
        </li>
      </ul>
    </div>
  </figure>
</template>

<style scoped>
.moves {
  margin: 4px 0 14px;
}
figcaption {
  font-size: 12px;
  margin-bottom: 6px;
}
.lane {
  display: flex;
  gap: 12px;
  align-items: flex-start;
  font-size: 12.5px;
}
.lane strong {
  width: 64px;
  padding-top: 12px;
}
.at {
  font-size: 10px;
  fill: var(--quiet);
}
ul {
  list-style: none;
  font-size: 11.5px;
}
@media (width < 700px) {
  .moves {
    overflow-x: auto;
  }
}
</style>
