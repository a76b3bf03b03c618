<script setup lang="ts">
import { mdiDownload } from '@mdi/js'
import type { HandoverView } from '../../api/types'

/** What is set at itself: decoders on DMX lines and dimmer packs on serial lines. */
defineProps<{ units: HandoverView['units']; base: string }>()
</script>

<template>
  <table class="units" data-test="units">
    <thead>
      <tr>
        <th>Hangs on</th>
        <th>Unit</th>
        <th>Has to be set to</th>
        <th></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="unit in units" :key="unit.piece">
        <td class="mono">{{ unit.written ?? '–' }}</td>
        <td>
          <strong>{{ unit.title }}</strong>
        </td>
        <td class="mono">{{ unit.says }}</td>
        <td>
          <v-btn
            size="small"
            :prepend-icon="mdiDownload"
            :href="`${base}/units/${unit.piece}`"
            :aria-label="`Document of ${unit.title}`"
            download
            >Document</v-btn
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.units {
  border-collapse: collapse;
  font-size: 13px;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line);
}
th {
  text-align: left;
  font-weight: 500;
  font-size: 11.5px;
  color: var(--quiet);
  padding: 6px 12px;
}
td {
  border-top: 1px solid var(--line);
  padding: 4px 12px;
}
</style>
