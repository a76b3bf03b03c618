<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { computed, nextTick, ref, watch } from 'vue'
import { api } from '../../api/client'
import { said } from '../../api/said'
import type { Edit, HandoverView, MachineAdapter, Occupant, Subnet } from '../../api/types'
import FilterField from '../../parts/FilterField.vue'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import { fits, matches } from '../../parts/matches'
import { useWidth } from '../../parts/useWidth'
import { PROTOCOLS } from '../../parts/words'
import StateMark from '../../shell/StateMark.vue'
import { useDisplay } from '../../state/display'
import { freshId } from '../../state/freshId'
import { latestOf } from '../../state/latest'
import SendListTable from '../handover/SendListTable.vue'
import EnclosureTree from './EnclosureTree.vue'
import FlowLines from './FlowLines.vue'
import { addressEdit } from './giveAddress'
import { DOTTED, nextFree } from './ip'
import SubnetLine from './SubnetLine.vue'

/** A subnet, an enclosure or a link that a finding or the finder leads to. */
const props = defineProps<{ part?: string }>()

const display = useDisplay()
const page = ref<HTMLElement>()
const width = useWidth(page)
const room = computed(() => Math.max(480, width.value - 48))
const network = computed(() => display.view!.network)
const lit = ref<string>()
const filter = ref('')

/** Every device with an address, and every device that should have one. */
const devices = computed<{ title: string; model: string; occupant: Partial<Occupant> }[]>(() => {
  const placed = [
    ...network.value.lines.flatMap((line) => line.occupants),
    ...network.value.outside,
  ]
  return display.view!.controllers.flatMap((view) => {
    const { id, tag, name } = view.controller
    const own = placed.filter((one) => one.controller === id)
    const without = view.controller.settings.address
      ? []
      : [{ controller: id, title: `${tag} ${name}` }]
    return [...without, ...own].map((occupant) => ({
      title: occupant.title,
      model: view.modelTitle,
      occupant,
    }))
  })
})
const shown = computed(() =>
  devices.value.filter((one) =>
    fits(filter.value, {
      texts: [one.title, one.model, one.occupant.address],
      wrong: wrong(one.occupant) !== '',
    }),
  ),
)
const flows = computed(() =>
  network.value.flows.filter((flow) => {
    const view = display.controllerOf(flow.controller)!
    const source = flow.source && display.controllerOf(flow.source)?.controller.tag
    return matches(
      filter.value,
      view.controller.tag,
      view.controller.name,
      PROTOCOLS[flow.protocol],
      source || '',
    )
  }),
)
function lineOf(address?: string) {
  return network.value.lines.find((line) => line.occupants.some((one) => one.address === address))
}
function wrong(one: Partial<Occupant>): string {
  if (!one.address) {
    return 'no address'
  }
  const line = lineOf(one.address)
  if (!line) {
    return 'in no subnet'
  }
  return line.clashes.includes(one.address) ? 'another device has it too' : ''
}
const firstFree = (one: Partial<Occupant>) =>
  (lineOf(one.address) ?? network.value.lines[0])?.free[0]

function give(occupant: Partial<Occupant>, address: string) {
  void display.edit(addressEdit(occupant as Occupant, address))
}

/** From where the device is when its turn has come: a held key loses no step. */
function step({ controller, adapter }: Occupant, by: number) {
  void display.edit(() => {
    for (const line of network.value.lines) {
      const now = line.occupants.find(
        (one) => one.controller === controller && one.adapter === adapter,
      )
      const address = now && nextFree(line, now.address, by)
      if (address) {
        return addressEdit(now, address)
      }
    }
  })
}

const addSubnet = () => void display.edit(newSubnet)
function newSubnet(): Edit {
  const taken = network.value.lines.map((line) => line.subnet)
  // documentation networks: nobody's real addresses
  const free =
    ['192.0.2.0', '198.51.100.0', '203.0.113.0'].find(
      (network) => !taken.some((one) => one.network === network),
    ) ?? `10.0.${taken.length}.0`
  const subnet: Subnet = {
    id: freshId(
      'subnet',
      taken.map((one) => one.id),
    ),
    name: taken.length ? `Subnet ${taken.length + 1}` : 'Show network',
    network: free,
    prefix: 24,
  }
  return { type: 'PutSubnet', subnet }
}
function put(subnet: Subnet, changes: Partial<Subnet>) {
  void display.edit({ type: 'SetSubnets', subnets: [subnet.id], set: said(changes) })
}
/** "198.51.100.100 – 198.51.100.199", or nothing. */
function setDhcp(subnet: Subnet, text: string) {
  const [dhcpFirst, dhcpLast] = text.split(/\s*[–-]\s*/)
  put(subnet, text ? { dhcpFirst, dhcpLast } : { dhcpFirst: undefined, dhcpLast: undefined })
}
const MULTICAST = [
  { value: 'FLOODS', title: 'no snooping' },
  { value: 'UNASKED', title: 'snooping, no querier' },
  { value: 'ASKED', title: 'snooping and a querier' },
]
const addEnclosure = () =>
  void display.edit(() => {
    const taken = network.value.enclosures.map(({ enclosure }) => enclosure)
    const name = `Box ${taken.length + 1}`
    const id = freshId(
      'box',
      taken.map((one) => one.id),
    )
    return { type: 'PutEnclosure', enclosure: { id, name, switches: [] } }
  })
watch(
  () => props.part,
  async (id) => {
    await nextTick()
    const part = id && page.value?.querySelector(`[data-part="${CSS.escape(id)}"]`)
    if (part) {
      part.scrollIntoView({ block: 'center' })
      part.querySelector<HTMLElement>('input')?.focus()
    }
  },
  { immediate: true, flush: 'post' },
)
const RANGE = /^\d{1,3}(\.\d{1,3}){3}\s*[–-]\s*\d{1,3}(\.\d{1,3}){3}$/

const own = ref<MachineAdapter[]>([])
void api.machineAdapters().then(
  (adapters) => (own.value = adapters),
  () => (own.value = []),
)
const handover = ref<HandoverView>()
const askHandover = latestOf<HandoverView>((answer) => (handover.value = answer))
watch(
  [() => display.view!.id, () => display.view!.version],
  () => void askHandover(() => api.handover(display.view!.id)),
  { immediate: true },
)
const sources = computed(() => {
  const all = new Map<string, HandoverView['sendList']>()
  handover.value?.sendList.forEach((line) => {
    const key = line.source ?? ''
    all.set(key, [...(all.get(key) ?? []), line])
  })
  return [...all]
})
</script>

<template>
  <div ref="page" class="network">
    <div class="head">
      <FilterField
        v-model="filter"
        label="Filter devices"
        :shown="shown.length"
        :all="devices.length"
      />
      <v-spacer />
      <v-btn :prepend-icon="mdiPlus" @click="addSubnet">Add a subnet</v-btn>
    </div>

    <p v-if="network.lines.length === 0" class="quiet none">
      No subnet yet. Add the one that the show runs on, with its DHCP range; then every controller
      gets an address on it.
    </p>
    <section
      v-for="line in network.lines"
      :key="line.subnet.id"
      class="subnet"
      data-test="subnet"
      :data-part="line.subnet.id"
    >
      <div class="title">
        <h2>
          <InPlaceText
            :value="line.subnet.name"
            label="Name of the subnet"
            @change="(name) => put(line.subnet, { name })"
          />
        </h2>
        <span class="mono">
          <InPlaceText
            :value="line.subnet.network"
            label="Network address"
            :pattern="DOTTED"
            told="four numbers from 0 to 255, such as 198.51.100.0"
            @change="(v) => put(line.subnet, { network: v })"
          />/<InPlaceNumber
            :value="line.subnet.prefix"
            label="Bits of the network part"
            :least="8"
            :most="30"
            @change="(v) => put(line.subnet, { prefix: v! })"
          />
        </span>
        <span class="mono">
          DHCP
          <InPlaceText
            :value="
              line.subnet.dhcpFirst ? `${line.subnet.dhcpFirst} – ${line.subnet.dhcpLast}` : ''
            "
            none="none"
            label="Addresses given out by DHCP"
            :pattern="RANGE"
            told="write first – last, such as 198.51.100.100 – 198.51.100.199"
            @change="(v) => setDhcp(line.subnet, v)"
          />
        </span>
        <span>
          multicast:
          <InPlaceChoice
            :value="line.subnet.multicast"
            label="What the switches do with multicast"
            :choices="MULTICAST"
            none="nobody looked"
            @change="(v) => put(line.subnet, { multicast: v as Subnet['multicast'] })"
          />
        </span>
        <span class="quiet">
          {{ line.occupants.length }} devices<template v-if="line.free[0]"
            >, next free <b class="mono">{{ line.free[0] }}</b></template
          ><template v-else>, no place left</template>
        </span>
        <span v-if="line.clashes.length" class="clash">
          ▲ {{ line.clashes.join(', ') }}: more than one device
        </span>
        <v-spacer />
        <v-btn size="small" @click="display.edit({ type: 'RemoveSubnet', subnet: line.subnet.id })"
          >Remove</v-btn
        >
      </div>
      <SubnetLine
        :line="line"
        :width="room"
        :lit="lit"
        @give="give"
        @step="step"
        @point="(controller) => (lit = controller)"
      />
    </section>

    <section aria-label="Enclosures and links">
      <div class="title">
        <h2>Enclosures and the cables between them</h2>
        <v-btn size="small" data-test="add-enclosure" @click="addEnclosure">Add an enclosure</v-btn>
      </div>
      <p v-if="network.enclosures.length === 0" class="quiet">
        No enclosure yet. An enclosure holds controllers, supplies and switches that are built and
        carried together; links are the network cables between them.
      </p>
      <EnclosureTree v-else />
    </section>

    <section aria-label="Devices">
      <h2>Devices and their addresses</h2>
      <p v-if="devices.length === 0" class="quiet">
        No devices yet: place controllers and the computer that sends in Controllers.
      </p>
      <ul class="devices">
        <li
          v-for="one in shown"
          :key="`${one.occupant.controller} ${one.occupant.adapter}`"
          :class="{ lit: lit === one.occupant.controller }"
          data-test="device"
          @pointerenter="lit = one.occupant.controller"
          @pointerleave="lit = undefined"
        >
          <span class="who">{{ one.title }}</span>
          <span class="mono">
            <InPlaceText
              :value="one.occupant.address ?? ''"
              none="no address"
              :label="`Address of ${one.title}`"
              :pattern="DOTTED"
              told="four numbers from 0 to 255, such as 198.51.100.11"
              @change="(v) => v && give(one.occupant, v)"
            />
          </span>
          <span class="state">
            <StateMark
              v-if="one.occupant.controller"
              :controller="one.occupant.controller"
              only-open
            />
            <span v-if="wrong(one.occupant)" class="clash">▲ {{ wrong(one.occupant) }}</span>
            <button
              v-if="firstFree(one.occupant)"
              type="button"
              class="next"
              :class="{ wanted: wrong(one.occupant) }"
              :aria-label="`Next free address for ${one.title}`"
              @click="give(one.occupant, firstFree(one.occupant)!)"
            >
              next free
            </button>
          </span>
        </li>
      </ul>
    </section>

    <section aria-label="Who sends to whom">
      <h2>Who sends to whom</h2>
      <p v-if="flows.length === 0" class="quiet">Nobody sends to anybody yet.</p>
      <FlowLines v-else :flows="flows" :width="room" :lit="lit" @point="(c) => (lit = c)" />
    </section>

    <section aria-label="This computer">
      <h2>Adapters of this computer</h2>
      <ul class="own mono">
        <li v-for="adapter in own" :key="adapter.name + adapter.address">
          {{ adapter.address }}/{{ adapter.prefix }}
          <span class="quiet"
            >{{ adapter.name }}{{ adapter.up ? '' : ', down'
            }}{{ adapter.loopback ? ', reaches this computer only' : '' }}</span
          >
        </li>
      </ul>
    </section>

    <section v-for="[source, lines] in sources" :key="source">
      <h2>What {{ source || 'a source that is not named' }} has to be told</h2>
      <SendListTable :lines="lines" />
    </section>
  </div>
</template>

<style scoped>
.network {
  padding: 12px 24px 40px;
  display: grid;
  gap: 20px;
}
.head {
  display: flex;
  align-items: center;
  gap: 20px;
}
.title {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
  font-size: 13px;
}
.subnet {
  display: grid;
  gap: 4px;
}
.clash {
  color: rgb(var(--v-theme-error));
  font-weight: 500;
}
.devices {
  list-style: none;
  margin-top: 6px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(500px, 1fr));
  column-gap: 24px;
}
.devices li {
  display: grid;
  grid-template-columns: 1fr 150px 170px;
  gap: 8px;
  align-items: center;
  height: 28px;
  padding: 0 6px;
  font-size: 13px;
  border-bottom: 1px solid var(--line);
}
.devices .lit {
  background: color-mix(in srgb, var(--copper) 16%, transparent);
}
.who {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.state {
  display: flex;
  gap: 8px;
  justify-content: flex-end;
}
.next {
  color: var(--copper);
  opacity: 0;
}
.next.wanted,
.next:focus-visible,
li:hover .next {
  opacity: 1;
}
.next:hover {
  text-decoration: underline;
}
.own {
  list-style: none;
  font-size: 12.5px;
  line-height: 20px;
}
.none {
  padding: 4vh 0;
}
@media (width < 700px) {
  .network {
    padding: 12px 12px 32px;
    grid-template-columns: minmax(0, 1fr);
  }
  .title,
  .head {
    flex-wrap: wrap;
    gap: 4px 14px;
  }
  .devices {
    grid-template-columns: minmax(0, 1fr);
  }
  .devices li {
    grid-template-columns: 1fr auto;
  }
  .devices .state {
    display: none;
  }
  section {
    overflow-x: auto;
  }
}
</style>
