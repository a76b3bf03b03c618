<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ControllerView, Finding } from '../api/types'
import { blockTold } from '../parts/blockTold'
import PlaceLooks from '../parts/PlaceLooks.vue'
import { useGrowing } from '../parts/useGrowing'
import { counted } from '../parts/words'
import { whyController } from '../parts/why'
import StateMark from '../shell/StateMark.vue'
import { capacityLeft, seenRight } from './overview/progress'
import StringsPage from './overview/StringsPage.vue'
import ZoneStrip from './overview/ZoneStrip.vue'
import MiniRibbon from '../ribbon/MiniRibbon.vue'
import { reachOf } from '../ribbon/geometry'
import { clusters, isCluster } from '../shell/clusters'
import { useGoThere } from '../shell/goThere'
import { cellsOf } from './loads/loadColumns'
import { useDisplay } from '../state/display'
import { useHandover } from '../state/handover'
import { useMarks } from '../state/marks'
import { useShell } from '../state/shell'

/** What of it is looked at: nothing for what is left, "strings", or "strings-" and a zone. */
const props = defineProps<{ part?: string }>()
const LOOKS = [
  { part: '', title: 'What is left' },
  { part: 'strings', title: 'Where each string is' },
]
const strings = computed(() => props.part?.startsWith('strings'))
const zone = computed(() => /^strings-(.+)$/.exec(props.part ?? '')?.[1])

const display = useDisplay()
const handover = useHandover()
const marks = useMarks()
const shell = useShell()
const goThere = useGoThere()

const controllers = computed(() => display.view!.controllers)
const end = ref<HTMLElement>()
const { drawn } = useGrowing(controllers, end, 15)
const driving = computed(() => controllers.value.filter((view) => !view.host))
const most = computed(() => Math.max(100, ...display.lanes.map(reachOf)))
const faults = computed(() =>
  clusters(display.view!.findings.filter((f) => f.severity === 'FAULT')),
)

const pixels = computed(() => {
  let all = 0
  display.pieces.forEach((piece) => (all += piece.pixels))
  return all
})

/** Where the show is built on another version than the yard is at. */
const showLags = computed(() => {
  const show = handover.now?.show
  return show?.version !== undefined && show.differs.length > 0
    ? `the show is built on version ${show.version}, the yard is at ${display.view!.version}`
    : false
})

const CHECKED = {
  NONE: 'not checked',
  CHANGED: 'changed since checked',
  NOT_CLEAN: 'checked, not clean',
  CLEAN: 'checked',
}

/** What is left in each step of the work, in its order; each leads to where it is done. */
/** Places can be found for what hangs nowhere. */
const arrangeable = computed(() => display.loose.length > 0 && driving.value.length > 0)
const steps = computed(() => {
  const hosts = controllers.value.length - driving.value.length
  const addressless = driving.value.filter(
    (view) => !view.controller.settings.address && view.controller.settings.transport === 'UNICAST',
  )
  const sourceless = driving.value.filter((view) => !view.controller.settings.source)
  const { lines, outside } = display.view!.network
  const clashes = lines.flatMap((line) => line.clashes)
  const all = display.pieces.size
  const list = (...parts: (string | false)[]) => parts.filter(Boolean).join(', ')
  return [
    {
      title: 'Network',
      to: 'network',
      done: lines.length > 0 && addressless.length + outside.length + clashes.length === 0,
      text: list(
        lines.length ? counted(lines.length, 'subnet') : 'no subnet yet',
        addressless.length > 0 && `${addressless.length} without an address`,
        outside.length > 0 && `${outside.length} in no subnet`,
        clashes.length > 0 && counted(clashes.length, 'clash', 'clashes'),
      ),
    },
    {
      title: 'Controllers',
      to: 'controllers',
      done: driving.value.length > 0 && hosts > 0 && sourceless.length === 0,
      text: list(
        driving.value.length ? `${driving.value.length} placed` : 'none yet',
        hosts === 0 && 'no computer that sends',
        sourceless.length > 0 && `${sourceless.length} without a source`,
      ),
    },
    {
      title: 'Props',
      to: 'props',
      done: all > 0,
      text: all
        ? `${counted(display.view!.props.length, 'prop')}, ${counted(pixels.value, 'pixel')}`
        : 'none yet: type or paste them',
    },
    {
      title: 'Patch',
      to: 'patch',
      part: arrangeable.value ? 'arrange' : undefined,
      done: all > 0 && display.loose.length === 0,
      text: list(
        all > 0 && `${all - display.loose.length} of ${counted(all, 'piece')} hang on a port`,
        arrangeable.value && `arrange the other ${display.loose.length} …`,
        all === 0 && 'nothing to hang yet',
      ),
    },
    {
      title: 'Handover',
      to: 'handover',
      done: handover.begun && handover.open === 0 && !showLags.value,
      text: list(
        !handover.begun && 'nothing is given yet',
        handover.begun &&
          `${driving.value.length - handover.open} of ${driving.value.length} given`,
        handover.stale > 0 && `${handover.stale} stale`,
        showLags.value,
      ),
    },
    {
      title: 'Trial',
      to: 'trial',
      done: marks.strings > 0 && marks.seen.size === marks.strings && marks.check === 'CLEAN',
      text: list(
        marks.begun
          ? `${marks.seen.size} of ${counted(marks.strings, 'string')} seen right`
          : 'nothing is seen right yet',
        CHECKED[marks.check],
      ),
    },
    {
      title: 'Findings',
      to: undefined,
      done: all > 0 && display.view!.findings.length === 0,
      text: display.view!.findings.length
        ? `${display.view!.findings.length} to look at`
        : 'nothing is wrong',
    },
  ]
})

const columns = computed(() => 6 + (handover.begun ? 1 : 0) + (marks.begun ? 1 : 0))
function givenOf(view: ControllerView): string {
  const state = handover.states.get(view.controller.id)
  return state?.state === 'GIVEN'
    ? '✓ given'
    : state?.state === 'NEVER'
      ? 'not yet'
      : '▲ not as planned'
}
function seenOf(view: ControllerView): string {
  const { strings, seen } = seenRight(
    view,
    (piece) => display.pieces.get(piece)?.piece.kind === 'string',
    (piece) => marks.seen.has(piece),
  )
  return strings ? `${seen === strings ? '✓ ' : ''}${seen} of ${strings}` : ''
}

function about(view: ControllerView): Finding[] {
  const id = view.controller.id
  return display.view!.findings.filter((finding) =>
    finding.subjects.some((subject) => subject.controller === id),
  )
}
function worst(view: ControllerView) {
  const loads = view.lanes.filter((lane) => lane.load)
  const share = (lane: (typeof loads)[number]) => {
    const { pixels, amps } = cellsOf(lane)
    return Math.max(pixels.share, amps.share)
  }
  const lane = [...loads].sort((a, b) => share(b) - share(a))[0]
  return lane
    ? { text: `${lane.written} ${Math.round(share(lane) * 100)} %`, over: share(lane) > 1 }
    : undefined
}
</script>

<template>
  <div class="overview">
    <PlaceLooks
      :title="display.view!.name"
      label="Ways to look at the display"
      place="overview"
      :looks="LOOKS"
      :here="strings ? 'strings' : ''"
    />
    <StringsPage v-if="strings" :zone="zone" />
    <div v-else class="whatIsLeft">
      <ol class="steps" aria-label="What is left">
        <li v-for="step in steps" :key="step.title" :class="{ done: step.done }">
          <component
            :is="step.to ? 'router-link' : 'button'"
            v-bind="
              step.to
                ? { to: { name: step.to, params: { piece: step.part ?? '' } } }
                : { type: 'button' }
            "
            class="step"
            @click="step.to || (shell.findingsOpen = true)"
          >
            <strong>{{ step.done ? '✓' : '○' }} {{ step.title }}</strong>
            <span>{{ step.text }}</span>
          </component>
        </li>
      </ol>

      <section v-if="faults.length" class="stops" aria-label="What stops you tonight">
        <h2>What stops you tonight</h2>
        <ul>
          <li v-for="one in faults.slice(0, 6)" :key="isCluster(one) ? one.key : one.identity">
            <span aria-hidden="true" class="sign">▲</span>
            <template v-if="isCluster(one)">
              <span>{{ one.title }}: {{ one.findings[0].message }} …</span>
              <v-btn size="small" color="primary" @click="shell.findingsOpen = true"
                >Show all</v-btn
              >
            </template>
            <template v-else>
              <span>{{ one.message }}</span>
              <v-btn size="small" color="primary" @click="goThere(one.subjects[0], one.area)"
                >Go there</v-btn
              >
            </template>
          </li>
        </ul>
        <v-btn v-if="faults.length > 6" size="small" @click="shell.findingsOpen = true">
          and {{ faults.length - 6 }} more
        </v-btn>
      </section>

      <div v-if="controllers.length === 0" class="none">
        <h2>Nothing is planned yet</h2>
        <p class="quiet">
          Begin with whatever you know first: the devices in
          <router-link :to="{ name: 'controllers' }">Controllers</router-link>, what there is to
          light in <router-link :to="{ name: 'props' }">Props</router-link>, or the addresses in
          <router-link :to="{ name: 'network' }">Network</router-link>. The line above says what is
          still missing.
        </p>
      </div>
      <div v-else class="beside">
        <ZoneStrip class="zones" />
        <table class="list">
          <thead>
            <tr>
              <th>Controller</th>
              <th>Ports, to scale</th>
              <th>Addresses</th>
              <th>Free</th>
              <th>Fullest port</th>
              <th v-if="handover.begun">Given</th>
              <th v-if="marks.begun">Seen right</th>
              <th>Findings</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="view in drawn"
              :key="view.controller.id"
              :class="{ host: view.host }"
              :data-row="view.controller.id"
            >
              <td :colspan="view.host ? columns : 1">
                <div class="who">
                  <button
                    type="button"
                    class="to"
                    @click="goThere({ controller: view.controller.id })"
                  >
                    <strong>{{ view.controller.tag }}</strong> {{ view.controller.name }}
                  </button>
                  <span class="quiet">{{ view.modelTitle }}</span>
                  <span class="quiet mono">{{ view.controller.settings.address }}</span>
                  <StateMark :controller="view.controller.id" />
                  <span v-if="view.host" class="quiet">host: it sends</span>
                </div>
              </td>
              <template v-if="!view.host">
                <td>
                  <MiniRibbon :controller="view" :width="290" :most="most" />
                </td>
                <td class="mono">
                  <template v-if="view.block.channels">
                    <span
                      :data-why="
                        whyController(
                          view.block.firstUniverse === undefined
                            ? 'DISPLAY_START'
                            : 'FIRST_UNIVERSE',
                          view.controller.id,
                        )
                      "
                      >{{ blockTold(view) }}</span><br />
                    <span class="quiet" :data-why="whyController('UNIVERSES', view.controller.id)"
                      >{{ view.block.channels.toLocaleString('en') }} channels</span
                    >
                  </template>
                </td>
                <td>
                  {{ capacityLeft(view).ports }} of {{ capacityLeft(view).all }} ports
                  <span v-if="capacityLeft(view).pixels" class="quiet mono room"
                    >{{ capacityLeft(view).pixels.toLocaleString('en') }} px</span
                  >
                </td>
                <td class="mono" :class="{ over: worst(view)?.over }">
                  {{ worst(view)?.over ? '▲ ' : '' }}{{ worst(view)?.text }}
                </td>
                <td v-if="handover.begun">{{ givenOf(view) }}</td>
                <td v-if="marks.begun" class="mono">{{ seenOf(view) }}</td>
                <td>
                  <v-btn
                    v-if="about(view).length"
                    size="small"
                    color="error"
                    @click="shell.findingsOpen = true"
                  >
                    {{ about(view).length }} {{ about(view).length === 1 ? 'finding' : 'findings' }}
                  </v-btn>
                  <span v-else class="quiet">✓ none</span>
                </td>
              </template>
            </tr>
            <tr ref="end" aria-hidden="true"></tr>
          </tbody>
        </table>
      </div>
    </div>
  </div>
</template>

<style scoped>
.beside {
  display: grid;
  gap: 16px;
}
/* a wide window has room for both */
@media (width >= 1500px) {
  .beside {
    grid-template-columns: minmax(0, 1fr) max-content;
    align-items: start;
  }
  .zones {
    order: 2;
  }
}
.room {
  display: block;
  font-size: 12px;
}
.overview {
  display: flex;
  flex-direction: column;
  min-height: 100%;
}
.whatIsLeft {
  padding: 12px 24px 40px;
  display: grid;
  gap: 16px;
}
.steps {
  list-style: none;
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  gap: 0;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: rgb(var(--v-theme-surface));
}
.step {
  display: grid;
  align-content: start;
  gap: 2px;
  width: 100%;
  height: 100%;
  padding: 10px 16px;
  font-size: 13px;
  color: inherit;
  text-align: left;
  text-decoration: none;
}
.step:hover {
  background: rgb(var(--v-theme-surface-variant));
}
.none a {
  color: var(--copper);
}
.steps li {
  border-left: 1px solid var(--line);
}
.steps li:first-child {
  border-left: none;
}
.steps .done strong {
  color: rgb(var(--v-theme-success));
}
.stops {
  border-left: 4px solid rgb(var(--v-theme-error));
  background: rgb(var(--v-theme-surface));
  padding: 10px 16px;
}
.stops ul {
  list-style: none;
}
.stops li {
  display: flex;
  align-items: center;
  gap: 10px;
}
.sign,
.over {
  color: rgb(var(--v-theme-error));
}
.list {
  border-collapse: collapse;
  font-size: 13px;
}
.list th {
  text-align: left;
  font-weight: 500;
  font-size: 12px;
  color: var(--quiet);
  padding: 6px 12px 6px 0;
  border-bottom: 1px solid var(--line-strong);
}
.list td {
  padding: 10px 16px 10px 0;
  border-bottom: 1px solid var(--line);
  vertical-align: top;
  line-height: 18px;
}
.list td.mono {
  white-space: nowrap;
}
.who {
  display: grid;
}
.host .who {
  display: flex;
  align-items: baseline;
  gap: 14px;
}
.host td {
  padding: 6px 16px 6px 0;
}
.to {
  text-align: left;
  font-size: 14px;
}
.to:hover {
  text-decoration: underline;
}
.none {
  padding: 8vh 0;
  text-align: center;
}
@media (width < 700px) {
  .overview {
    padding: 12px 12px 32px;
  }
  .steps {
    grid-template-columns: 1fr;
  }
  .steps li {
    border-left: none;
    border-top: 1px solid var(--line);
  }
  .stops li {
    flex-wrap: wrap;
  }
  .list thead {
    display: none;
  }
  .list tr {
    display: block;
    border-bottom: 1px solid var(--line);
    padding: 6px 0;
  }
  .list td {
    display: block;
    padding: 2px 0;
    border-bottom: none;
  }
}
</style>
