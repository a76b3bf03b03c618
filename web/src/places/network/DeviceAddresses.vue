<script setup lang="ts">
import type { Occupant } from '../../api/types'
import InPlaceText from '../../parts/InPlaceText.vue'
import NearOnly from '../../parts/NearOnly.vue'
import StateMark from '../../shell/StateMark.vue'
import type { Device } from './deviceList'
import { ADDRESS } from './ip'

/** Devices with their addresses, each set where it stands. */
defineProps<{ devices: Device[]; lit?: string }>()
const emit = defineEmits<{
  give: [occupant: Partial<Occupant>, address: string]
  point: [controller: string | undefined]
}>()

/** So many at most are all drawn; as high as each is (px). */
const SHORT = 40
const ROW = 28
</script>

<template>
  <ul class="devices">
    <NearOnly
      v-for="one in devices"
      :key="`${one.occupant.controller} ${one.occupant.adapter}`"
      as="li"
      :height="ROW"
      :always="devices.length <= SHORT"
      :class="{ lit: lit === one.occupant.controller }"
      data-test="device"
      @pointerenter="emit('point', one.occupant.controller)"
      @pointerleave="emit('point', undefined)"
    >
      <span class="who">{{ one.title }}</span>
      <span class="mono">
        <InPlaceText
          :value="one.occupant.address ?? ''"
          none="no address"
          :label="`Address of ${one.title}`"
          v-bind="ADDRESS"
          @change="(v) => v && emit('give', one.occupant, v)"
        />
      </span>
      <span class="state">
        <StateMark v-if="one.occupant.controller" :controller="one.occupant.controller" only-open />
        <span v-if="one.wrong" class="clash">▲ {{ one.wrong }}</span>
        <button
          v-if="one.next"
          type="button"
          class="next"
          :class="{ wanted: one.wrong }"
          :aria-label="`Next free address for ${one.title}`"
          @click="emit('give', one.occupant, one.next)"
        >
          next free
        </button>
      </span>
    </NearOnly>
  </ul>
</template>

<style scoped>
.devices {
  list-style: none;
  margin-top: 6px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(500px, 1fr));
  column-gap: 24px;
}
li {
  display: grid;
  grid-template-columns: 1fr 150px 170px;
  gap: 8px;
  align-items: center;
  height: 28px;
  padding: 0 6px;
  font-size: 13px;
  border-bottom: 1px solid var(--line);
}
.lit {
  background: color-mix(in srgb, var(--copper) 16%, transparent);
}
.who {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.clash {
  color: rgb(var(--v-theme-error));
  font-weight: 500;
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
@container (width < 700px) {
  .devices {
    grid-template-columns: minmax(0, 1fr);
  }
  li {
    grid-template-columns: 1fr auto;
  }
  .state {
    display: none;
  }
}
</style>
