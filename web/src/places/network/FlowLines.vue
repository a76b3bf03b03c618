<script setup lang="ts">
import { whyController } from '../../parts/why'
import { computed } from 'vue'
import type { ControllerView, Flow } from '../../api/types'
import { useDisplay } from '../../state/display'
import NearOnly from '../../parts/NearOnly.vue'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import { PROTOCOLS, TRANSPORTS } from '../../parts/words'

/** Who sends to whom: a line for each, as thick as what goes through it. */
const props = defineProps<{ flows: Flow[]; width: number; lit?: string }>()
const emit = defineEmits<{ point: [controller: string | undefined] }>()

const ROW = 26
/** So many at most are all drawn. */
const SHORT = 24
const LEFT = 276
const RIGHT = 560
const LEAST_WIRE = 80
const display = useDisplay()

const shown = computed(() => props.flows.filter((flow) => display.controllerOf(flow.controller)))
interface Source {
  key: string
  title: string
  detail: string
  flows: Flow[]
  packets: number
  megabits: number
}
const keyOf = (flow: Flow) => `${flow.source ?? ''} ${flow.adapter ?? ''}`
/** Each adapter that something leaves from; a source without one stands for itself. */
const sources = computed(() => {
  const all = new Map<string, Source>()
  for (const flow of shown.value) {
    const key = keyOf(flow)
    const host = flow.source && display.controllerOf(flow.source)?.controller
    const source = all.get(key) ?? {
      key,
      title: host ? `${host.tag} ${host.name}` : 'no source',
      detail: flow.adapter ?? (host ? 'which adapter is not clear' : 'nobody sends to these'),
      flows: [],
      packets: 0,
      megabits: 0,
    }
    source.flows.push(flow)
    // a backup only speaks when the first source is gone
    source.packets += flow.backup ? 0 : flow.traffic.packetsPerSecond
    source.megabits += flow.backup ? 0 : flow.traffic.megabitsPerSecond
    all.set(key, source)
  }
  return [...all.values()]
})
/** All devices on the air share it; there is one cell as far as the plan knows. */
const air = computed(() => {
  const flows = shown.value.filter((flow) => flow.wifi && !flow.backup)
  return {
    tags: flows.map((flow) => display.controllerOf(flow.controller)!.controller.tag),
    packets: flows.reduce((sum, flow) => sum + flow.traffic.packetsPerSecond, 0),
    megabits: flows.reduce((sum, flow) => sum + flow.traffic.megabitsPerSecond, 0),
  }
})
/** Where there is no room for wires, each source has its devices below it. */
const narrow = computed(() => props.width < LEFT + LEAST_WIRE + RIGHT)
const places = computed(() => new Map(sources.value.map((source, i) => [source.key, 2 * i])))
const height = computed(() => Math.max(shown.value.length * ROW, sources.value.length * 56) + 8)
const sourceY = computed(() => {
  const each = height.value / Math.max(1, sources.value.length)
  return new Map(sources.value.map((source, i) => [source.key, each * (i + 0.5)]))
})
const most = computed(() =>
  Math.max(0.001, ...shown.value.map((flow) => flow.traffic.megabitsPerSecond)),
)
const lines = computed(() =>
  shown.value.map((flow, i) => {
    const from = sourceY.value.get(keyOf(flow))!
    const to = i * ROW + ROW / 2 + 4
    const end = Math.max(LEFT + LEAST_WIRE, props.width - RIGHT)
    const bend = (LEFT + end) / 2
    return {
      flow,
      view: display.controllerOf(flow.controller) as ControllerView,
      to,
      path: `M${LEFT} ${from}C${bend} ${from} ${bend} ${to} ${end} ${to}`,
      thick: 1 + (5 * flow.traffic.megabitsPerSecond) / most.value,
    }
  }),
)
const transports = Object.entries(TRANSPORTS).map(([value, title]) => ({ value, title }))
function setTransport(controller: string, value?: string) {
  void display.set(controller, { transport: value as Flow['transport'] })
}
function setSource(flow: Flow, source?: string) {
  if (flow.backup) {
    void display.setController(flow.controller, { sending: { backup: source ?? null } })
  } else {
    void display.set(flow.controller, { source })
  }
}
function told(flow: Flow): string {
  if (flow.started) {
    return 'plays its own storage: only started'
  }
  const { packetsPerSecond, megabitsPerSecond } = flow.traffic
  return `${Math.round(packetsPerSecond).toLocaleString('en')} packets/s · ${megabitsPerSecond.toFixed(2)} Mbit/s`
}
</script>

<template>
  <p v-if="air.tags.length" class="quiet">
    On the air: {{ air.tags.join(', ') }} share
    <span class="mono"
      >{{ Math.round(air.packets).toLocaleString('en') }} packets/s ·
      {{ air.megabits.toFixed(2) }} of {{ display.view!.network.airMegabits }} Mbit/s</span
    >
  </p>
  <div class="flows" :class="{ narrow }" :style="{ height: `${height}px` }">
    <svg v-if="!narrow" :width="width" :height="height" aria-hidden="true">
      <path
        v-for="line in lines"
        :key="line.flow.controller + line.flow.backup"
        :d="line.path"
        class="wire"
        :class="{
          lit: lit === line.flow.controller,
          air: line.flow.wifi,
          idle: line.flow.backup || line.flow.started,
        }"
        :stroke-width="line.thick"
      />
    </svg>
    <div
      v-for="source in sources"
      :key="source.key"
      class="source"
      :class="{ nobody: source.title === 'no source' }"
      :style="{
        top: `${sourceY.get(source.key)! - 28}px`,
        width: `${LEFT - 8}px`,
        order: places.get(source.key),
      }"
    >
      <strong>{{ source.title }}</strong>
      <span class="mono quiet">{{ source.detail }}</span>
      <span class="mono small"
        >{{ Math.round(source.packets).toLocaleString('en') }} packets/s ·
        {{ source.megabits.toFixed(2) }} of {{ display.view!.network.linkMegabits }} Mbit/s</span
      >
    </div>
    <NearOnly
      v-for="line in lines"
      :key="line.flow.controller + line.flow.backup"
      class="sink"
      :height="ROW"
      :always="lines.length <= SHORT"
      :class="{ lit: lit === line.flow.controller }"
      :style="{
        top: `${line.to - ROW / 2}px`,
        width: `${RIGHT - 8}px`,
        order: places.get(keyOf(line.flow))! + 1,
      }"
      @pointerenter="emit('point', line.flow.controller)"
      @pointerleave="emit('point', undefined)"
    >
      <strong>{{ line.view.controller.tag }}</strong>
      <span class="what"
        >{{ PROTOCOLS[line.flow.protocol] }}
        <InPlaceChoice
          v-if="!line.flow.backup"
          :value="line.flow.transport"
          :label="`How packets reach ${line.view.controller.tag}`"
          :choices="transports"
          @change="(v) => setTransport(line.flow.controller, v)"
        />{{ line.flow.backup ? 'backup ' : ' ' }}from
        <InPlaceChoice
          :value="line.flow.source"
          :label="`${line.flow.backup ? 'Backup source' : 'Source'} of ${line.view.controller.tag}`"
          :choices="display.hostChoices"
          none="nobody"
          @change="(v) => setSource(line.flow, v)"
        />{{ line.flow.wifi ? ', Wi-Fi' : '' }}</span
      >
      <span class="mono small" :data-why="whyController('TRAFFIC', line.flow.controller)">{{
        told(line.flow)
      }}</span>
    </NearOnly>
  </div>
</template>

<style scoped>
.flows {
  position: relative;
}
svg {
  position: absolute;
}
.wire {
  fill: none;
  stroke: var(--line-strong);
}
.wire.air {
  stroke-dasharray: 3 4;
}
.wire.idle {
  stroke-dasharray: 1 6;
}
.wire.lit {
  stroke: var(--copper);
}
.source {
  position: absolute;
  left: 0;
  display: grid;
  height: 56px;
  white-space: nowrap;
  align-content: center;
  border-right: 3px solid var(--line-strong);
  font-size: 13px;
  line-height: 17px;
}
.source.nobody strong {
  color: rgb(var(--v-theme-error));
}
.small {
  font-size: 11.5px;
  white-space: nowrap;
}
.sink {
  position: absolute;
  right: 0;
  height: 26px;
  display: grid;
  grid-template-columns: 42px 1fr auto;
  align-items: center;
  gap: 6px;
  padding: 0 6px;
  border-radius: 3px;
  font-size: 13px;
}
.sink.lit {
  background: color-mix(in srgb, var(--copper) 16%, transparent);
}
.what {
  font-size: 12.5px;
  white-space: nowrap;
}
/* sizes and places of the wide form stand on the elements */
.narrow {
  display: grid;
  gap: 4px;
  height: auto !important;
}
.narrow .source,
.narrow .sink {
  position: static;
  width: auto !important;
  height: auto;
}
.narrow .source {
  margin-top: 8px;
  white-space: normal;
  border-right: 0;
}
.narrow .sink {
  grid-template-columns: 42px 1fr;
  align-items: baseline;
  gap: 0 6px;
  padding: 4px 6px;
  border-left: 3px solid var(--line-strong);
}
.narrow .what,
.narrow .small {
  white-space: normal;
}
.narrow .sink .small {
  grid-column: 2;
}
</style>
