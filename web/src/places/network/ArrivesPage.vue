<script setup lang="ts">
import { mdiEarHearing, mdiStop } from '@mdi/js'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { api } from '../../api/client'
import type { Listening } from '../../api/types'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import AirReportView from './AirReportView.vue'

/** Which universes arrive from whom, beside who is planned to send them. */
const LOOK_EVERY = 1_000

const display = useDisplay()
const heard = shallowRef<Listening>()
const unsaid = ref('')
let timer = 0

async function look(how: (id: string) => Promise<Listening | undefined>) {
  window.clearTimeout(timer)
  const id = display.view!.id
  try {
    const answer = await how(id)
    if (id === display.view?.id) {
      heard.value = answer || undefined
      unsaid.value = ''
    }
  } catch (error) {
    unsaid.value = error instanceof Error ? error.message : String(error)
  }
  if (heard.value?.running) {
    timer = window.setTimeout(() => void look(api.listening), LOOK_EVERY)
  }
}
const start = () => look(api.startListening)
async function stop() {
  await display.attempt(() => api.stopListening(display.view!.id))
  await look(api.listening)
}
watch(
  () => display.view!.id,
  () => {
    heard.value = undefined
    void look(api.listening)
  },
  { immediate: true },
)
onScopeDispose(() => window.clearTimeout(timer))

const how = computed(() => {
  const now = heard.value
  if (!now) {
    return ''
  }
  return now.live
    ? `by ${now.adapters.join(', ') || 'no adapter'}, over the last ${(now.windowMillis / 1000).toFixed(0)} s`
    : 'as stand-ins on this computer count it'
})
const refused = computed(() => Object.entries(heard.value?.refused ?? {}))
</script>

<template>
  <div class="look arrives">
    <div class="head">
      <v-btn v-if="heard?.running" :prepend-icon="mdiStop" data-test="stop-listening" @click="stop"
        >Stop listening</v-btn
      >
      <v-btn
        v-else
        color="primary"
        variant="flat"
        :prepend-icon="mdiEarHearing"
        data-test="listen"
        @click="start"
        >Listen</v-btn
      >
      <span v-if="heard" role="status" class="quiet">{{
        heard.running ? `Listening ${how}` : `Not listening any more; heard ${how}`
      }}</span>
      <span v-else class="quiet">
        Groups and broadcasts are heard, and what comes to this computer. What goes from one to
        another does not pass here; devices are asked what they count of it.
      </span>
    </div>
    <p v-if="unsaid || heard?.failed" class="wrong" role="alert">
      {{ unsaid || `It ended: ${heard!.failed}` }}
    </p>
    <p v-for="note in heard?.notes ?? []" :key="note" class="quiet">{{ note }}</p>
    <AirReportView v-if="heard" :report="heard.report" />
    <section v-if="heard?.sources.length" aria-label="Sources">
      <h3>Sources that say what they send</h3>
      <ul>
        <li v-for="one in heard.sources" :key="one.from + one.name">
          <span class="mono">{{ one.from }}</span> {{ one.name }}:
          {{ counted(one.universes.length, 'universe') }}
        </li>
      </ul>
    </section>
    <p v-for="[why, count] in refused" :key="why" class="quiet">
      {{ counted(count, 'packet') }} not as its protocol says: {{ why }}
    </p>
  </div>
</template>

<style scoped src="./looks.css"></style>
<style scoped>
ul {
  list-style: none;
  font-size: 13px;
}
</style>
