<script setup lang="ts">
import { mdiAccountQuestionOutline, mdiStop } from '@mdi/js'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { api } from '../../api/client'
import type { LineEntry, LineRun, PortRef } from '../../api/types'
import { counted } from '../../parts/words'
import { portKey, useDisplay } from '../../state/display'
import { latestOf } from '../../state/latest'
import { useOutput } from '../../state/output'
import { type Block, forecast, foundBlocks, ON_LINE, SLOTS } from './onLine'

/** What is on one DMX line, by RDM, or on one serial line, by number, beside what is planned. */
const LOOK_EVERY = 300
const HIGHEST_UNIT = 120

const display = useDisplay()
const output = useOutput()
const hung = (kind: PortRef['kind']) =>
  display.lanes.filter((lane) => lane.port.kind === kind && lane.legs.length > 0)
const lines = computed(() => [...hung('DMX'), ...hung('SERIAL')])
const chosen = ref<string>()
const lane = computed(
  () => lines.value.find((one) => portKey(one.port) === chosen.value) ?? lines.value[0],
)
const port = computed<PortRef | undefined>(() => lane.value?.port)
const serial = computed(() => port.value?.kind === 'SERIAL')
const run = shallowRef<LineRun>()
const from = ref(1)
const to = ref(HIGHEST_UNIT)
const anew = ref(false)
const device = ref('')
const ports = ref<(string | null)[]>([])
const live = computed(() => output.ground?.live ?? false)
/** The device whose slot is being typed, with what would be then. */
const setting = ref<{ uid: string; slot: number; told: string }>()
let timer = 0

async function look(how?: (id: string, line: PortRef) => Promise<LineRun | undefined>) {
  window.clearTimeout(timer)
  const id = display.view!.id
  const line = port.value
  const answer = line && (await display.attempt(() => (how ?? api.line)(id, line)))
  if (line && id === display.view?.id && port.value && portKey(line) === portKey(port.value)) {
    run.value = answer || undefined
    if (run.value?.running) {
      timer = window.setTimeout(() => void look(), LOOK_EVERY)
    }
  }
}
function ask() {
  setting.value = undefined
  const range = serial.value ? { from: from.value, to: to.value } : {}
  const own = serial.value && device.value ? { device: device.value } : {}
  void look((id, line) => api.askLine(id, line, { anew: anew.value, ...range, ...own }))
}
async function stop() {
  await display.attempt(() => api.stopLine(display.view!.id, port.value!))
  await look()
}
watch(
  [() => display.view!.id, () => display.view!.version, () => port.value && portKey(port.value)],
  (now, before) => {
    if (now[0] !== before?.[0] || now[2] !== before?.[2]) {
      run.value = undefined
      setting.value = undefined
    }
    void look()
  },
  { immediate: true, flush: 'post' },
)
watch(
  [serial, live],
  async () => {
    if (serial.value && live.value) {
      ports.value = (await display.attempt(api.serialPorts)) ?? []
      device.value ||= ports.value[0] ?? ''
    }
  },
  { immediate: true },
)
onScopeDispose(() => window.clearTimeout(timer))

const entries = computed(() => run.value?.entries ?? [])
const wrong = computed(() => entries.value.filter((one) => ON_LINE[one.state].wrong).length)
const titleOf = (piece: string) => display.pieces.get(piece)?.title ?? piece
const plannedBlocks = computed<Block[]>(() =>
  (lane.value?.legs ?? []).flatMap((leg) => {
    const view = display.pieces.get(leg.piece)
    const piece = view?.piece
    if (piece?.kind !== 'fixture' && piece?.kind !== 'decoder') {
      return []
    }
    return [
      {
        from: (piece.slot - 1) / SLOTS,
        width: view!.channels / SLOTS,
        title: titleOf(leg.piece),
        wrong: false,
      },
    ]
  }),
)
const found = computed(() => foundBlocks(entries.value, titleOf))

const askForecast = latestOf<LineEntry[]>((answer) => {
  if (setting.value && answer) {
    setting.value = { ...setting.value, told: forecast(answer, setting.value.uid) }
  }
})
function type(entry: LineEntry, slot: number) {
  const uid = entry.device!.id
  setting.value = { uid, slot, told: '' }
  if (slot >= 1 && slot <= SLOTS) {
    void askForecast(() => api.previewSlot(display.view!.id, port.value!, uid, slot))
  } else {
    setting.value.told = `a start slot is 1 to ${SLOTS}`
  }
}
function openSlot(entry: LineEntry) {
  type(entry, entry.plannedPlace ?? entry.device!.place)
}
async function setSlot() {
  const { uid, slot } = setting.value!
  const answer = await display.attempt(() => api.setSlot(display.view!.id, port.value!, uid, slot))
  if (answer) {
    run.value = answer
    setting.value = undefined
  }
}
async function identify(entry: LineEntry, on: boolean) {
  const answer = await display.attempt(() =>
    api.identify(display.view!.id, port.value!, entry.device!.id, on),
  )
  run.value = answer ?? run.value
}
const vFocus = { mounted: (field: HTMLInputElement) => field.select() }
</script>

<template>
  <div class="look line">
    <p v-if="!lines.length" class="quiet">
      Nothing hangs on a DMX line or on a serial line of a host yet. Hang fixtures, decoders or
      dimmer packs in Patch; here they are looked for.
    </p>
    <template v-else>
      <div class="lines" role="radiogroup" aria-label="Which line">
        <button
          v-for="one in lines"
          :key="portKey(one.port)"
          type="button"
          role="radio"
          class="pick mono"
          :aria-checked="one === lane"
          :class="{ here: one === lane }"
          :data-test="`line-${one.written}`"
          @click="chosen = portKey(one.port)"
        >
          {{ one.written }} <span class="quiet">{{ one.legs.length }}</span>
        </button>
      </div>
      <div class="head">
        <v-btn v-if="run?.running" :prepend-icon="mdiStop" @click="stop">Stop asking</v-btn>
        <v-btn
          v-else
          color="primary"
          variant="flat"
          :prepend-icon="mdiAccountQuestionOutline"
          data-test="ask-line"
          @click="ask"
          >{{ run ? 'Ask again' : `Ask who is on ${lane!.written}` }}</v-btn
        >
        <template v-if="serial">
          <label
            >units
            <input v-model.number="from" type="number" min="1" :max="to" aria-label="First unit"
          /></label>
          <label
            >to
            <input
              v-model.number="to"
              type="number"
              :min="from"
              :max="HIGHEST_UNIT"
              aria-label="Last unit"
          /></label>
          <label v-if="live"
            >by
            <select v-model="device" aria-label="Serial port of this computer">
              <option v-for="one in ports" :key="one ?? ''" :value="one ?? ''">{{ one }}</option>
            </select></label
          >
        </template>
        <label v-else
          ><input v-model="anew" type="checkbox" /> let the bridge search its line anew</label
        >
        <span v-if="run && !run.running && !run.failed" role="status" data-test="line-summary">
          <span v-if="wrong" class="wrong">▲ {{ counted(wrong, 'difference') }}</span>
          <span v-else class="right">✓ all as planned</span>
        </span>
        <span v-if="run?.failed" class="wrong" role="alert">▲ {{ run.failed }}</span>
      </div>
      <v-progress-linear
        v-if="run?.running"
        :model-value="run.percent"
        color="primary"
        height="4"
        aria-label="The line is asked"
      />
      <div v-if="!serial" class="strips" aria-hidden="true">
        <span class="quiet">planned</span>
        <div class="strip">
          <span
            v-for="(one, i) in plannedBlocks"
            :key="i"
            class="block"
            :style="{ left: `${one.from * 100}%`, width: `${one.width * 100}%` }"
            :title="one.title"
            >{{ one.title }}</span
          >
        </div>
        <span class="quiet">found</span>
        <div class="strip">
          <span
            v-for="(one, i) in found"
            :key="i"
            class="block found"
            :class="{ bad: one.wrong }"
            :style="{ left: `${one.from * 100}%`, width: `${one.width * 100}%` }"
            :title="one.title"
            >{{ one.title }}</span
          >
        </div>
        <span />
        <div class="scale mono quiet">
          <span v-for="n in 9" :key="n">{{ n === 1 ? 1 : (n - 1) * 64 }}</span>
        </div>
      </div>
      <table v-if="entries.length" class="rows">
        <thead>
          <tr>
            <th>{{ serial ? 'unit' : 'slot' }}</th>
            <th>planned</th>
            <th>is</th>
            <th class="says">says</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="one in entries"
            :key="`${one.piece} ${one.device?.id} ${one.device?.place}`"
            :data-line-state="one.state"
            :data-piece="one.piece"
          >
            <td class="mono">
              {{ one.device?.place ?? one.plannedPlace
              }}{{
                one.device && !serial && one.device.width > 1
                  ? `–${one.device.place + one.device.width - 1}`
                  : ''
              }}
            </td>
            <th scope="row">{{ one.piece ? titleOf(one.piece) : '' }}</th>
            <td :class="{ wrong: ON_LINE[one.state].wrong }">
              {{ ON_LINE[one.state].mark }} {{ ON_LINE[one.state].title }}
              <div v-for="told in one.told" :key="told" class="told">{{ told }}</div>
            </td>
            <td class="says">
              <template v-if="one.device && !one.device.collides">
                {{ one.device.maker }} {{ one.device.model }}
                <span class="mono quiet">{{ one.device.id }}</span>
                <span v-if="(one.device.personalities ?? 1) > 1" class="quiet">
                  personality {{ one.device.personality }} of {{ one.device.personalities }}</span
                >
              </template>
            </td>
            <td class="do">
              <template v-if="one.device && !serial">
                <form
                  v-if="setting?.uid === one.device.id"
                  class="slot"
                  @submit.prevent="setSlot"
                  @keydown.esc.stop="setting = undefined"
                >
                  <input
                    v-focus
                    type="number"
                    min="1"
                    :max="SLOTS"
                    :value="setting.slot"
                    aria-label="Start slot"
                    data-test="slot"
                    @input="type(one, Number(($event.target as HTMLInputElement).value))"
                  />
                  <v-btn size="small" type="submit" data-test="set-slot">Set it</v-btn>
                  <div class="told" role="status" data-test="slot-forecast">{{ setting.told }}</div>
                </form>
                <template v-else>
                  <v-btn size="small" data-test="open-slot" @click="openSlot(one)">Slot …</v-btn>
                  <v-btn
                    size="small"
                    :aria-pressed="one.device.identifying"
                    :color="one.device.identifying ? 'primary' : undefined"
                    @click="identify(one, !one.device.identifying)"
                    >{{ one.device.identifying ? 'Blinks' : 'Blink' }}</v-btn
                  >
                </template>
              </template>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else-if="!run" class="quiet">
        {{
          serial
            ? 'Numbers are called one after another; two packs with one number are heard as a collision.'
            : 'The bridge tells who is on its line (RDM); each says its slot, how many it takes, and what it is.'
        }}
      </p>
    </template>
  </div>
</template>

<style scoped src="./looks.css"></style>
<style scoped>
.lines {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  font-size: 13px;
}
.pick {
  padding: 2px 8px;
  border-radius: 3px;
  border: 1px solid var(--line-strong);
  font-size: 12.5px;
}
.pick.here {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-background));
}
.pick.here .quiet {
  color: inherit;
}
.head input[type='number'],
.slot input {
  width: 7ch;
  border-bottom: 1px dashed var(--copper);
}
.head select {
  border-bottom: 1px dashed var(--copper);
}
.strips {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr);
  gap: 4px 10px;
  align-items: center;
  font-size: 12px;
}
.strip {
  position: relative;
  height: 22px;
  background: var(--line);
  border-radius: 2px;
  overflow: hidden;
}
.block {
  position: absolute;
  top: 0;
  bottom: 0;
  min-width: 2px;
  padding: 0 3px;
  overflow: hidden;
  white-space: nowrap;
  line-height: 22px;
  font-size: 10.5px;
  border-left: 2px solid rgb(var(--v-theme-on-surface));
  background: rgb(var(--v-theme-surface-variant));
}
.block.found {
  background: color-mix(in srgb, rgb(var(--v-theme-success)) 26%, transparent);
}
.block.bad {
  background: color-mix(in srgb, rgb(var(--v-theme-error)) 30%, transparent);
  border-left-color: rgb(var(--v-theme-error));
}
.scale {
  display: flex;
  justify-content: space-between;
  font-size: 10.5px;
}
.slot {
  display: inline-block;
  text-align: left;
}
</style>
