<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { said } from '../../api/said'
import type { PixelString, PropChange, PropView, StringChange, Wiring } from '../../api/types'
import { common } from '../../parts/common'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import { counted } from '../../parts/words'
import { ordersOf } from '../../ribbon/colourOrders'
import StringWires from '../../ribbon/StringWires.vue'
import { useDisplay } from '../../state/display'
import { freshId } from '../../state/freshId'
import { usePatching } from '../../state/patching'

/** What can be done with all selected props at once; each change is one step. */
const props = defineProps<{ selected: PropView[] }>()
const emit = defineEmits<{ gone: []; made: [props: string[]] }>()

const display = useDisplay()
const patching = usePatching()
const router = useRouter()
const copies = ref(1)
const types = computed(() =>
  display.view!.pixelTypes.map(({ id, name }) => ({ value: id, title: name })),
)
const strings = computed(() =>
  props.selected.flatMap((view) =>
    view.pieces.flatMap(({ piece }) => (piece.kind === 'string' ? [piece] : [])),
  ),
)
const loose = computed(() =>
  props.selected.flatMap((view) =>
    view.pieces.filter((piece) => !piece.port).map(({ piece }) => piece.id),
  ),
)
/** They are taken in the tray, and places are proposed for them. */
function hang() {
  patching.selected = loose.value
  void router.push({ name: 'patch', params: { piece: 'arrange' } })
}
const zone = computed(() => common(props.selected.map((view) => view.prop.zone)))
const brightness = computed(() => common(props.selected.map((view) => view.prop.brightness)))
const rank = computed(() => common(props.selected.map((view) => view.prop.rank)))
const type = computed(() => common(strings.value.map((one) => one.pixelType)))
const orders = computed(() => {
  const usual = type.value && display.pixelTypes.get(type.value)?.colourOrder
  return usual ? ordersOf(usual).map((order) => ({ value: order, title: order })) : []
})
const order = computed(() =>
  common(strings.value.flatMap((one) => one.sections.map((section) => section.colourOrder))),
)
const dataIn = computed(() => common(strings.value.map((one) => one.dataIn)) ?? '')
const connector = computed(() => common(strings.value.map((one) => one.connector)) ?? '')
const lead = computed(() => common(strings.value.map((one) => one.leadMetres)))

const wirings = computed(() => strings.value.map(wiringOf))

function wiringOf(string: PixelString): Wiring {
  return string.wiring ?? { dataOnly: false }
}
const ids = computed(() => props.selected.map((view) => view.prop.id))
const change = (set: PropChange) => void display.edit({ type: 'SetProps', props: ids.value, set })
const changeStrings = (set: Omit<StringChange, 'kind'>) =>
  void display.edit({
    type: 'SetPieces',
    pieces: strings.value.map((one) => one.id),
    set: { kind: 'string', ...set },
  })
const sections = computed(() =>
  strings.value.flatMap((one) => one.sections.map((_, index) => ({ piece: one.id, index }))),
)
const setOrder = (colourOrder?: string) =>
  void display.edit({
    type: 'SetSections',
    sections: sections.value,
    set: said({ colourOrder }),
  })
const turn = () => void display.edit({ type: 'TurnSections', sections: sections.value })

async function duplicate(mirrorImage: boolean) {
  const taken = display.view!.props.flatMap((view) => [
    view.prop.id,
    ...view.pieces.map((piece) => piece.piece.id),
  ])
  const made: string[] = []
  const edits = props.selected.map((view) => {
    const some = Array.from({ length: copies.value }, () => {
      const id = freshId(view.prop.name.replace(/\s*\d+\D*$/, ''), [...taken, ...made])
      made.push(id)
      return id
    })
    return { type: 'DuplicateProp' as const, prop: view.prop.id, copies: some, mirrorImage }
  })
  const title = `Duplicate ${counted(props.selected.length, 'prop')}`
  const done = await display.edit(
    edits.length === 1 ? edits[0] : { type: 'Together', title, edits },
  )
  if (done) {
    emit('made', made)
  }
}
async function remove() {
  const done = await display.edit({
    type: 'RemoveProps',
    props: props.selected.map((view) => view.prop.id),
  })
  if (done) {
    emit('gone')
  }
}
</script>

<template>
  <div class="bar" role="toolbar" aria-label="Selected props" data-test="selection">
    <strong>{{
      selected.length === 1 ? selected[0].prop.name : `${selected.length} props`
    }}</strong>
    <span
      >in
      <InPlaceChoice
        :value="zone"
        label="Zone"
        :choices="display.zoneChoices"
        none="no zone"
        @change="(v) => change(said({ zone: v }))"
    /></span>
    <template v-if="strings.length">
      <InPlaceChoice
        :value="type"
        label="Pixel type"
        :choices="types"
        :none="type === undefined ? 'several types' : undefined"
        @change="(v) => v && changeStrings({ pixelType: v })"
      />
      <InPlaceChoice
        v-if="orders.length"
        :value="order"
        label="Colour order"
        :choices="orders"
        none="usual order"
        @change="setOrder"
      />
      <span
        >data in
        <InPlaceText
          :value="dataIn"
          none="?"
          :most="40"
          label="End where data enters"
          @change="(v) => changeStrings({ dataIn: v })"
      /></span>
      <span
        >plug
        <InPlaceText
          :value="connector"
          none="?"
          :most="40"
          label="Connector"
          @change="(v) => changeStrings({ connector: v })"
      /></span>
      <span
        >lead
        <InPlaceNumber
          :value="lead"
          none="?"
          label="Lead from plug to first pixel, metres"
          :least="0"
          :most="1000"
          :step="0.1"
          @change="(v) => v !== undefined && changeStrings({ leadMetres: v })"
        />
        m</span
      >
      <span title="† a rule of thumb for stock strings, where nobody entered it"
        >wired with
        <StringWires
          :wirings="wirings"
          @change="(changes) => changeStrings({ wires: said(changes) })"
      /></span>
      <button type="button" class="act" @click="turn">Turn round</button>
    </template>
    <span
      ><InPlaceNumber
        :value="brightness"
        none="usual"
        label="Brightness of the prop, percent"
        :least="0"
        :most="100"
        @change="(v) => change(said({ brightness: v }))"
      />
      %</span
    >
    <span title="How much it is missed where it stays dark: 1 the most, 9 the least"
      >rank
      <InPlaceNumber
        :value="rank"
        none="5"
        label="Rank of the prop: 1 is missed the most, 9 the least"
        :least="1"
        :most="9"
        @change="(v) => change(said({ rank: v }))"
      />
    </span>
    <span class="copies"
      >×
      <InPlaceNumber
        local
        :value="copies"
        label="How many copies"
        :least="1"
        :most="200"
        @change="(v) => (copies = v!)"
      />
      <button type="button" class="act" @click="duplicate(false)">Duplicate</button>
      <button type="button" class="act" @click="duplicate(true)">Mirror image</button>
    </span>
    <button v-if="loose.length" type="button" class="act" data-test="arrange" @click="hang">
      Arrange …
    </button>
    <button type="button" class="act" @click="remove">Remove</button>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  padding: 7px 14px;
  font-size: 13px;
  color: rgb(var(--v-theme-on-surface));
  background: rgb(var(--v-theme-surface-variant));
  border-left: 3px solid var(--copper);
}
.act {
  color: var(--copper);
  font-weight: 500;
}
.act:hover {
  text-decoration: underline;
}
.copies {
  display: flex;
  gap: 8px;
}
</style>
