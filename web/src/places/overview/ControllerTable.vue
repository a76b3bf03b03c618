<script setup lang="ts">
import { computed } from 'vue'
import type { ControllerView } from '../../api/types'
import { blockTold } from '../../parts/blockTold'
import NearOnly from '../../parts/NearOnly.vue'
import { whyController } from '../../parts/why'
import { counted } from '../../parts/words'
import { farthest } from '../../ribbon/geometry'
import MiniRibbon from '../../ribbon/MiniRibbon.vue'
import { useGoThere } from '../../shell/goThere'
import StateMark from '../../shell/StateMark.vue'
import { useDisplay } from '../../state/display'
import { useHandover } from '../../state/handover'
import { useMarks } from '../../state/marks'
import { useShell } from '../../state/shell'
import { cellsOf } from '../loads/loadColumns'
import { capacityLeft, seenRight } from './progress'

/** Every controller: what hangs on it, what is free, what is given and seen right. */
const props = defineProps<{
  controllers: ControllerView[]
  /** Of the place that it stands in (px). */
  room: number
}>()
/** Ports are drawn as wide as the other columns leave room (px). */
const bars = computed(() =>
  props.room < 700 ? 290 : Math.min(290, Math.max(110, props.room - 740)),
)

/** So many at most are all drawn. */
const SHORT = 15

const display = useDisplay()
const handover = useHandover()
const marks = useMarks()
const shell = useShell()
const goThere = useGoThere()
const most = computed(() => farthest(display.view!.controllers))

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

const about = (view: ControllerView) => display.findingsOf.get(view.controller.id) ?? 0
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
      <NearOnly
        v-for="view in controllers"
        :key="view.controller.id"
        as="tr"
        :height="view.host ? 32 : 80"
        :always="controllers.length <= SHORT"
        :class="{ host: view.host }"
        :data-row="view.controller.id"
      >
        <td :colspan="view.host ? columns : 1">
          <div class="who">
            <button type="button" class="to" @click="goThere({ controller: view.controller.id })">
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
            <MiniRibbon :controller="view" :width="bars" :most="most" />
          </td>
          <td class="mono">
            <template v-if="view.block.channels">
              <span
                :data-why="
                  whyController(
                    view.block.firstUniverse === undefined ? 'DISPLAY_START' : 'FIRST_UNIVERSE',
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
            <v-btn v-if="about(view)" size="small" color="error" @click="shell.findingsOpen = true">
              {{ counted(about(view), 'finding') }}
            </v-btn>
            <span v-else class="quiet">✓ none</span>
          </td>
        </template>
      </NearOnly>
    </tbody>
  </table>
</template>

<style scoped>
.room {
  display: block;
  font-size: 12px;
}
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
@container (width < 700px) {
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
