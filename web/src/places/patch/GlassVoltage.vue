<script setup lang="ts">
import { computed } from 'vue'
import type { LaneView, LegView } from '../../api/types'
import { stretches } from '../../ribbon/geometry'
import { toldVolts } from '../../parts/volts'
import VoltageCurve from '../../ribbon/VoltageCurve.vue'
import { useRunPower } from '../../state/runPower'

/** The voltage along the leg under the glass, first to last pixel. */
const props = defineProps<{ lane: LaneView; leg: LegView; width: number }>()

const { run } = useRunPower(
  () => props.lane,
  () => undefined,
)
const wire = computed(() => stretches(props.lane).find((one) => one.leg.piece === props.leg.piece)!)
const from = computed(() => wire.value.from + wire.value.gap + 1)
const to = computed(() => from.value + wire.value.length - 1)
const within = computed(
  () =>
    run.value?.curves?.planned.filter((p) => p.position >= from.value && p.position <= to.value) ??
    [],
)
const volts = computed(() => run.value?.power?.volts)
const low = computed(() => {
  const points = within.value
  if (points.length === 0) {
    return undefined
  }
  const least = points.reduce((a, b) => (b.volts < a.volts - 1e-6 ? b : a))
  const pixel = least.position - from.value + 1
  return { ...least, text: `${toldVolts(least.volts)} at pixel ${pixel}` }
})
</script>

<template>
  <div class="voltage" data-test="glass-voltage">
    <span v-if="run && !low" class="dark">▲ nothing feeds it</span>
    <template v-else-if="low && volts">
      <span class="mono ends">{{ toldVolts(within[0].volts) }}</span>
      <VoltageCurve
        :planned="within"
        :from="from"
        :to="to"
        :scale="(width - 140) / wire.length"
        :height="48"
        :least-volts="volts.leastVolts"
        :least-told="volts.leastTold"
        :supplied-volts="volts.suppliedVolts"
        :low="low"
      />
      <span class="mono ends">{{ toldVolts(within[within.length - 1].volts) }}</span>
    </template>
  </div>
</template>

<style scoped>
.voltage {
  display: flex;
  align-items: center;
  gap: 8px;
  height: 52px;
  padding-left: 58px;
}
.ends {
  font-size: 11.5px;
  white-space: nowrap;
}
.dark {
  color: rgb(var(--v-theme-error));
  font-size: 12.5px;
}
</style>
