<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { computed, nextTick, ref, watch } from 'vue'
import { api } from '../../api/client'
import type { Edit, HandoverView, MachineAdapter, Occupant, Subnet } from '../../api/types'
import FilterField from '../../parts/FilterField.vue'
import { fits, matches } from '../../parts/matches'
import { useWidth } from '../../parts/useWidth'
import { PROTOCOLS } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { freshId } from '../../state/freshId'
import { latestOf } from '../../state/latest'
import SendListTable from '../handover/SendListTable.vue'
import DeviceAddresses from './DeviceAddresses.vue'
import { devicesOf } from './deviceList'
import EnclosureTree from './EnclosureTree.vue'
import FlowLines from './FlowLines.vue'
import { addressEdit } from './giveAddress'
import { nextFree } from './ip'
import SubnetLine from './SubnetLine.vue'
import SubnetTitle from './SubnetTitle.vue'

/** A subnet, an enclosure or a link that a finding or the finder leads to. */
const props = defineProps<{ part?: string }>()

const display = useDisplay()
const page = ref<HTMLElement>()
const width = useWidth(page)
/** Inside the page's edges, which are narrower on a phone. */
const room = computed(() => Math.max(280, width.value - (width.value < 700 ? 24 : 48)))
const network = computed(() => display.view!.network)
const lit = ref<string>()
const filter = ref('')

const devices = computed(() => devicesOf(display.view!))
const shown = computed(() =>
  devices.value.filter((one) =>
    fits(filter.value, {
      texts: [one.title, one.model, one.occupant.address],
      wrong: one.wrong !== '',
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
    const own = all.get(key)
    if (own) {
      own.push(line)
    } else {
      all.set(key, [line])
    }
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
      <SubnetTitle :line="line" />
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
      <EnclosureTree v-else :sent="part" />
    </section>

    <section aria-label="Devices">
      <h2>Devices and their addresses</h2>
      <p v-if="devices.length === 0" class="quiet">
        No devices yet: place controllers and the computer that sends in Controllers.
      </p>
      <DeviceAddresses
        :devices="shown"
        :lit="lit"
        @give="give"
        @point="(controller) => (lit = controller)"
      />
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
/* what stands in it follows the room that findings leave, not the window */
.network {
  container-type: inline-size;
  padding: 12px 24px 40px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
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
/* painted by itself: what changes in one while one scrolls leaves the others as they are */
section {
  isolation: isolate;
}
.subnet {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
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
  }
}
@container (width < 700px) {
  .title,
  .head {
    flex-wrap: wrap;
    gap: 4px 14px;
  }
  section {
    overflow-x: auto;
  }
}
</style>
