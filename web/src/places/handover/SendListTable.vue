<script setup lang="ts">
import { computed } from 'vue'
import type { SendLine } from '../../api/types'
import { blocksOf } from '../../parts/blocks'
import NearOnly from '../../parts/NearOnly.vue'
import { PROTOCOLS } from '../../parts/words'

/** What the sources have to be told: which universes or bytes go to which address. */
const props = defineProps<{ lines: SendLine[] }>()

/** As high as a row is (px). */
const ROW = 35
const blocks = computed(() => blocksOf(props.lines, 20, 10))
</script>

<template>
  <table class="lines" data-test="send-list">
    <thead>
      <tr>
        <th>Source</th>
        <th>To</th>
        <th>Protocol</th>
        <th>Destination</th>
        <th>Universes or bytes</th>
        <th>Size</th>
        <th>Priority</th>
        <th>Sync</th>
        <th>From display channel</th>
      </tr>
    </thead>
    <NearOnly
      v-for="(block, b) in blocks"
      :key="b"
      as="tbody"
      :height="block.rows.length * ROW"
      :always="block.always"
    >
      <tr v-for="(line, i) in block.rows" :key="i">
        <td>{{ line.source ?? '–' }}</td>
        <td>
          <strong>{{ line.controller }}</strong>
        </td>
        <td>{{ PROTOCOLS[line.protocol] }}, {{ line.transport.toLowerCase() }}</td>
        <td class="mono">{{ line.destination }}</td>
        <td class="mono">
          <template v-if="line.firstUniverse !== undefined">
            {{
              line.universes > 1
                ? `${line.firstUniverse} – ${line.firstUniverse + line.universes - 1}`
                : line.firstUniverse
            }}
          </template>
          <template v-else>bytes {{ line.offset }} – {{ line.offset! + line.size - 1 }}</template>
        </td>
        <td class="mono">{{ line.size }}{{ line.fullUniverses ? ', full' : '' }}</td>
        <td class="mono">{{ line.priority ?? '–' }}</td>
        <td class="mono">{{ line.synchronization ?? '–' }}</td>
        <td class="mono">{{ line.displayStart }}</td>
      </tr>
    </NearOnly>
  </table>
</template>

<style scoped>
.lines {
  border-collapse: collapse;
  font-size: 13px;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line);
}
th {
  text-align: left;
  font-weight: 500;
  font-size: 12px;
  color: var(--quiet);
}
th,
td {
  padding: 7px 16px;
  border-bottom: 1px solid var(--line);
}
</style>
