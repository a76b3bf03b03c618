<script setup lang="ts">
import { mdiDownload } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../api/client'
import { said } from '../api/said'
import type { HandoverView } from '../api/types'
import { counted } from '../parts/words'
import { useDisplay } from '../state/display'
import { useHandover } from '../state/handover'
import ControllerList from './handover/ControllerList.vue'
import ControllerSheet from './handover/ControllerSheet.vue'
import GivingBar from './handover/GivingBar.vue'
import LogPage from './handover/LogPage.vue'
import MilestonesPage from './handover/MilestonesPage.vue'
import ListPage from './handover/ListPage.vue'
import SeasonSettings from './handover/SeasonSettings.vue'
import UnitTable from './handover/UnitTable.vue'

const props = defineProps<{ controller?: string }>()
const LIST = 'list-'
const UNITS = 'units'
const MILESTONES = 'milestones'
const LOG = 'log'

const display = useDisplay()
const handover = useHandover()
const router = useRouter()
const all = ref<HandoverView>()
const chosen = ref<string[]>([])

watch(
  [() => display.view?.id, () => display.view?.version, () => handover.now],
  async () => {
    const id = display.view!.id
    const answer = await api.handover(id).catch(() => undefined)
    // an answer about an older version, or another display, is dropped
    if (answer && id === display.view?.id && answer.version >= (all.value?.version ?? 0)) {
      all.value = answer
    }
  },
  { immediate: true },
)
watch(
  () => display.view?.id,
  () => {
    all.value = undefined
    chosen.value = []
  },
)

const list = computed(() => all.value?.lists.find((one) => LIST + one.source === props.controller))
const showsUnits = computed(() => props.controller === UNITS && !!all.value?.units.length)
const entry = computed(() => {
  const pages = [MILESTONES, LOG]
  if (list.value || showsUnits.value || pages.includes(props.controller ?? '')) {
    return undefined
  }
  const entries = all.value?.entries ?? []
  return entries.find((one) => one.state.controller === props.controller) ?? entries[0]
})
const base = computed(() => `/api/displays/${display.view!.id}`)

const PAGES = [
  [MILESTONES, 'Milestones', 'frozen, compared, gone back to'],
  [LOG, 'Who did what', 'and how it was then'],
] as const

function to(controller: string) {
  void router.replace({ name: 'handover', params: { controller } })
}
/** Offered once, when the first configuration was given. */
const offersStill = computed(
  () =>
    handover.begun &&
    !!entry.value &&
    display.view!.settings.keepsStill === undefined &&
    !handover.running,
)
const keepStill = (keepsStill: boolean) =>
  void display.edit({ type: 'SetDisplay', settings: said({ keepsStill }) })
const giveChosen = () =>
  void handover.give({ which: 'CHOSEN', controllers: chosen.value }).then(() => (chosen.value = []))
</script>

<template>
  <div class="handover" :data-version="all?.version" data-test="handover">
    <nav class="who scrolls" aria-label="What is handed over">
      <h1>Handover</h1>
      <div v-if="all?.entries.length" class="give">
        <v-btn
          v-if="chosen.length"
          color="primary"
          variant="flat"
          :disabled="handover.running"
          data-test="give-chosen"
          @click="giveChosen"
          >Give {{ counted(chosen.length, 'chosen one', 'chosen ones') }}</v-btn
        >
        <v-btn
          v-else
          color="primary"
          variant="flat"
          :disabled="handover.running || handover.open === 0"
          data-test="give-open"
          @click="handover.give({ which: 'STALE' })"
          >{{
            handover.open ? `Give ${counted(handover.open, 'open one')}` : 'All are given'
          }}</v-btn
        >
        <v-btn
          :disabled="handover.running"
          title="Ask every device what it has"
          data-test="read-all"
          @click="handover.give({ which: 'ALL', readBack: true })"
          >Read all back</v-btn
        >
        <v-btn :prepend-icon="mdiDownload" :href="`${base}/bundle.zip`" download data-test="bundle"
          >All as ZIP</v-btn
        >
      </div>
      <ControllerList
        v-if="all"
        v-model:chosen="chosen"
        :entries="all.entries"
        :open="entry?.state.controller"
        @open="to"
      />
      <button
        v-for="one in all?.lists.filter((l) => l.lines > 0)"
        :key="one.source"
        type="button"
        class="list"
        :aria-current="one === list ? 'true' : undefined"
        :data-test="`list-${one.source === 'show' ? 'show' : 'source'}`"
        @click="to(LIST + one.source)"
      >
        <strong>{{
          one.source === 'show' ? 'For whoever makes the show' : `Send list of ${one.title}`
        }}</strong>
        <span v-if="one.differs.length" class="stale">◐ stale: {{ one.differs[0] }}</span>
        <span v-else-if="one.version !== undefined" class="good"
          >✓ {{ one.source === 'show' ? 'built on' : 'told at' }} version {{ one.version }}</span
        >
        <span v-else class="quiet">{{ counted(one.lines, 'line') }}, not handed over yet</span>
      </button>
      <button
        v-if="all?.units.length"
        type="button"
        class="list"
        :aria-current="showsUnits ? 'true' : undefined"
        @click="to(UNITS)"
      >
        <strong>Decoders and dimmer packs</strong>
        <span class="quiet">set at themselves: {{ all.units.length }}</span>
      </button>
      <button
        v-if="all?.entries.length"
        type="button"
        class="list"
        data-test="go-proof"
        @click="router.push({ name: 'trial', params: { part: 'check' } })"
      >
        <strong>Check it all</strong>
        <span class="quiet">every pixel, on stand-ins</span>
      </button>
      <button
        v-for="[page, title, told] in PAGES"
        :key="page"
        type="button"
        class="list"
        :aria-current="controller === page ? 'true' : undefined"
        :data-test="`go-${page}`"
        @click="to(page)"
      >
        <strong>{{ title }}</strong>
        <span class="quiet">{{ told }}</span>
      </button>
      <SeasonSettings v-if="all" />
    </nav>
    <div class="sheet scrolls">
      <div v-if="handover.showIsOn" class="on" role="alert" data-test="show-is-on">
        <span>{{ handover.showIsOn.words }}</span>
        <v-btn
          size="small"
          @click="handover.give({ ...handover.showIsOn.request, inShowHours: true })"
          >Give all the same</v-btn
        >
        <v-btn size="small" @click="handover.showIsOn = undefined">Wait</v-btn>
      </div>
      <GivingBar v-if="entry || handover.running" @open="to" />
      <p v-if="offersStill" class="on" data-test="offers-still">
        <span
          >The first configurations are given. From now on edits can leave every start where it is
          that does not have to move.</span
        >
        <v-btn size="small" color="primary" @click="keepStill(true)">Keep starts still</v-btn>
        <v-btn size="small" @click="keepStill(false)">Not now</v-btn>
      </p>
      <MilestonesPage v-if="controller === MILESTONES" />
      <LogPage v-else-if="controller === LOG" />
      <ListPage
        v-else-if="all && list"
        :list="list"
        :lines="all.sendList"
        :moved="all.moved"
        :base="base"
      />
      <template v-else-if="all && showsUnits">
        <h2>Decoders and dimmer packs</h2>
        <UnitTable :units="all.units" :base="base" />
      </template>
      <ControllerSheet v-else-if="entry" :entry="entry" :base="base" />
      <div v-else-if="all" class="none">
        <h2>Nothing to hand over yet</h2>
        <p class="quiet">As soon as there is a controller, its configuration stands here.</p>
      </div>
    </div>
  </div>
</template>

<style scoped>
.handover {
  height: 100%;
  display: grid;
  grid-template-columns: 300px 1fr;
}
.who {
  border-right: 1px solid var(--line);
  padding: 12px;
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.who h1 {
  padding: 0 10px 4px;
}
.give {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  padding: 0 6px 8px;
}
/* as large as it is, whatever stands in it: a line that is drawn while one scrolls is laid out alone */
.sheet {
  contain: strict;
}
.list {
  display: grid;
  text-align: left;
  padding: 8px 10px;
  border-left: 3px solid transparent;
  border-top: 1px solid var(--line);
  font-size: 12.5px;
  line-height: 17px;
}
.list:first-of-type {
  margin-top: 8px;
}
.list span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.list:hover,
.list[aria-current] {
  background: rgb(var(--v-theme-surface-variant));
}
.list[aria-current] {
  border-left-color: var(--copper);
}
.stale {
  color: rgb(var(--v-theme-warning));
}
.good {
  color: rgb(var(--v-theme-success));
}
.sheet {
  padding: 12px 28px 48px;
}
.on {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  border-left: 4px solid rgb(var(--v-theme-warning));
  background: rgb(var(--v-theme-surface));
  padding: 8px 14px;
  margin-bottom: 10px;
}
.on span {
  flex: 1 1 240px;
}
.none {
  padding: 12vh 0;
  text-align: center;
}
@media (width < 700px) {
  .handover {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto 1fr;
  }
  .handover > :first-child {
    max-height: 38vh;
  }
  .sheet {
    padding: 12px;
  }
}
</style>
