<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef, watch } from 'vue'
import type { Edit, Feed, LaneView } from '../../api/types'
import { useWidth } from '../../parts/useWidth'
import RunRibbon from '../../ribbon/RunRibbon.vue'
import VoltageCurve from '../../ribbon/VoltageCurve.vue'
import WiringEditor from '../../ribbon/WiringEditor.vue'
import { useDisplay } from '../../state/display'
import FeedEditor from './FeedEditor.vue'
import FeedMarks from './FeedMarks.vue'
import { addFeed, changeFeed, moveFeed, placeName, removeFeed, type FeedRef } from './feeds'
import JointMarks from './JointMarks.vue'
import { toldVolts } from '../../parts/volts'
import { placesOf } from '../../ribbon/geometry'
import { useRunPower } from '../../state/runPower'

/** One run opened: its voltage over its ribbon, its feeds below, all to one scale. */
const props = defineProps<{ lane: LaneView }>()

const display = useDisplay()
const box = ref<HTMLElement>()
const width = useWidth(box)
const tried = shallowRef<Edit>()
const { run, refused } = useRunPower(
  () => props.lane,
  () => tried.value,
)
const chosen = ref<number>()
const lost = ref<number>()
const leg = ref<string>()

const scale = computed(() => (width.value - 48) / Math.max(1, positions.value))
const positions = computed(() => placesOf(props.lane))
const power = computed(() => run.value?.power)
const curves = computed(() => run.value?.curves)
const feeds = computed(() => power.value?.feeds ?? [])
const low = computed(() => {
  const points = lost.value === undefined ? undefined : curves.value?.without[lost.value]
  if (points?.length) {
    const least = points.reduce((a, b) => (b.volts < a.volts - 1e-6 ? b : a))
    return { position: least.position, volts: least.volts }
  }
  return power.value?.volts
})
const mark = computed(
  () =>
    low.value && {
      ...low.value,
      text: `${toldVolts(low.value.volts)} at ${placeName(props.lane, low.value.position)}`,
    },
)
onMounted(() => box.value?.scrollIntoView({ block: 'nearest' }))
watch(
  power,
  (_, before) => before || void nextTick(() => box.value?.scrollIntoView({ block: 'nearest' })),
)
// what was chosen or taken away belongs to the run as it was
watch(
  () => feeds.value.length,
  (now, before) => {
    lost.value = undefined
    if (now < before) {
      chosen.value = undefined
    }
  },
)

function refOf(index: number): FeedRef | undefined {
  const feed = feeds.value[index]
  return feed?.piece === undefined ? undefined : { piece: feed.piece, index: feed.index! }
}
/** Feeds as they are in the plan: while one is moved, the answer may have them in other order. */
const dragged = shallowRef<FeedRef>()
function aim(index: number, position: number) {
  dragged.value ??= refOf(index)
  tried.value = dragged.value && moveFeed(props.lane, dragged.value, position)
}
async function drop(_: number, position: number) {
  const at = dragged.value
  const edit = at && moveFeed(props.lane, at, position)
  if (edit) {
    await display.edit(edit)
  }
  leave()
}
function leave() {
  tried.value = undefined
  dragged.value = undefined
}
function change(changes: Partial<Feed>) {
  const at = chosen.value === undefined ? undefined : refOf(chosen.value)
  return at && display.edit(changeFeed(at, changes))
}
function remove(index: number) {
  const at = refOf(index)
  chosen.value = undefined
  return at && display.edit(removeFeed(at))
}
function lose(index: number) {
  lost.value = lost.value === index ? undefined : index
}
const firstString = computed(() => {
  const piece = display.pieces.get(props.lane.legs[0].piece)?.piece
  return piece?.kind === 'string' ? piece : undefined
})
/** The supply that a new feed comes from: the run's own, or one of the right voltage. */
const usual = computed(() => {
  const volts = display.pixelTypes.get(firstString.value?.pixelType ?? '')?.volts
  return (
    feeds.value.find((feed) => feed.supply)?.supply ??
    display.view!.power.supplies.find((one) => one.supply.volts === volts)?.supply.id
  )
})
function add() {
  const supply = usual.value
  if (supply) {
    const position = power.value?.volts?.position ?? positions.value
    void display.edit(addFeed(props.lane, position, { supply, leadMetres: 2, fuseAmps: 5 }))
  }
}
const chosenFeed = computed(() =>
  chosen.value === undefined ? undefined : feeds.value[chosen.value],
)
const chosenLeg = computed(() => props.lane.legs.find((one) => one.piece === leg.value))
</script>

<template>
  <div ref="box" class="run" data-test="run-panel" @keydown.esc="leave">
    <p v-if="refused" role="alert">{{ refused }}</p>
    <template v-if="power">
      <div class="legend">
        <span class="planned">planned, all white</span>
        <span class="full">at 100 %</span>
        <span v-if="lost !== undefined" class="lost">without the feed taken away</span>
        <span v-if="power.volts" class="least">works from {{ power.volts.leastTold }}</span>
        <span v-if="power.lost" class="quiet"
          >any one feed lost: {{ power.lost.told }} at
          {{ placeName(lane, power.lost.position) }}</span
        >
        <b v-if="power.unfed" class="unfed">▲ {{ power.unfed }} pixels have no feed</b>
        <v-spacer />
        <v-btn
          size="small"
          :disabled="!usual"
          :title="usual ? 'At the lowest voltage' : 'Add a supply first'"
          data-test="add-feed"
          @click="add"
          >Add a feed</v-btn
        >
      </div>
      <div class="drawn">
        <VoltageCurve
          v-if="curves && power.volts"
          :planned="curves.planned"
          :full="curves.full"
          :lost="lost === undefined ? undefined : curves.without[lost]"
          :from="1"
          :to="positions"
          :scale="scale"
          :height="116"
          :least-volts="power.volts.leastVolts"
          :least-told="power.volts.leastTold"
          :supplied-volts="power.volts.suppliedVolts"
          :low="mark"
        />
        <div class="ribbon">
          <RunRibbon
            :lane="lane"
            :scale="scale"
            :room="width - 48"
            :selected="leg ? [leg] : []"
            :ghosts="[]"
            :cut="[]"
            @choose="(piece) => (leg = leg === piece ? undefined : piece)"
          />
        </div>
        <FeedMarks
          :lane="lane"
          :feeds="feeds"
          :scale="scale"
          :positions="positions"
          :chosen="chosen"
          :lost="lost"
          @choose="(i) => (chosen = i)"
          @aim="aim"
          @drop="drop"
          @leave="leave"
          @lose="lose"
          @remove="remove"
        />
        <JointMarks v-if="lane.legs.length > 1" :lane="lane" :scale="scale" />
      </div>
      <div class="below">
        <FeedEditor
          v-if="chosenFeed && !tried"
          :lane="lane"
          :feed="chosenFeed"
          :lost="lost === chosen"
          @change="change"
          @lose="lose(chosen!)"
          @remove="remove(chosen!)"
        />
        <WiringEditor v-if="chosenLeg" :leg="chosenLeg" />
        <p v-if="!chosenFeed && !chosenLeg" class="quiet hint">
          Drag a triangle, or walk it with ← and →; the curve follows, and letting go or Enter keeps
          it. Choose a feed for its lead and fuse, a string for its wires.
        </p>
      </div>
    </template>
    <p v-else class="quiet">Working out the voltages …</p>
  </div>
</template>

<style scoped>
.run {
  padding: 8px 12px 12px;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--copper);
  border-radius: 0 0 6px 6px;
  overflow: hidden;
}
.legend {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 4px 16px;
  font-size: 12px;
  min-height: 30px;
}
.legend span::before {
  content: '';
  display: inline-block;
  width: 18px;
  vertical-align: 4px;
  margin-right: 5px;
}
.legend .quiet::before {
  display: none;
}
.planned::before {
  border-top: 2px solid var(--copper);
}
.full::before {
  border-top: 1.5px dashed var(--line-strong);
}
.lost::before {
  border-top: 2px dotted rgb(var(--v-theme-on-surface));
}
.least::before {
  border-top: 1px solid rgb(var(--v-theme-error));
}
.unfed {
  color: rgb(var(--v-theme-error));
}
.ribbon {
  height: 40px;
}
/* its feeds stand larger below */
.ribbon :deep(.feed) {
  display: none;
}
.drawn {
  padding: 0 20px;
}
.below {
  min-height: 62px;
}
.hint {
  font-size: 12.5px;
  padding-top: 6px;
}
</style>
