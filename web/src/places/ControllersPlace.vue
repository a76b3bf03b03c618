<script setup lang="ts">
import { computed, nextTick, reactive, ref, watch } from 'vue'
import { api } from '../api/client'
import { said } from '../api/said'
import type { CatalogueView, Edit, ModelView } from '../api/types'
import FilterField from '../parts/FilterField.vue'
import InPlaceNumber from '../parts/InPlaceNumber.vue'
import { followPointer } from '../parts/followPointer'
import { fits } from '../parts/matches'
import NearOnly from '../parts/NearOnly.vue'
import TrialBar from '../parts/TrialBar.vue'
import { useWidth } from '../parts/useWidth'
import { PROTOCOLS } from '../parts/words'
import { useDisplay } from '../state/display'
import { freshId } from '../state/freshId'
import { latestOf } from '../state/latest'
import { useShell } from '../state/shell'
import { useTrial } from '../state/trial'
import CataloguePanel from './controllers/CataloguePanel.vue'
import ControllerBar from './controllers/ControllerBar.vue'
import ControllerRow from './controllers/ControllerRow.vue'
import { useControllerKeys } from './controllers/controllerKeys'
import { dropPlace, placeAt } from './controllers/listPlaces'
import UniverseStrip from './controllers/UniverseStrip.vue'

const props = defineProps<{ controller?: string }>()
/** So many at most are all drawn. */
const SHORT = 15
/** As high as most rows are (px). */
const ROW = 110
const display = useDisplay()
const trial = useTrial()
const body = ref<HTMLElement>()
const width = useWidth(body)
const filter = ref('')
const lit = ref<string | undefined>(props.controller)
const exchanging = ref<string>()
/** The controller under whose row what a change would do is told. */
const asked = ref<string>()
const catalogue = ref<CatalogueView>()
const shell = useShell()
/** Beside the findings the catalogue has room on a wide window only; it comes back when they go. */
const roomForCatalogue = computed(() => !shell.findingsOpen || window.innerWidth >= 1560)

const askCatalogue = latestOf<CatalogueView>(
  (answer) => (catalogue.value = answer ?? catalogue.value),
)
watch(
  () => [display.view!.id, display.view!.pixelTypes, display.view!.version],
  () => void askCatalogue(() => api.catalogue(display.view!.id)),
  { immediate: true },
)
const all = computed(() => display.view!.controllers)
const placeOf = (id: string) => all.value.findIndex((view) => view.controller.id === id)
const shown = computed(() =>
  all.value.filter((view) => {
    const { tag, name, settings } = view.controller
    return fits(filter.value, {
      texts: [
        tag,
        name,
        view.modelTitle,
        settings.address,
        settings.note,
        PROTOCOLS[view.protocol],
        display.zoneName(settings.zone),
      ],
      count: view.lanes.reduce((sum, lane) => sum + (lane.load?.pixels ?? 0), 0),
      wrong: display.wrongControllers.has(view.controller.id),
    })
  }),
)
const ids = computed(() => shown.value.map((view) => view.controller.id))
const { at, chosen, stand, choose, onKey } = useControllerKeys(ids, {
  /** Focuses a row once it is there. */
  show(id) {
    lit.value = id
    void nextTick(() => {
      const row = body.value?.querySelector<HTMLElement>(`[data-row="${id}"]`)
      row?.focus()
      row?.scrollIntoView({ block: 'nearest' })
    })
  },
  open: (id) => (exchanging.value = id),
  move: (id, by) => void move(id, by),
  remove,
  leave() {
    exchanging.value = undefined
    leave()
  },
})
/** Those that are changed together. */
const selected = computed(() =>
  all.value.filter((view) => !view.host && chosen.value.includes(view.controller.id)),
)
const modelOf = (id: string) => catalogue.value?.models.find((one) => one.model.id === id)
const settings = computed(() => display.view!.settings)
function setDisplay(changes: Partial<typeof settings.value>) {
  void display.edit({ type: 'SetDisplay', settings: said(changes) })
}
watch(
  () => props.controller,
  (id) => id && stand(id),
  { immediate: true },
)

async function add(model: ModelView, count: number) {
  const ids = new Set(all.value.map((view) => view.controller.id))
  const controllers = Array.from({ length: count }, () => {
    const id = freshId(model.model.id, ids)
    ids.add(id)
    return id
  })
  if (await display.edit({ type: 'AddControllers', model: model.model.id, controllers })) {
    filter.value = ''
    stand(controllers[0])
  }
}

function tryMode(id: string, mode?: string) {
  asked.value = id
  void trial.aim({ type: 'SetMode', controller: id, mode })
}
function tryUniverse(id: string, firstUniverse?: number) {
  if (firstUniverse === undefined) {
    trial.leave()
  } else {
    void trial.aim({
      type: 'SetControllers',
      controllers: [id],
      set: { settings: { firstUniverse } },
    })
  }
}
function tryExchange(model: ModelView) {
  asked.value = exchanging.value
  void trial.aim({
    type: 'ExchangeController',
    controller: exchanging.value!,
    model: model.model.id,
  })
}
/** What would come off is told first; where nothing hangs, it just goes. */
function remove(id: string) {
  const edit: Edit = { type: 'RemoveController', controller: id }
  if (display.controllerOf(id)!.lanes.some((lane) => lane.legs.length)) {
    asked.value = id
    void trial.aim(edit)
  } else {
    void display.edit(edit)
  }
}
function leave() {
  trial.leave()
  asked.value = undefined
}
async function apply() {
  const id = asked.value
  asked.value = undefined
  exchanging.value = undefined
  await trial.apply()
  if (id && display.controllerOf(id)) {
    stand(id)
  }
}

/** Those of which more is shown; rows that are out of view keep nothing themselves. */
const unfolded = reactive(new Set<string>())
function unfold(id: string) {
  if (!unfolded.delete(id)) {
    unfolded.add(id)
  }
}

/** From where it is when its turn has come: a held key loses no step. */
async function move(id: string, by: number) {
  const last = all.value.length - 1
  await display.edit(() => {
    const from = placeOf(id)
    const to = Math.max(0, Math.min(last, from + by))
    return { type: 'MoveController', controller: id, by: to - from }
  })
  stand(id)
}

/** A controller that is being dragged, and the place where it would go. */
const dragged = ref<{ id: string; index: number }>()
function grip(event: PointerEvent, id: string) {
  if (filter.value) {
    return // places in a narrowed list are not places in the list
  }
  const from = placeOf(id)
  followPointer(
    event,
    (moved) => {
      const rows = [...body.value!.querySelectorAll<HTMLElement>('[data-row]')]
      const index = placeAt(
        rows.map((row) => row.getBoundingClientRect()),
        moved.clientY,
        from,
      )
      dragged.value = { id, index }
      asked.value = undefined
      void trial.aim(
        index === from ? undefined : { type: 'MoveController', controller: id, by: index - from },
      )
    },
    (dropped) => {
      const to = dragged.value?.index
      dragged.value = undefined
      trial.leave()
      if (dropped && to !== undefined && to !== from) {
        void display.edit({ type: 'MoveController', controller: id, by: to - from })
      }
    },
  )
}
function dropBefore(index: number): boolean {
  const to = dragged.value
  if (!to) {
    return false
  }
  return index === dropPlace(placeOf(to.id), to.index)
}
</script>

<template>
  <div class="place">
    <div ref="body" class="main scrolls">
      <div class="head">
        <h1>Controllers</h1>
        <FilterField
          v-model="filter"
          label="Filter controllers"
          :shown="shown.length"
          :all="all.length"
        />
        <span class="rules mono">
          universes from
          <InPlaceNumber
            :value="settings.firstUniverse"
            label="First universe of the display"
            :least="0"
            :most="63999"
            @change="(v) => setDisplay({ firstUniverse: v! })"
          />, stride
          <InPlaceNumber
            :value="settings.universeStride"
            label="Universe stride"
            :least="1"
            :most="10000"
            @change="(v) => setDisplay({ universeStride: v! })"
          />,
          <InPlaceNumber
            :value="settings.framesPerSecond"
            label="Frames a second of the show"
            :least="1"
            :most="200"
            @change="(v) => setDisplay({ framesPerSecond: v! })"
          />
          frames/s
        </span>
      </div>
      <UniverseStrip
        :width="Math.max(300, width - 48)"
        :tried="trial.preview.value?.blocks ?? []"
        :lit="lit"
        @point="(id) => (lit = id ?? at)"
        @choose="stand"
      />
      <ControllerBar v-if="selected.length > 1" :selected="selected" @done="chosen = []" />
      <p class="tried" role="status">
        <template v-if="trial.preview.value && !asked">
          {{ trial.preview.value.label }}: {{ trial.preview.value.moved || 'no address moves' }}
        </template>
      </p>
      <p v-if="all.length === 0" class="quiet none">
        No controllers yet. Choose a model in the catalogue and add as many as there are; the
        computer that sends goes into the list too.
      </p>
      <div role="list" aria-label="Controllers in list order">
        <template v-for="(view, index) in shown" :key="view.controller.id">
          <div v-if="dropBefore(index)" class="drop" />
          <NearOnly
            role="listitem"
            class="row"
            :height="ROW"
            :always="shown.length <= SHORT || at === view.controller.id"
            :class="{
              away: dragged?.id === view.controller.id,
              chosen: chosen.includes(view.controller.id),
            }"
            tabindex="0"
            :aria-label="`${view.controller.tag} ${view.controller.name}, ${view.modelTitle}`"
            :data-row="view.controller.id"
            @click="(event: MouseEvent) => choose(event, view.controller.id)"
            @focus="((at = view.controller.id), (lit = view.controller.id))"
            @keydown="(event: KeyboardEvent) => onKey(event, view.controller.id)"
          >
            <ControllerRow
              :view="view"
              :model="modelOf(view.controller.model)"
              :place="index + 1"
              :lit="lit === view.controller.id"
              :more="unfolded.has(view.controller.id)"
              @more="unfold(view.controller.id)"
              @grip="(event) => grip(event, view.controller.id)"
              @mode="(mode) => tryMode(view.controller.id, mode)"
              @universe="(typed) => tryUniverse(view.controller.id, typed)"
              @exchange="exchanging = view.controller.id"
              @remove="remove(view.controller.id)"
            />
            <TrialBar
              v-if="asked === view.controller.id"
              :preview="trial.preview.value"
              :refused="trial.refused.value"
              @apply="apply"
              @leave="leave"
            />
          </NearOnly>
        </template>
        <div v-if="dropBefore(shown.length)" class="drop" />
      </div>
      <p v-if="all.length > 0 && shown.length === 0" class="quiet none">
        No controller matches “{{ filter }}”.
      </p>
    </div>
    <CataloguePanel
      v-show="roomForCatalogue || exchanging"
      :class="{ asked: exchanging || all.length === 0 }"
      :catalogue="catalogue"
      :exchanging="exchanging ? display.controllerOf(exchanging) : undefined"
      @add="add"
      @exchange="tryExchange"
      @stop="((exchanging = undefined), leave())"
    />
  </div>
</template>

<style scoped>
.place {
  display: flex;
  height: 100%;
}
.main {
  flex: 1;
  min-width: 0;
  padding: 16px 24px 40px;
}
.head {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 8px 20px;
  margin-bottom: 8px;
}
.rules {
  font-size: 12.5px;
  margin-left: auto;
}
.tried {
  min-height: 22px;
  font-size: 13px;
  color: var(--copper);
  font-weight: 500;
}
.row.chosen {
  box-shadow: inset 4px 0 0 var(--copper);
}
.row.away {
  opacity: 0.5;
}
.drop {
  height: 3px;
  background: var(--copper);
}
.none {
  padding: 4vh 0;
}
/* on a ladder one reads what is there: the catalogue comes when it is asked for */
@media (width < 700px) {
  .place {
    flex-direction: column;
  }
  .main {
    padding: 12px 12px 32px;
  }
  .place :deep(.catalogue) {
    display: none;
  }
  .place :deep(.catalogue.asked) {
    display: flex;
    width: auto;
    max-height: 66%;
    border-left: none;
    border-top: 2px solid var(--copper);
  }
  .rules {
    margin-left: 0;
  }
}
</style>
