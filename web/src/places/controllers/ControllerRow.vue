<script setup lang="ts">
import {
  mdiClose,
  mdiDotsHorizontal,
  mdiDragHorizontalVariant,
  mdiSwapHorizontal,
  mdiWifi,
} from '@mdi/js'
import { computed } from 'vue'
import type {
  ControllerChange,
  ControllerSettings,
  ControllerView,
  LaneView,
  ModelView,
} from '../../api/types'
import DrawnIcon from '../../parts/DrawnIcon'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import RowButton from '../../parts/RowButton.vue'
import { counted, PROTOCOLS, TRANSPORTS } from '../../parts/words'
import { whyController } from '../../parts/why'
import StateMark from '../../shell/StateMark.vue'
import { useGoThere } from '../../shell/goThere'
import { useDisplay } from '../../state/display'
import { ADDRESS } from '../network/ip'
import ControllerMore from './ControllerMore.vue'

/** One controller as a sentence: what it is, where it hangs, what it listens to; edited in place. */
const props = defineProps<{
  view: ControllerView
  model?: ModelView
  place: number
  lit: boolean
  /** Whether what is seldom set is shown. */
  more: boolean
}>()
const emit = defineEmits<{
  grip: [event: PointerEvent]
  mode: [mode?: string]
  universe: [typed?: number]
  exchange: []
  remove: []
  more: []
}>()

const display = useDisplay()
const goThere = useGoThere()
const controller = computed(() => props.view.controller)
const settings = computed(() => controller.value.settings)
const block = computed(() => props.view.block)

const put = (changes: ControllerChange) => void display.setController(controller.value.id, changes)
const set = (changes: Partial<ControllerSettings>) => void display.set(controller.value.id, changes)

const modes = computed(() => {
  const names = new Set(
    props.model?.model.ports.flatMap((group) =>
      group.modes.length > 1 ? group.modes.map((mode) => mode.name) : [],
    ),
  )
  return [...names].map((name) => ({ value: name, title: name }))
})
const protocols = computed(
  () =>
    props.model?.model.protocols.map(({ protocol }) => ({
      value: protocol as string,
      title: PROTOCOLS[protocol],
    })) ?? [],
)
const transports = computed(() => {
  const support = props.model?.model.protocols.find((one) => one.protocol === props.view.protocol)
  const allowed = [...new Set([...(support?.transports ?? []), settings.value.transport])]
  return allowed.map((value) => ({ value: value as string, title: TRANSPORTS[value] }))
})
/** What is wrong with the address, where anything is. */
const addressWrong = computed(() => display.wrongAddress.get(controller.value.id))
/** Such as "2 × 30 A": each input on its own. */
const power = computed(() => {
  const ratings = props.model?.model.powerInputs.map((input) => `${input.amps} A`) ?? []
  return [...new Set(ratings)]
    .map((rating) => {
      const count = ratings.filter((one) => one === rating).length
      return count > 1 ? `${count} × ${rating}` : rating
    })
    .join(', ')
})

/** Ports drawn as sockets, by kind; a kind with many in rows of a bank. */
const sockets = computed(() => {
  const kinds = new Map<string, LaneView[]>()
  props.view.lanes.forEach((lane) =>
    kinds.set(lane.port.kind, [...(kinds.get(lane.port.kind) ?? []), lane]),
  )
  return [...kinds]
})
const free = computed(
  () => props.view.lanes.filter((lane) => lane.present && lane.legs.length === 0).length,
)
const TAG = /^[A-Za-z][A-Za-z0-9]{0,7}$/
</script>

<template>
  <div class="one" :class="{ lit, host: view.host }">
    <button
      type="button"
      class="grip"
      :aria-label="`${controller.tag}, place ${place}: drag, or Alt and arrow keys, to move it`"
      title="Drag, or Alt+↑ ↓: another place in the list"
      tabindex="-1"
      @pointerdown="(event) => emit('grip', event)"
    >
      <DrawnIcon :path="mdiDragHorizontalVariant" :size="20" />
    </button>
    <div class="first">
      <strong class="tag"
        ><InPlaceText
          :value="controller.tag"
          label="Tag"
          :most="8"
          :pattern="TAG"
          told="1 to 8 letters and digits, a letter first"
          @change="(tag) => put({ tag })"
      /></strong>
      <strong class="named"
        ><InPlaceText
          :value="controller.name"
          :label="`Name of ${controller.tag}`"
          @change="(name) => put({ name })"
      /></strong>
      <button
        type="button"
        class="model"
        :title="`Exchange ${controller.tag} for another model, with the same addresses`"
        @click="emit('exchange')"
      >
        {{ view.modelTitle }} <DrawnIcon :path="mdiSwapHorizontal" :size="14" />
      </button>
      <StateMark :controller="controller.id" only-open />
      <span v-if="view.wifi" title="On the air"><DrawnIcon :path="mdiWifi" :size="14" /></span>
      <InPlaceChoice
        v-if="modes.length"
        :value="settings.mode ?? modes[0].value"
        :label="`Mode of ${controller.tag}`"
        :choices="modes"
        @change="(mode) => emit('mode', mode)"
      />
      <span class="sockets">
        <template v-for="[kind, lanes] in sockets" :key="kind">
          <span class="kind quiet">{{ kind === 'PIXEL' ? '' : kind.toLowerCase() }}</span>
          <button
            v-for="lane in lanes"
            :key="lane.written"
            type="button"
            tabindex="-1"
            class="socket"
            :class="{ used: lane.legs.length, gone: !lane.present }"
            :title="`${lane.written}: ${lane.legs.map((leg) => leg.title).join(', ') || 'free'}`"
            :aria-label="`Go to ${lane.written}`"
            @click="goThere({ controller: controller.id, port: lane.port })"
          />
        </template>
      </span>
      <span v-if="view.lanes.length" class="quiet free">{{ free }} free</span>
      <RowButton
        :aria-expanded="more"
        :aria-label="`More of ${controller.tag}`"
        title="How it is sent to, and what is seldom set"
        @click="emit('more')"
        ><DrawnIcon :path="mdiDotsHorizontal" :size="16"
      /></RowButton>
      <RowButton :aria-label="`Remove ${controller.tag}`" @click="emit('remove')"
        ><DrawnIcon :path="mdiClose" :size="16"
      /></RowButton>
    </div>
    <div class="second">
      <span class="mono" :class="{ wrong: addressWrong }" :title="addressWrong"
        ><template v-if="addressWrong">▲ </template
        ><InPlaceText
          :value="settings.address ?? ''"
          none="no address"
          :label="`Address of ${controller.tag}`"
          v-bind="ADDRESS"
          @change="(v) => set({ address: v || undefined })"
      /></span>
      <template v-if="!view.host">
        <span
          ><InPlaceChoice
            :value="view.protocol"
            :label="`Protocol of ${controller.tag}`"
            :choices="protocols"
            @change="
              (v) => set({ protocol: v as ControllerSettings['protocol'] })
            " />&nbsp;<InPlaceChoice
            :value="settings.transport"
            :label="`How packets reach ${controller.tag}`"
            :choices="transports"
            @change="(v) => set({ transport: v as ControllerSettings['transport'] })" />
          from
          <InPlaceChoice
            :value="settings.source"
            :label="`Source of ${controller.tag}`"
            :choices="display.hostChoices"
            none="nobody"
            @change="(source) => set({ source })"
        /></span>
        <span v-if="view.protocol !== 'DDP'"
          ><span :data-why="whyController('FIRST_UNIVERSE', controller.id)">universe</span>{{ ' ' }}
          <InPlaceNumber
            :value="settings.firstUniverse"
            :none="`${block.firstUniverse ?? '–'} assigned`"
            :label="`First universe of ${controller.tag}, where it is fixed`"
            :least="0"
            :most="63999"
            @typing="(v) => emit('universe', v)"
            @change="(firstUniverse) => set({ firstUniverse })" />
          ×
          <span :data-why="whyController('UNIVERSES', controller.id)">{{ block.universes }}</span>
          of
          <InPlaceNumber
            :value="settings.universeSize"
            :label="`Universe size of ${controller.tag}`"
            :least="6"
            :most="512"
            @change="(v) => set({ universeSize: v! })" />, keep
          <InPlaceNumber
            :value="settings.reserveUniverses"
            :label="`Universes to keep for ${controller.tag}`"
            :least="0"
            :most="64000"
            @change="(v) => set({ reserveUniverses: v! })"
        /></span>
        <span v-else
          >{{ counted(block.channels, 'byte') }}, keep
          <InPlaceNumber
            :value="settings.reserveChannels"
            :label="`Bytes to keep for ${controller.tag}`"
            :least="0"
            :most="32768000"
            @change="(v) => set({ reserveChannels: v! })"
        /></span>
        <span
          ><InPlaceNumber
            :value="settings.brightness"
            none="30 (usual)"
            :label="`Default brightness of ${controller.tag}, percent`"
            :least="0"
            :most="100"
            @change="(brightness) => set({ brightness })"
          />
          %</span
        >
      </template>
      <span
        ><InPlaceChoice
          :value="settings.zone"
          :label="`Zone of ${controller.tag}`"
          :choices="display.zoneChoices"
          none="no zone"
          @change="(zone) => set({ zone })" /><template v-if="display.enclosureChoices.length"
          >,
          <InPlaceChoice
            :value="settings.enclosure"
            :label="`Enclosure of ${controller.tag}`"
            :choices="display.enclosureChoices"
            none="no enclosure"
            @change="(enclosure) => set({ enclosure })" /></template
      ></span>
      <span v-if="power" class="quiet" title="Power inputs">{{ power }}</span>
      <span class="note"
        ><InPlaceText
          :value="settings.note"
          none="note"
          :label="`Note on ${controller.tag}`"
          :most="400"
          @change="(note) => set({ note })"
      /></span>
    </div>
    <ControllerMore v-if="more" :view="view" :model="model" />
  </div>
</template>

<style scoped>
.wrong {
  color: rgb(var(--v-theme-error));
}
.one {
  position: relative;
  padding: 6px 8px 6px 30px;
  border-bottom: 1px solid var(--line);
  border-left: 3px solid transparent;
  font-size: 13px;
}
.one.lit {
  border-left-color: var(--copper);
  background: color-mix(in srgb, var(--copper) 7%, transparent);
}
.grip {
  position: absolute;
  left: 4px;
  top: 8px;
  cursor: grab;
  color: var(--quiet);
  touch-action: none;
}
.first,
.second {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 0 9px;
  min-height: 25px;
  min-width: 0;
}
.first > *,
.second > * {
  min-width: 0;
  max-width: 100%;
}
.second {
  font-size: 12.5px;
}
.tag {
  font-size: 15px;
}
.model {
  color: var(--quiet);
}
.model:hover {
  text-decoration: underline;
}
.sockets {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  margin-left: auto;
  max-width: 270px;
}
.kind {
  font-size: 10.5px;
  margin-left: 3px;
}
/* small to look at, large enough to hit */
.socket {
  width: 13px;
  height: 24px;
  display: grid;
  place-items: center;
}
.socket::after {
  content: '';
  width: 10px;
  height: 10px;
  border: 1px solid var(--line-strong);
  border-radius: 2px;
}
.socket:hover::after {
  outline: 2px solid var(--copper);
}
.socket.used::after {
  background: var(--quiet);
}
.socket.gone::after {
  border-style: dotted;
  background: rgb(var(--v-theme-error));
}
.free {
  font-size: 12px;
  min-width: 44px;
}
.note {
  flex: 1;
  min-width: 60px;
  font-style: italic;
}
/* a long name is cut before anything goes to a line of its own */
@media (width >= 1000px) {
  .first {
    flex-wrap: nowrap;
  }
  .first > * {
    flex: none;
  }
  .first > .named,
  .first > .model {
    flex: 0 1 auto;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .first > .model {
    flex-shrink: 0.2;
  }
}
</style>
