<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight, mdiFileUploadOutline } from '@mdi/js'
import { computed, onMounted, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { api } from '../../api/client'
import type { CaptureMoment, CaptureView } from '../../api/types'
import { isTyping, KEYS, keyOf } from '../../parts/keys'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { latestOf } from '../../state/latest'
import NearOnly from '../../parts/NearOnly.vue'
import ControllerLight from '../trial/ControllerLight.vue'
import { longestWire } from '../trial/pixels'
import AirReportView from './AirReportView.vue'

/** A capture beside the plan: what was sent, then frame by frame what it shows. */
const LOOK_EVERY = 300
const SECOND = 1_000_000

const display = useDisplay()
const view = shallowRef<CaptureView>()
const moment = shallowRef<CaptureMoment>()
const micros = ref(0)
const sending = ref<number>()
const unsaid = ref('')
const over = ref(false)
const file = ref<HTMLInputElement>()
let timer = 0
let stopSending = () => {}

async function look() {
  window.clearTimeout(timer)
  const id = display.view!.id
  const answer = await display.attempt(() => api.capture(id))
  if (id !== display.view?.id) {
    return
  }
  view.value = answer || undefined
  if (view.value?.running) {
    timer = window.setTimeout(() => void look(), LOOK_EVERY)
  } else if (view.value?.report && view.value.lastMicros && !micros.value) {
    await go(view.value.firstMicros)
  }
}
async function drop(dropped?: File | null) {
  over.value = false
  if (!dropped) {
    return
  }
  stopSending()
  const stop = new AbortController()
  stopSending = () => stop.abort()
  unsaid.value = ''
  view.value = undefined
  moment.value = undefined
  micros.value = 0
  sending.value = 0
  try {
    const share = (part: number) => (sending.value = part)
    await api.sendCapture(display.view!.id, dropped, share, stop.signal)
  } catch (error) {
    unsaid.value = error instanceof Error ? error.message : String(error)
  }
  sending.value = undefined
  if (file.value) {
    file.value.value = ''
  }
  await look()
}
async function forget() {
  stopSending()
  await display.attempt(() => api.dropCapture(display.view!.id))
  view.value = undefined
  moment.value = undefined
  micros.value = 0
}

const ask = latestOf<CaptureMoment>((answer) => (moment.value = answer ?? moment.value))
/** Goes to a moment, and waits until it is seen. */
function go(at: number): Promise<void> {
  micros.value = clamp(at)
  return ask(() => api.captureMoment(display.view!.id, micros.value))
}
watch(
  () => display.view!.version,
  async () => {
    await look()
    if (moment.value) {
      await go(micros.value)
    }
  },
)
/** One step after the other: a held key loses none. */
let walking = Promise.resolve()
function walk(to: (from: CaptureMoment) => number) {
  walking = walking.then(() => (moment.value ? go(to(moment.value)) : undefined))
}
const begin = computed(() => view.value?.firstMicros ?? 0)
const end = computed(() => view.value?.lastMicros ?? 0)
const clamp = (at: number) => Math.min(end.value, Math.max(begin.value, at))
const seconds = (at: number) => ((at - begin.value) / SECOND).toFixed(3)
const controllers = computed(() =>
  (moment.value?.controllers ?? []).flatMap((look) => {
    const of = display.controllerOf(look.controller)
    return of && look.sent ? [{ look, view: of }] : []
  }),
)
const most = computed(() => longestWire(controllers.value.map((one) => one.look)))
const told = ref('')

function onKey(event: KeyboardEvent) {
  const pressed = keyOf(KEYS.capture, event)
  const at = event.target as HTMLElement | null
  if (!pressed || isTyping(event) || !moment.value || at?.closest('.v-overlay')) {
    return
  }
  event.preventDefault()
  const second = event.shiftKey
  if (pressed === 'first' || pressed === 'last') {
    walk(() => (pressed === 'first' ? begin.value : end.value))
  } else if (pressed === 'back') {
    walk((at) => (second ? at.micros - SECOND : at.before))
  } else {
    walk((at) => (second ? at.micros + SECOND : at.after))
  }
}
onMounted(() => {
  window.addEventListener('keydown', onKey)
  void look()
})
onScopeDispose(() => {
  window.removeEventListener('keydown', onKey)
  window.clearTimeout(timer)
  stopSending()
})
</script>

<template>
  <div
    class="look capture"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="drop($event.dataTransfer?.files[0])"
  >
    <div class="head">
      <v-btn
        :color="view ? undefined : 'primary'"
        :variant="view ? undefined : 'flat'"
        :prepend-icon="mdiFileUploadOutline"
        data-test="choose-capture"
        @click="file?.click()"
        >{{ view ? 'Another capture …' : 'Choose a capture …' }}</v-btn
      >
      <input
        ref="file"
        type="file"
        class="hidden"
        accept=".pcap,.pcapng,.cap"
        aria-label="A capture, pcap or pcapng"
        data-test="capture-file"
        @change="drop(file?.files?.[0])"
      />
      <span v-if="view && !view.running" class="quiet">
        <strong>{{ view.name }}</strong> · {{ view.size.toLocaleString('en') }} bytes<template
          v-if="view.summary"
        >
          · {{ counted(view.summary.frames, 'frame') }} · made at {{ view.from }}</template
        >
      </span>
      <span v-else-if="!view && sending === undefined" class="quiet">
        or drop one anywhere here: pcap or pcapng, up to 1 GiB. It stays on this computer, and is
        forgotten when Hamper ends.
      </span>
      <v-spacer />
      <v-btn v-if="view || sending !== undefined" size="small" @click="forget">Forget it</v-btn>
    </div>
    <p v-if="unsaid || view?.failed" class="wrong" role="alert" data-test="capture-refused">
      ▲ {{ unsaid || view!.failed }}
    </p>
    <p v-if="view?.summary?.ended" class="wrong" role="status">▲ {{ view.summary.ended }}</p>
    <v-progress-linear
      v-if="sending !== undefined || view?.running"
      :model-value="sending !== undefined ? sending * 50 : 50 + view!.percent / 2"
      color="primary"
      height="4"
      aria-label="The capture is read"
    />
    <template v-if="view?.report">
      <AirReportView :report="view.report" />
      <section v-if="end > begin" class="frames" aria-label="Frame by frame">
        <div class="time">
          <h3>Frame by frame</h3>
          <v-btn
            :icon="mdiChevronLeft"
            size="small"
            variant="text"
            title="The frame before"
            aria-label="The frame before"
            :disabled="!moment || micros <= begin"
            @click="walk((at) => at.before)"
          />
          <input
            type="range"
            :value="micros"
            :min="begin"
            :max="end"
            step="1000"
            aria-label="Moment of the capture"
            data-test="moment"
            @input="go(Number(($event.target as HTMLInputElement).value))"
          />
          <v-btn
            :icon="mdiChevronRight"
            size="small"
            variant="text"
            title="The next frame"
            aria-label="The next frame"
            data-test="next-frame"
            :disabled="!moment || micros >= end"
            @click="walk((at) => at.after)"
          />
          <span class="mono" data-test="second">{{ seconds(micros) }} s</span>
          <span class="mono quiet">of {{ seconds(end) }} s</span>
        </div>
        <NearOnly
          v-for="one in controllers"
          :key="one.view.controller.id"
          v-slot="{ near }"
          :height="120"
          ><ControllerLight
            :near="near"
            :view="one.view"
            :look="one.look"
            :rates="[]"
            :most="most"
            live
            :misbehaviours="[]"
            @told="told = $event"
        /></NearOnly>
        <p class="under mono quiet">
          {{ told || '← and → walk by frames, with Shift by seconds.' }}
        </p>
      </section>
    </template>
  </div>
</template>

<style scoped src="./looks.css"></style>
<style scoped>
.capture {
  min-height: 60vh;
}
.capture.over {
  outline: 2px dashed var(--copper);
  outline-offset: -8px;
}
.time {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  font-size: 13px;
}
.time {
  position: sticky;
  top: 0;
  z-index: 3;
  padding: 4px 0;
  background: rgb(var(--v-theme-background));
}
.time input {
  flex: 1;
  min-width: 120px;
  accent-color: var(--copper);
}
.hidden {
  display: none;
}
.under {
  font-size: 12px;
}
</style>
