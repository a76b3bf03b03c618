<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import type { MainsView, PowerView, SupplyView } from '../../api/types'
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

interface Group {
  mains?: MainsView
  supplies: SupplyView[]
}
const groups = computed<Group[]>(() => {
  const on = (id?: string) => props.power.supplies.filter((one) => one.mains === id)
  const loose = on(undefined)
  return [
    ...props.power.mains.map((mains) => ({ mains, supplies: on(mains.mains.id) })),
    ...(loose.length ? [{ supplies: loose }] : []),
  ]
})
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
      <MainsLine v-if="group.mains" :view="group.mains" />
      <h2 v-else class="loose">On no mains circuit that is known</h2>
      <SupplyLine
        v-for="supply in group.supplies"
        :key="supply.supply.id"
        :view="supply"
        :mains="power.mains.map((one) => one.mains)"
      />
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
        <li v-for="input in inputs" :key="`${input.controller}-${input.input}`">
          <span class="mono tag">{{ input.tag }} · {{ input.input }}</span>
          <LoadBar :now="input.amps" :full="input.fullAmps" :most="input.ratingAmps" unit="A" />
        </li>
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
  gap: 18px;
}
.acts {
  display: flex;
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
  grid-template-columns: repeat(auto-fill, minmax(320px, 1fr));
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
