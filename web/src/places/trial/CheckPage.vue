<script setup lang="ts">
import { computed, onScopeDispose, ref, watch } from 'vue'
import { api } from '../../api/client'
import type { ProofRun } from '../../api/types'
import { counted } from '../../parts/words'
import { useGoThere } from '../../shell/goThere'
import { useDisplay } from '../../state/display'

/**
 * The whole display tried on stand-ins: each is given its configuration, real packets are sent, and
 * every pixel is compared with what was meant. A checked plan, never a light.
 */
const display = useDisplay()
const goThere = useGoThere()
const run = ref<ProofRun>()
const unsaid = ref('')
let asking = 0

async function ask(what: () => Promise<ProofRun | undefined>) {
  window.clearTimeout(asking)
  const id = display.view!.id
  try {
    const answer = await what()
    unsaid.value = ''
    if (id === display.view?.id) {
      run.value = answer
    }
  } catch {
    unsaid.value = 'Hamper did not answer; try again.'
  }
  if (run.value?.running) {
    asking = window.setTimeout(() => void ask(() => api.proof(id)), 200)
  }
}
const start = () => void ask(() => api.startProof(display.view!.id))
async function stop() {
  await api.stopProof(display.view!.id)
  await ask(() => api.proof(display.view!.id))
}
watch(
  () => display.view!.id,
  (id) => {
    run.value = undefined
    void ask(() => api.proof(id))
  },
  { immediate: true },
)
onScopeDispose(() => window.clearTimeout(asking))

const report = computed(() => run.value?.report)
const stale = computed(() => !!report.value && run.value!.version !== display.view!.version)
const refused = computed(() => report.value?.controllers.filter((one) => one.refused) ?? [])
const passed = computed(() => report.value?.wrong === 0 && refused.value.length === 0)

/** Pixels of controllers that took what they are told, and show something else. */
const wrongElsewhere = computed(
  () =>
    report.value?.controllers
      .filter((one) => !one.refused)
      .reduce((sum, one) => sum + one.wrong, 0) ?? 0,
)

/** Levels as they would be read off a meter; of a pixel that is not there, nothing. */
const levels = (all: number[]) => (all.every((level) => level < 0) ? 'nothing' : all.join(' '))
function show(written: string) {
  const lane = display.lanes.find((one) => one.written === written)
  if (lane) {
    void goThere({ port: lane.port, controller: lane.port.controller })
  }
}
</script>

<template>
  <div class="proof" data-test="proof">
    <div class="head">
      <h2>Check it all</h2>
      <v-spacer />
      <v-btn v-if="run?.running" data-test="stop-proof" @click="stop">Stop</v-btn>
      <v-btn v-else color="primary" variant="flat" data-test="start-proof" @click="start">{{
        report ? 'Check again' : 'Check every pixel'
      }}</v-btn>
    </div>
    <p class="quiet lead">
      Each controller gets a stand-in on this computer, which is given its configuration and real
      packets. What every pixel, circuit and slot shows is compared with what you planned. It proves
      the plan, not the lights.
    </p>
    <p v-if="unsaid" class="wrong" role="alert">{{ unsaid }}</p>
    <div v-if="run?.running" class="running">
      <v-progress-linear
        :model-value="run.percent"
        color="primary"
        height="6"
        aria-label="Frames compared"
      />
      <span class="mono">{{ run.percent }} %</span>
    </div>
    <p v-if="run?.failed" class="wrong" role="alert">It could not be checked: {{ run.failed }}.</p>
    <template v-if="report">
      <p class="verdict" :class="{ wrong: !passed }" role="status" data-test="verdict">
        <strong v-if="passed"
          >✓ {{ counted(report.pixels, 'pixel') }} of
          {{ counted(report.controllers.length, 'controller') }} show what was meant.</strong
        >
        <strong v-if="refused.length"
          >▲ {{ counted(refused.length, 'controller') }} did not take what it is told.
        </strong>
        <strong v-if="wrongElsewhere"
          >▲ {{ counted(wrongElsewhere, 'pixel') }} of {{ report.pixels.toLocaleString('en') }} show
          something else than was meant.</strong
        >
        <span v-if="stale" class="stale">The plan has changed since.</span>
      </p>
      <p class="quiet">
        {{ counted(report.packets, 'packet') }} in {{ (report.millis / 1000).toFixed(1) }} s,
        {{ report.lost ? counted(report.lost, 'packet') + ' lost and sent again' : 'none lost' }}.
      </p>
      <table class="controllers">
        <thead>
          <tr>
            <th>Controller</th>
            <th class="number">Pixels</th>
            <th class="number">Packets</th>
            <th class="number">Wrong</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in report.controllers" :key="one.controller">
            <td>
              <strong>{{ one.tag }}</strong> <span class="quiet">{{ one.model }}</span>
            </td>
            <td class="mono number">{{ one.pixels.toLocaleString('en') }}</td>
            <td class="mono number">{{ one.packets.toLocaleString('en') }}</td>
            <td class="mono number" :class="{ wrong: one.wrong }">
              {{ one.wrong ? `▲ ${one.wrong.toLocaleString('en')}` : '0' }}
            </td>
            <td class="wrong">{{ one.refused }}</td>
          </tr>
          <tr v-for="one in report.leftOut" :key="one.what">
            <td>
              <strong>{{ one.what }}</strong>
            </td>
            <td colspan="4" class="quiet">left out: {{ one.why }}</td>
          </tr>
        </tbody>
      </table>
      <template v-if="report.examples.length">
        <h2>Wrong pixels</h2>
        <p class="quiet">
          <template v-if="report.examples.length < report.wrong"
            >The first {{ report.examples.length }} of
            {{ report.wrong.toLocaleString('en') }}.</template
          >
          Levels byte by byte as they are clocked; positions count null pixels.
        </p>
        <ul class="pixels" data-test="wrong-pixels">
          <li v-for="one in report.examples" :key="`${one.written} ${one.position}`">
            <button
              type="button"
              class="mono"
              :title="`Go to ${one.written}`"
              @click="show(one.written)"
            >
              {{ one.written }}
            </button>
            <span>position {{ one.position }}</span>
            <span class="mono">meant {{ levels(one.meant) }}</span>
            <span class="mono">shown {{ levels(one.shown) }}</span>
          </li>
        </ul>
      </template>
    </template>
  </div>
</template>

<style scoped>
.proof {
  max-width: 860px;
}
.head {
  display: flex;
  align-items: center;
}
.lead {
  max-width: 66ch;
  padding: 4px 0 10px;
}
.running {
  display: flex;
  align-items: center;
  gap: 12px;
}
.verdict {
  font-size: 16px;
  padding: 6px 0 2px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  color: rgb(var(--v-theme-success));
}
.verdict.wrong,
.wrong {
  color: rgb(var(--v-theme-error));
}
.stale {
  color: rgb(var(--v-theme-warning));
}
table {
  width: 100%;
  border-collapse: collapse;
  margin: 12px 0 18px;
  font-size: 13px;
}
th {
  text-align: left;
  font-weight: 500;
  color: var(--quiet);
}
th,
td {
  padding: 4px 10px 4px 0;
  border-bottom: 1px solid var(--line);
}
.number {
  text-align: right;
}
.pixels {
  list-style: none;
  font-size: 12.5px;
}
.pixels li {
  display: grid;
  grid-template-columns: 72px 110px 200px 1fr;
  align-items: center;
  gap: 8px;
  padding: 2px 0;
}
.pixels button {
  color: var(--copper);
  text-align: left;
}
@media (width < 700px) {
  .pixels li {
    grid-template-columns: auto 1fr;
  }
}
</style>
