<script setup lang="ts">
import { computed } from 'vue'
import { said } from '../../api/said'
import type { Supply, SupplyView } from '../../api/types'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import type { Choice } from '../../parts/listed'
import { counted } from '../../parts/words'
import { portKey, useDisplay } from '../../state/display'
import { useLoads } from '../../state/loads'
import { whyPart } from '../../parts/why'
import LoadBar from './LoadBar.vue'

/** A supply: what it gives, what hangs on it, every value edited where it stands. */
const props = defineProps<{
  view: SupplyView
  /** What it may be in, and on. */
  choices: Record<'enclosures' | 'zones' | 'mains', Choice[]>
}>()

/** More choices than these are listed in a field that somebody is near: a line has three of them. */
const MANY = 8

const display = useDisplay()
const loads = useLoads()
const supply = computed(() => props.view.supply)
const runs = computed(() =>
  props.view.runs.map((port) => ({
    key: portKey(port),
    written: display.laneByPort.get(portKey(port))?.written ?? '',
  })),
)
/** What its enclosure hangs on, where it says nothing itself. */
const fromEnclosure = computed(
  () =>
    !supply.value.mains && props.choices.mains.find((one) => one.value === props.view.mains)?.title,
)
function set(changes: Partial<Supply>) {
  void display.edit({ type: 'SetSupplies', supplies: [supply.value.id], set: said(changes) })
}
function show(key: string) {
  loads.open = key
  loads.view = 'runs'
}
</script>

<template>
  <div class="supply" :data-power="supply.id">
    <div class="who">
      <InPlaceText
        :value="supply.name"
        label="Name of the supply"
        @change="(v) => set({ name: v })"
      />
      <span>
        <InPlaceNumber
          :value="supply.volts"
          label="Voltage of the supply"
          :least="1"
          :most="60"
          :step="0.1"
          @change="(v) => set({ volts: v! })"
        />
        V,
        <InPlaceNumber
          :value="supply.amps"
          label="Rating of the supply, amperes"
          :least="0.1"
          :most="10000"
          :step="0.1"
          @change="(v) => set({ amps: v! })"
        />
        A,
        <InPlaceNumber
          :value="view.usualEfficiency ? undefined : view.efficiency"
          :none="`${view.efficiency} †`"
          label="Efficiency, percent; left out: 85, a rule of thumb"
          :least="30"
          :most="100"
          @change="(v) => set({ efficiencyPercent: v })"
        />
        % in
        <InPlaceChoice
          :value="supply.enclosure"
          label="Enclosure that the supply is in"
          :choices="choices.enclosures"
          :many="MANY"
          none="no enclosure"
          @change="(v) => set({ enclosure: v })"
        />,
        <InPlaceChoice
          :value="supply.zone"
          label="Zone where the supply stands"
          :choices="choices.zones"
          :many="MANY"
          none="no zone"
          @change="(v) => set({ zone: v })"
        />
        on
        <InPlaceChoice
          :value="supply.mains"
          label="Mains circuit of the supply"
          :choices="choices.mains"
          :many="MANY"
          :none="fromEnclosure ? `${fromEnclosure} †` : 'no mains circuit'"
          @change="(v) => set({ mains: v })"
        />; leaks
        <InPlaceNumber
          :value="supply.leakageMilliamps"
          none="1 †"
          label="Leakage to earth, milliamperes; left out: 1, a rule of thumb"
          :least="0"
          :most="1000"
          :step="0.1"
          @change="(v) => set({ leakageMilliamps: v })"
        />
        mA, switches on
        <InPlaceNumber
          :value="supply.switchOnAmps"
          none="10 × †"
          label="Mains current in the moment of switching on, amperes; left out: 10 times that at its rating, a rule of thumb"
          :least="0"
          :most="10000"
          :step="0.1"
          @change="(v) => set({ switchOnAmps: v })"
        />
        A
      </span>
    </div>
    <LoadBar
      :now="view.amps"
      :full="view.fullAmps"
      :most="supply.amps"
      unit="A"
      :why="whyPart('SUPPLY_AMPS', supply.id)"
    />
    <v-btn
      size="small"
      :aria-label="`Remove ${supply.name}`"
      @click="display.edit({ type: 'RemoveSupply', supply: supply.id })"
      >Remove</v-btn
    >
    <div class="hangs">
      <span class="quiet" :title="view.named.join(', ') || undefined">
        {{ counted(view.feeds, 'feed')
        }}{{
          view.named.length
            ? `, ${view.named.slice(0, 2).join(', ')}${view.named.length > 2 ? ' …' : ''}`
            : ''
        }}
      </span>
      <button
        v-for="run in runs"
        :key="run.key"
        type="button"
        class="mono run"
        @click="show(run.key)"
      >
        {{ run.written }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.supply {
  display: grid;
  grid-template-columns: minmax(334px, 1fr) minmax(320px, 1fr) 84px;
  gap: 2px 16px;
  padding: 8px 0 6px 26px;
  align-items: start;
  border-bottom: 1px solid var(--line);
  font-size: 13px;
}
.who {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 12px;
}
.who > * {
  min-width: 0;
  max-width: 100%;
}
.who > :first-child {
  font-weight: 600;
}
.hangs {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 8px;
  font-size: 12px;
}
.run:hover {
  text-decoration: underline;
}
.run {
  color: var(--copper);
}
@media (width < 700px) {
  .supply {
    grid-template-columns: minmax(0, 1fr);
    padding-left: 0;
    justify-items: start;
  }
  .supply > * {
    max-width: 100%;
  }
  .supply > :deep(.load) {
    width: 100%;
  }
}
</style>
