<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import { api } from '../../api/client'
import type { GridView, Slot } from '../../api/types'
import { useDisplay } from '../../state/display'
import ChannelLetter from './ChannelLetter.vue'

/** A row of the grid slot by slot. */
const props = defineProps<{ grid?: GridView; row: number }>()

const display = useDisplay()
const slots = shallowRef<Slot[]>([])
watch(
  [() => props.row, () => props.grid],
  async ([row, grid]) => {
    slots.value = []
    if (grid) {
      const told = await display.attempt(() => api.slots(display.view!.id, row))
      if (props.row === row) {
        slots.value = told ?? []
      }
    }
  },
  { immediate: true },
)
</script>

<template>
  <div class="slots" tabindex="0" data-test="slots">
    <table>
      <thead>
        <tr>
          <th>Slot</th>
          <th>Colour</th>
          <th>What</th>
          <th>Pixel</th>
          <th>Port</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="one in slots" :key="one.slot">
          <tr v-for="spot in one.spots" :key="`${spot.piece} ${spot.section}`">
            <td class="mono">{{ one.slot }}</td>
            <td><ChannelLetter :spot="spot" /></td>
            <td>{{ spot.title }}</td>
            <td class="mono">{{ spot.pixel }}</td>
            <td class="mono">{{ spot.written }}</td>
          </tr>
        </template>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.slots {
  flex: none;
  height: 34%;
  overflow: auto;
  border-top: 1px solid var(--line-strong);
  padding: 0 16px;
  font-size: 12px;
}
.slots table {
  border-collapse: collapse;
}
.slots th {
  position: sticky;
  top: 0;
  text-align: left;
  padding: 4px 24px 4px 0;
  background: rgb(var(--v-theme-background));
  font-weight: 500;
}
.slots td {
  padding: 1px 24px 1px 0;
}
</style>
