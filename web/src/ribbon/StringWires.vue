<script setup lang="ts">
import { computed } from 'vue'
import type { Wiring } from '../api/types'
import { common } from '../parts/common'
import { gaugesWith } from '../parts/gauges'
import InPlaceChoice from '../parts/InPlaceChoice.vue'
import InPlaceNumber from '../parts/InPlaceNumber.vue'

/** The wires of one string or of several; what nobody entered is as usual, and says so. */
const props = defineProps<{ wirings: Wiring[] }>()
const emit = defineEmits<{ change: [changes: Partial<Wiring>] }>()

const gauge = computed(() => common(props.wirings.map((one) => one.gauge)))
const spacing = computed(() => common(props.wirings.map((one) => one.spacingMetres)))
const plug = computed(() => common(props.wirings.map((one) => one.connectorAmps)))
const dataOnly = computed(() => common(props.wirings.map((one) => one.dataOnly)))

/** What stands where there is no one value. */
function otherwise(values: unknown[], usual: string): string {
  return values.every((value) => value === undefined) ? usual : 'several'
}
</script>

<template>
  <span class="wires">
    <InPlaceChoice
      :value="gauge"
      label="Wire of the string"
      :choices="gaugesWith(gauge)"
      :none="
        otherwise(
          wirings.map((one) => one.gauge),
          'AWG 20, as usual †',
        )
      "
      @change="(v) => emit('change', { gauge: v })"
    />,
    <InPlaceNumber
      :value="spacing"
      :none="
        otherwise(
          wirings.map((one) => one.spacingMetres),
          '0.075 †',
        )
      "
      label="From pixel to pixel, metres"
      :least="0"
      :most="100"
      :step="0.001"
      @change="(v) => emit('change', { spacingMetres: v })"
    />
    m from pixel to pixel; plug for
    <InPlaceNumber
      :value="plug"
      :none="
        otherwise(
          wirings.map((one) => one.connectorAmps),
          '?',
        )
      "
      label="Most that its plug carries, amperes; left out: not judged"
      :least="0.1"
      :most="1000"
      :step="0.1"
      @change="(v) => emit('change', { connectorAmps: v })"
    />
    A,
    <button
      type="button"
      class="toggle"
      :aria-pressed="dataOnly ?? 'mixed'"
      @click="emit('change', { dataOnly: !dataOnly })"
    >
      {{ dataOnly === undefined ? 'several' : dataOnly ? 'data only, no power' : 'power and data' }}
    </button>
  </span>
</template>

<style scoped>
.toggle {
  border-bottom: 1px dashed var(--copper);
}
</style>
