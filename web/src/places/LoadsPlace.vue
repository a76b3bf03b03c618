<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../api/client'
import type { FeedPlanView } from '../api/types'
import FilterField from '../parts/FilterField.vue'
import TrialBar from '../parts/TrialBar.vue'
import { counted } from '../parts/words'
import { portKey, useDisplay } from '../state/display'
import { useLoads } from '../state/loads'
import { useTrial } from '../state/trial'
import LoadTable from './loads/LoadTable.vue'
import PowerBoard from './loads/PowerBoard.vue'
import WhatIf from './loads/WhatIf.vue'

/** What ports, fuses, supplies and mains circuits carry, and how far voltage reaches. */
/** The run that the address opens, as on its cable tag; or supplies and mains. */
const props = defineProps<{ run?: string }>()

const display = useDisplay()
const router = useRouter()
const loads = useLoads()
const brightness = useTrial()
const planned = useTrial()
const filter = ref('')
const table = ref<InstanceType<typeof LoadTable>>()
const plan = ref<FeedPlanView>()
const planning = ref(false)

const tried = computed(
  () => new Map(brightness.preview.value?.lanes.map((lane) => [portKey(lane.port), lane])),
)
const power = computed(() => brightness.preview.value?.power ?? display.view!.power)
const ports = computed(() => display.lanes.filter((lane) => lane.load ?? lane.dmx))
const totals = computed(() => {
  const lanes = ports.value
    .filter((lane) => lane.load)
    .map((lane) => tried.value.get(portKey(lane.port)) ?? lane)
  return {
    planned: lanes.reduce((sum, lane) => sum + lane.load!.amps, 0),
    full: lanes.reduce((sum, lane) => sum + lane.load!.fullAmps, 0),
  }
})
/** Findings that feeds can settle. */
const wanting = computed(
  () =>
    display.view!.findings.filter((one) => ['voltage-low', 'fuse-load'].includes(one.code)).length,
)

async function planFeeds() {
  planning.value = true
  plan.value = undefined
  const answer = await display.attempt(() => api.feedPlan(display.view!.id))
  planning.value = false
  plan.value = answer
  if (answer?.edit) {
    await planned.aim(answer.edit)
  }
}
async function apply() {
  plan.value = undefined
  await planned.apply()
}
function leave() {
  plan.value = undefined
  planned.leave()
}
const POWER = 'supplies'
function openRun(run?: string) {
  if (run === POWER) {
    loads.view = 'power'
  } else if (run) {
    const lane = display.lanes.find((one) => one.written === run)
    loads.view = 'runs'
    loads.open = lane && portKey(lane.port)
  }
}
watch(() => props.run, openRun)
watch(
  () => [loads.view, loads.open],
  () => {
    const open = loads.open && display.laneByPort.get(loads.open)?.written
    const run = loads.view === 'power' ? POWER : (open ?? '')
    if (run !== (props.run ?? '')) {
      void router.replace({ name: 'loads', params: { run } })
    }
  },
)
onMounted(() => {
  openRun(props.run)
  if (ports.value.length === 0 && display.view!.power.supplies.length > 0) {
    loads.view = 'power'
  }
})
</script>

<template>
  <div class="loads">
    <div class="head">
      <h1>Loads</h1>
      <div class="views" role="group" aria-label="What is shown">
        <button
          type="button"
          :aria-pressed="loads.view === 'runs'"
          data-test="view-runs"
          @click="loads.view = 'runs'"
        >
          Runs <span class="mono">{{ ports.length }}</span>
        </button>
        <button
          type="button"
          :aria-pressed="loads.view === 'power'"
          data-test="view-power"
          @click="loads.view = 'power'"
        >
          Supplies and mains <span class="mono">{{ display.view!.power.supplies.length }}</span>
        </button>
      </div>
      <FilterField
        v-if="loads.view === 'runs'"
        v-model="filter"
        label="Filter ports"
        :shown="table?.shown ?? 0"
        :all="ports.length"
      />
      <span class="mono sum"
        >{{ totals.planned.toFixed(1) }} A planned · {{ totals.full.toFixed(1) }} A at 100 % ·
        {{ power.idleWatts.toFixed(0) }} W dark</span
      >
    </div>
    <WhatIf :trial="brightness" />
    <div v-if="wanting || plan" class="wanting">
      <template v-if="!plan">
        <span>▲ {{ counted(wanting, 'finding') }} of voltage or fuses that feeds may settle</span>
        <v-btn
          size="small"
          color="primary"
          :loading="planning"
          data-test="plan-feeds"
          @click="planFeeds"
          >Plan feeds for all of them</v-btn
        >
      </template>
      <template v-else>
        <p v-if="plan.left.length">
          No choice of feeds sets {{ plan.left.join(', ') }} right; lower the brightness there, or
          take thicker wire.
        </p>
        <p v-if="plan.supplies.length">
          It brings along: {{ plan.supplies.join('; ') }}. Their ratings are what the runs want;
          change them in Supplies and mains.
        </p>
        <TrialBar
          v-if="plan.edit"
          :preview="planned.preview.value"
          :refused="planned.refused.value"
          @apply="apply"
          @leave="leave"
        />
        <v-btn v-else size="small" @click="leave">Leave it</v-btn>
      </template>
    </div>
    <PowerBoard v-if="loads.view === 'power'" :power="power" />
    <p v-else-if="ports.length === 0" class="quiet none">
      No port carries anything yet. Hang strings and fixtures on ports in Patch; their loads stand
      here then.
    </p>
    <div v-else class="table">
      <LoadTable ref="table" :filter="filter" :tried="tried" />
    </div>
  </div>
</template>

<style scoped>
.loads {
  padding: 16px 24px 40px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.head {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 8px 18px;
}
.views {
  display: flex;
  gap: 14px;
  font-size: 13px;
}
.views button {
  padding: 4px 2px;
  border-bottom: 2px solid transparent;
}
.views button[aria-pressed='true'] {
  border-color: var(--copper);
  font-weight: 600;
}
.wanting {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  font-size: 13px;
}
.wanting > :deep(.trial) {
  flex: 1;
}
.sum {
  margin-left: auto;
  font-size: 13px;
}
.none {
  padding: 6vh 0;
}
.table {
  overflow-x: auto;
}
@media (width < 700px) {
  .loads {
    padding: 12px 12px 32px;
  }
  .sum {
    margin-left: 0;
  }
}
</style>
