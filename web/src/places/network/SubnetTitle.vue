<script setup lang="ts">
import { said } from '../../api/said'
import type { AddressLine, Subnet } from '../../api/types'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import { useDisplay } from '../../state/display'
import { ADDRESS, RANGE } from './ip'

/** What a subnet is, each value set where it stands. */
const props = defineProps<{ line: AddressLine }>()

const MULTICAST = [
  { value: 'FLOODS', title: 'no snooping' },
  { value: 'UNASKED', title: 'snooping, no querier' },
  { value: 'ASKED', title: 'snooping and a querier' },
]

const display = useDisplay()
function put(changes: Partial<Subnet>) {
  const subnets = [props.line.subnet.id]
  void display.edit({ type: 'SetSubnets', subnets, set: said(changes) })
}
/** "198.51.100.100 – 198.51.100.199", or nothing. */
function setDhcp(text: string) {
  const [dhcpFirst, dhcpLast] = text.split(/\s*[–-]\s*/)
  put(text ? { dhcpFirst, dhcpLast } : { dhcpFirst: undefined, dhcpLast: undefined })
}
</script>

<template>
  <div class="title">
    <h2>
      <InPlaceText
        :value="line.subnet.name"
        label="Name of the subnet"
        @change="(name) => put({ name })"
      />
    </h2>
    <span class="mono">
      <InPlaceText
        :value="line.subnet.network"
        label="Network address"
        v-bind="ADDRESS"
        @change="(network) => put({ network })"
      />/<InPlaceNumber
        :value="line.subnet.prefix"
        label="Bits of the network part"
        :least="8"
        :most="30"
        @change="(prefix) => put({ prefix: prefix! })"
      />
    </span>
    <span class="mono">
      DHCP
      <InPlaceText
        :value="line.subnet.dhcpFirst ? `${line.subnet.dhcpFirst} – ${line.subnet.dhcpLast}` : ''"
        none="none"
        label="Addresses given out by DHCP"
        :pattern="RANGE"
        told="write first – last, such as 198.51.100.100 – 198.51.100.199"
        @change="setDhcp"
      />
    </span>
    <span>
      multicast:
      <InPlaceChoice
        :value="line.subnet.multicast"
        label="What the switches do with multicast"
        :choices="MULTICAST"
        none="nobody looked"
        @change="(multicast) => put({ multicast: multicast as Subnet['multicast'] })"
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
    <v-btn
      size="small"
      class="remove"
      @click="display.edit({ type: 'RemoveSubnet', subnet: line.subnet.id })"
      >Remove</v-btn
    >
  </div>
</template>

<style scoped>
.title {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
  font-size: 13px;
}
.title > * {
  min-width: 0;
  max-width: 100%;
}
.clash {
  color: rgb(var(--v-theme-error));
  font-weight: 500;
}
.remove {
  margin-left: auto;
}
</style>
