<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import type { MainsView, PowerView, SupplyView } from '../../api/types'
import NearOnly from '../../parts/NearOnly.vue'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { freshId } from '../../state/freshId'
import { useLoads } from '../../state/loads'
import LoadBar from './LoadBar.vue'
import MainsLine from './MainsLine.vue'
import SupplyLine from './SupplyLine.vue'

/** Mains circuits with the supplies that hang on them, and what those feed. */
const props = defineProps<{ power: PowerView }>()

const display = useDisplay()
const loads = useLoads()
const board = ref<HTMLElement>()
/** What somebody was sent to: it is drawn, however far down it is. */
const revealed = ref<string>()

interface Group {
  mains?: MainsView
  supplies: SupplyView[]
}
const groups = computed<Group[]>(() => {
  const byMains = new Map<string | undefined, Group>(
    props.power.mains.map((mains) => [mains.mains.id, { mains, supplies: [] }]),
  )
  const loose: Group = { supplies: [] }
  props.power.supplies.forEach((one) => (byMains.get(one.mains) ?? loose).supplies.push(one))
  return [...byMains.values(), ...(loose.supplies.length ? [loose] : [])]
})
/** What a supply may be in, and on. */
const choices = computed(() => ({
  enclosures: display.view!.network.enclosures.map(({ enclosure }) => ({
    value: enclosure.id,
    title: enclosure.name,
  })),
  zones: display.view!.zones.map((zone) => ({ value: zone.id, title: zone.name })),
  mains: props.power.mains.map(({ mains }) => ({ value: mains.id, title: mains.name })),
}))
/** So few supplies that all of them are drawn. */
const short = computed(() => props.power.supplies.length <= 16)
const inputs = computed(() =>
  props.power.inputs.map((input) => ({
    ...input,
    tag: display.controllerOf(input.controller)!.controller.tag,
  })),
)
function ids(): Set<string> {
  return new Set([
    ...props.power.supplies.map((one) => one.supply.id),
    ...props.power.mains.map((one) => one.mains.id),
  ])
}
function addSupply(mains?: string) {
  void display.edit(() => ({
    type: 'PutSupply',
    supply: {
      id: freshId('supply', ids()),
      name: `Supply ${props.power.supplies.length + 1}`,
      volts: 12,
      amps: 30,
      mains,
    },
  }))
}
function addMains() {
  void display.edit(() => ({
    type: 'PutMainsCircuit',
    mains: {
      id: freshId('mains', ids()),
      name: `Circuit ${props.power.mains.length + 1}`,
      volts: 230,
      amps: 16,
      otherWatts: 0,
    },
  }))
}
async function reveal() {
  const id = loads.reveal
  if (id) {
    loads.reveal = undefined
    revealed.value = id
    await nextTick()
    const line = board.value?.querySelector<HTMLElement>(`[data-power="${CSS.escape(id)}"]`)
    line?.scrollIntoView({ block: 'center' })
    line?.querySelector<HTMLElement>('input')?.focus()
  }
}
onMounted(reveal)
watch(() => loads.reveal, reveal)
</script>

<template>
  <div ref="board" class="board" data-test="power-board">
    <div class="acts">
      <v-btn size="small" data-test="add-supply" @click="addSupply()">Add a supply</v-btn>
      <v-btn size="small" data-test="add-mains" @click="addMains">Add a mains circuit</v-btn>
      <span class="quiet">
        All pixels dark take {{ power.idleWatts.toFixed(0) }} W. Planned on up to
        {{ Math.round(power.plannedShare * 100) }} % of what each gives.
      </span>
    </div>
    <p v-if="groups.length === 0" class="quiet none">
      No supply is planned yet. Add one here, or let Hamper plan feeds for the runs that want some;
      it brings a supply for each controller.
    </p>
    <section v-for="group in groups" :key="group.mains?.mains.id ?? ''">
      <NearOnly
        v-if="group.mains"
        :height="56"
        :always="short || group.mains.mains.id === revealed"
      >
        <MainsLine :view="group.mains" />
      </NearOnly>
      <h2 v-else class="loose">On no mains circuit that is known</h2>
      <NearOnly
        v-for="supply in group.supplies"
        :key="supply.supply.id"
        :height="78"
        :always="short || supply.supply.id === revealed"
      >
        <SupplyLine :view="supply" :choices="choices" />
      </NearOnly>
      <button
        v-if="group.mains"
        type="button"
        class="add quiet"
        @click="addSupply(group.mains.mains.id)"
      >
        + a supply on it
      </button>
    </section>
    <section v-if="inputs.length">
      <h2>Power inputs of controllers</h2>
      <ul class="inputs">
        <NearOnly
          v-for="input in inputs"
          :key="`${input.controller}-${input.input}`"
          as="li"
          :height="28"
          :always="short"
        >
          <span class="mono tag">{{ input.tag }} · {{ input.input }}</span>
          <LoadBar :now="input.amps" :full="input.fullAmps" :most="input.ratingAmps" unit="A" />
        </NearOnly>
      </ul>
      <p class="quiet">
        {{ counted(inputs.length, 'input') }} in use. Ports are shared out evenly over a
        controller’s inputs, in their order.
      </p>
    </section>
  </div>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  font-size: 13px;
}
section {
  border-left: 3px solid var(--line-strong);
  padding-left: 14px;
}
.add {
  font-size: 12.5px;
  padding: 4px 0 0 26px;
}
.add:hover {
  text-decoration: underline;
}
.inputs {
  list-style: none;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(320px, 100%), 1fr));
  gap: 6px 24px;
  padding: 8px 0;
}
.inputs li {
  display: grid;
  grid-template-columns: 64px 1fr;
  align-items: center;
  font-size: 13px;
}
.none {
  padding: 4vh 0;
}
</style>
