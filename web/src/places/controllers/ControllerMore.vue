<script setup lang="ts">
import { computed } from 'vue'
import type {
  ControllerChange,
  ControllerSettings,
  ControllerView,
  ModelView,
} from '../../api/types'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import { PACKINGS, PORT_STARTS } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { ADDRESS } from '../network/ip'
import { rangesOf, rangesTold } from './inputRanges'

/** What is seldom set of a controller: how it is sent to, what it is told to listen to, who feeds its power inputs. */
const props = defineProps<{ view: ControllerView; model?: ModelView }>()

const display = useDisplay()
const controller = computed(() => props.view.controller)
const settings = computed(() => controller.value.settings)
const sending = computed(() => controller.value.sending)
const put = (changes: ControllerChange) => void display.setController(controller.value.id, changes)
const set = (changes: Partial<ControllerSettings>) => void display.set(controller.value.id, changes)

const choices = (words: Record<string, string>) =>
  Object.entries(words).map(([value, title]) => ({ value, title }))
const WAYS = choices({ live: 'live', storage: 'a show of its own storage, and is only started' })
const SIZES = choices({ used: 'the channels that are used', full: 'all 512 channels' })

const supplies = computed(() =>
  display.view!.power.supplies.map(({ supply: { id, name } }) => ({ value: id, title: name })),
)
const inputs = computed(() =>
  (props.model?.model.powerInputs ?? []).map((input, index) => ({
    number: index + 1,
    told: `${input.volts} V, ${input.amps} A`,
    supply: controller.value.powered.find((one) => !one.bank && one.input === index + 1)?.supply,
  })),
)
function feed(input: number, supply?: string) {
  void display.edit({ type: 'PowerInput', controller: controller.value.id, input, supply })
}
function adapter(index: number, changes: { name?: string; address?: string }) {
  const set = changes as { name: string; address: string }
  void display.edit({ type: 'SetAdapter', controller: controller.value.id, index, set })
}
function addAdapter() {
  const address = settings.value.address ?? '192.0.2.1'
  const adapters = controller.value.adapters
  put({ adapters: [...adapters, { name: `adapter ${adapters.length + 1}`, address }] })
}
function removeAdapter(index: number) {
  put({ adapters: controller.value.adapters.filter((_, i) => i !== index) })
}
</script>

<template>
  <div class="more" role="group" :aria-label="`More of ${controller.tag}`" data-test="more">
    <template v-if="view.host">
      <p v-for="(one, i) in controller.adapters" :key="i">
        adapter
        <InPlaceText
          :value="one.name"
          :label="`Name of adapter ${i + 1} of ${controller.tag}`"
          @change="(name) => adapter(i, { name })"
        />
        at
        <InPlaceText
          class="mono"
          :value="one.address"
          :label="`Address of adapter ${i + 1} of ${controller.tag}`"
          v-bind="ADDRESS"
          @change="(address) => adapter(i, { address })"
        />
        <button type="button" class="act" @click="removeAdapter(i)">remove</button>
      </p>
      <button type="button" class="act" @click="addAdapter">add an adapter</button>
    </template>
    <template v-else>
      <p>
        plays
        <InPlaceChoice
          :value="sending.fromStorage ? 'storage' : 'live'"
          :label="`What ${controller.tag} plays`"
          :choices="WAYS"
          @change="(v) => put({ sending: { fromStorage: v === 'storage' } })"
        />; its source sends
        <InPlaceChoice
          :value="sending.fullUniverses ? 'full' : 'used'"
          :label="`Channels sent to ${controller.tag}`"
          :choices="SIZES"
          @change="(v) => put({ sending: { fullUniverses: v === 'full' } })"
        />
        <template v-if="view.protocol !== 'DDP'"
          >, synchronized by universe
          <InPlaceNumber
            :value="sending.synchronization"
            none="none"
            :label="`Universe of synchronization packets for ${controller.tag}`"
            :least="1"
            :most="63999"
            @change="(v) => put({ sending: { synchronization: v ?? null } })" /></template
        >; found by the name
        <InPlaceText
          :value="sending.hostName"
          none="none"
          :label="`Host name of ${controller.tag}`"
          @change="(hostName) => put({ sending: { hostName } })"
        />
      </p>
      <p v-if="view.protocol !== 'DDP'">
        a pixel that meets the end of a universe
        <InPlaceChoice
          :value="settings.packing"
          none="does as the model does"
          :label="`Packing of ${controller.tag}`"
          :choices="choices(PACKINGS)"
          @change="(v) => set({ packing: v as ControllerSettings['packing'] })"
        />; each port begins
        <InPlaceChoice
          :value="settings.portStart"
          none="as the model has it"
          :label="`Where the ports of ${controller.tag} begin`"
          :choices="choices(PORT_STARTS)"
          @change="(v) => set({ portStart: v as ControllerSettings['portStart'] })"
        />; told to listen to
        <InPlaceText
          class="mono"
          :value="rangesTold(controller.inputs)"
          none="what it needs"
          :label="`Universes that ${controller.tag} is told to listen to`"
          :pattern="/^\s*$|^\s*\d+(-\d+)?(:\d+)?(\s*,\s*\d+(-\d+)?(:\d+)?)*\s*$/"
          told="such as 1-14, or 1-4:510, 20 with channels behind a colon"
          @change="(v) => put({ inputs: rangesOf(v, settings.universeSize) })"
        />
      </p>
      <p v-if="inputs.length">
        <template v-for="(one, i) in inputs" :key="one.number"
          >{{ i ? '; ' : '' }}power input {{ one.number }} ({{ one.told }}) from
          <InPlaceChoice
            :value="one.supply"
            none="nobody says"
            :label="`Supply of power input ${one.number} of ${controller.tag}`"
            :choices="supplies"
            @change="(supply) => feed(one.number, supply)"
        /></template>
      </p>
    </template>
  </div>
</template>

<style scoped>
.more {
  padding: 4px 0 6px 12px;
  margin-top: 4px;
  border-left: 2px solid var(--line-strong);
  font-size: 12.5px;
  line-height: 24px;
}
.act {
  color: var(--copper);
  margin-left: 8px;
}
.act:hover {
  text-decoration: underline;
}
</style>
