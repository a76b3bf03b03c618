<script setup lang="ts">
import { mdiCardOutline, mdiDownload, mdiHandPointingRight, mdiSync } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { api } from '../../api/client'
import type { HandComparison, HandoverEntry, HandoverSheet, SheetCell } from '../../api/types'
import { MEANS, moment, standsAs, STATES } from '../../parts/handoverWords'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { useHandover } from '../../state/handover'
import RescueAnswers from './RescueAnswers.vue'
import SettingSheetView from './SettingSheetView.vue'
import StartRibbons from './StartRibbons.vue'
import TakeOverPanel from './TakeOverPanel.vue'
import { pasted, typedCells } from './sheetLines'

/** One controller: how it stands, what differs, its sheet, and every way to hand it over. */
const props = defineProps<{ entry: HandoverEntry; base: string }>()

const display = useDisplay()
const handover = useHandover()
const sheet = ref<HandoverSheet>()
const byHand = ref(false)
const dead = ref(false)
const looksAtIt = ref(false)
const shown = ref<Record<string, string>>({})
const compared = ref<HandComparison>()
const id = computed(() => props.entry.state.controller)

async function look() {
  const wanted = id.value
  const answer = await api.sheet(display.view!.id, wanted).catch(() => undefined)
  if (answer && wanted === id.value && answer.version >= (sheet.value?.version ?? 0)) {
    sheet.value = answer
  }
}
watch(
  id,
  () => {
    sheet.value = undefined
    shown.value = {}
    compared.value = undefined
    byHand.value = false
    dead.value = false
    looksAtIt.value = false
  },
  { immediate: true },
)
watch([id, () => display.view?.version, () => handover.now], () => void look(), { immediate: true })

const cells = computed(() => (sheet.value ? typedCells(sheet.value.sheet) : []))
const isTicked = (cell: SheetCell) => sheet.value?.typed[cell.key] === cell.value
const ticked = computed(() => cells.value.filter(isTicked).length)
const differing = computed(() => new Set(compared.value?.differs.map((one) => one.key)))
const takesCard = computed(() => props.entry.ways.includes('FILE_ON_CARD'))
const takesNetwork = computed(() => props.entry.ways.includes('NETWORK'))

const give = (more: object = {}) =>
  void handover.give({ which: 'CHOSEN', controllers: [id.value], ...more })

/** Notes at once what is typed; the server keeps it. */
function tick(cell: SheetCell, on: boolean) {
  sheet.value = {
    ...sheet.value!,
    typed: { ...sheet.value!.typed, [cell.key]: on ? cell.value : '' },
  }
  if (cell.key.endsWith('/used')) {
    read(cell, on ? cell.value : '') // that a port is empty is seen, and not typed
  }
  void display.attempt(() =>
    api.typed(display.view!.id, id.value, { [cell.key]: on ? cell.value : null }),
  )
}
async function copy(cell: SheetCell) {
  await navigator.clipboard?.writeText(cell.value).catch(() => undefined)
  display.said = { text: `Copied ${cell.label} ${cell.value}`, canUndo: false }
  if (byHand.value) {
    tick(cell, true)
  }
}
function read(cell: SheetCell, text: string) {
  shown.value = { ...shown.value, [cell.key]: text }
}
function paste(cell: SheetCell, text: string) {
  shown.value = { ...shown.value, ...pasted(text, cells.value, cell.key) }
}
/** Somebody reads what the device shows, and finds it as it is written here. */
function readsTheSame() {
  shown.value = Object.fromEntries(cells.value.map((cell) => [cell.key, cell.value]))
}
async function compare() {
  compared.value = await display.attempt(() => api.byHand(display.view!.id, id.value, shown.value))
  if (compared.value?.given) {
    byHand.value = false
    shown.value = {}
    display.said = { text: `${props.entry.state.tag} was given by hand`, canUndo: false }
  }
}
async function carried() {
  await display.attempt(() => api.byCard(display.view!.id, id.value))
}
</script>

<template>
  <section class="device" :aria-label="`${entry.state.tag} ${entry.name}`">
    <header>
      <span class="tag mono">{{ entry.state.tag }}</span>
      <div class="what">
        <h2>{{ entry.name }}</h2>
        <p class="quiet">
          {{ entry.modelTitle }} · {{ entry.portsUsed }} of {{ counted(entry.ports, 'port') }} in
          use
          <template v-if="entry.state.serial"> · serial {{ entry.state.serial }}</template>
        </p>
      </div>
      <div class="do">
        <v-btn
          color="primary"
          variant="flat"
          :disabled="handover.running"
          data-test="give-one"
          @click="give()"
          >Give {{ entry.state.tag }}</v-btn
        >
        <v-btn
          :prepend-icon="mdiSync"
          :disabled="handover.running"
          data-test="read-back"
          @click="give({ readBack: true })"
          >Read back</v-btn
        >
        <v-btn
          :prepend-icon="mdiHandPointingRight"
          :aria-pressed="byHand"
          data-test="by-hand"
          @click="byHand = !byHand"
          >By hand</v-btn
        >
        <v-btn
          :prepend-icon="mdiDownload"
          :href="`${base}/configurations/${id}`"
          download
          data-test="download-configuration"
          >Document</v-btn
        >
        <v-btn :prepend-icon="mdiDownload" :href="`${base}/sheets/${id}.txt`" download>Sheet</v-btn>
        <v-btn :aria-pressed="looksAtIt" data-test="what-it-has" @click="looksAtIt = !looksAtIt"
          >What it has</v-btn
        >
        <v-btn :aria-pressed="dead" data-test="dead" @click="dead = !dead">It is dead</v-btn>
        <v-btn v-if="takesCard" :prepend-icon="mdiCardOutline" @click="carried"
          >Card is in {{ entry.state.tag }}</v-btn
        >
      </div>
    </header>

    <TakeOverPanel
      v-if="looksAtIt"
      :controller="id"
      :tag="entry.state.tag"
      @done="looksAtIt = false"
    />
    <RescueAnswers v-if="dead" :controller="id" :tag="entry.state.tag" @done="dead = false" />
    <p class="stands" :class="STATES[entry.state.state].tone" role="status" data-test="stands">
      <span aria-hidden="true">{{ STATES[entry.state.state].sign }}</span>
      {{ standsAs(entry.state) }}
      <template v-if="!takesNetwork"> It is told by hand: its own pages take no document.</template>
    </p>
    <div v-if="entry.state.differs.length" class="differs" data-test="differs">
      <strong>{{
        entry.state.state === 'DIFFERENT'
          ? 'What it has, against what it was given'
          : 'What it has to be told otherwise'
      }}</strong>
      <ul>
        <li v-for="line in entry.state.differs" :key="line">{{ line }}</li>
      </ul>
    </div>
    <template v-if="sheet">
      <StartRibbons
        v-if="sheet.before.length && entry.state.differs.length"
        :before="sheet.before"
        :after="sheet.after"
      />
      <div v-if="byHand" class="hand" data-test="hand-bar">
        <span
          >{{ ticked }} of {{ counted(cells.length, 'value') }} typed in. A click on a value copies
          it and ticks it. Then type or paste what the device shows.</span
        >
        <v-btn size="small" @click="readsTheSame">It shows all of this</v-btn>
        <v-btn
          size="small"
          color="primary"
          variant="flat"
          :disabled="Object.keys(shown).length === 0"
          data-test="compare"
          @click="compare"
          >Compare</v-btn
        >
        <p v-if="compared && !compared.given" class="bad" role="alert">
          <template v-if="compared.differs.length"
            >{{ counted(compared.differs.length, 'value differs', 'values differ') }}:
            {{
              compared.differs
                .slice(0, 4)
                .map((one) => `${one.row} ${one.label} is ${one.shown}, planned ${one.planned}`)
                .join('; ')
            }}.
          </template>
          <template v-if="compared.missing.length"
            >{{ counted(compared.missing.length, 'value') }} not read yet.</template
          >
        </p>
      </div>
      <SettingSheetView
        :sheet="sheet.sheet"
        :untold="sheet.configuration.untold.map((one) => one.what)"
        :by-hand="byHand"
        :ticked="isTicked"
        :shown="shown"
        :differing="differing"
        @copy="copy"
        @tick="tick"
        @read="read"
        @paste="paste"
      />
      <p class="quiet mono print" :title="sheet.fingerprint">
        {{ sheet.fingerprint.slice(0, 23) }}…
      </p>
      <template v-if="sheet.history.length">
        <h3>What happened to it</h3>
        <ol class="history">
          <li v-for="(fact, i) in sheet.history.slice(0, 30)" :key="i">
            <span class="mono quiet">{{ moment(fact.at) }}</span>
            <span>{{ fact.kind.toLowerCase().replace('_', ' ') }} {{ MEANS[fact.means] }}</span>
            <span class="quiet">
              version {{ fact.version }}<template v-if="fact.by">, {{ fact.by }}</template
              ><template v-if="fact.why"> · {{ fact.why }}</template>
            </span>
          </li>
        </ol>
        <v-btn
          size="small"
          :disabled="handover.running"
          data-test="give-back"
          @click="give({ back: true })"
          >Give it what it had before</v-btn
        >
      </template>
    </template>
  </section>
</template>

<style scoped>
.device {
  max-width: 900px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  padding-bottom: 8px;
}
.tag {
  font-size: 22px;
  font-weight: 600;
  padding: 5px 9px;
  border: 2px solid rgb(var(--v-theme-on-surface));
  border-radius: 4px;
}
.what {
  flex: 1;
  min-width: 180px;
}
.do {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.stands {
  padding: 4px 0 8px;
}
.stands.good {
  color: rgb(var(--v-theme-success));
}
.stands.warn {
  color: rgb(var(--v-theme-warning));
}
.bad,
.stands.bad {
  color: rgb(var(--v-theme-error));
}
.differs {
  border-left: 4px solid rgb(var(--v-theme-warning));
  background: rgb(var(--v-theme-surface));
  padding: 8px 14px;
  margin-bottom: 12px;
  font-size: 13.5px;
}
.differs ul {
  padding-left: 18px;
}
.hand {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  padding: 6px 0 10px;
  font-size: 13px;
}
.hand p {
  width: 100%;
}
.print {
  font-size: 11.5px;
  padding: 6px 0 10px;
}
h3 {
  font-size: 13px;
  font-weight: 600;
}
.history {
  list-style: none;
  padding: 0 0 6px;
  font-size: 12.5px;
}
.history li {
  display: flex;
  gap: 12px;
}
</style>
