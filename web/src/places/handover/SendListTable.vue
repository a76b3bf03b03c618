<script setup lang="ts">
import { computed } from 'vue'
import type { SendLine } from '../../api/types'
import { blocksOf } from '../../parts/blocks'
import NearOnly from '../../parts/NearOnly.vue'
import { PROTOCOLS } from '../../parts/words'

/** What the sources have to be told: which universes or bytes go to which address. */
const props = defineProps<{ lines: SendLine[] }>()

/** Above the columns, and on a phone above each value. */
const HEADS = {
  source: 'Source',
  to: 'To',
  protocol: 'Protocol',
  destination: 'Destination',
  carries: 'Universes or bytes',
  size: 'Size',
  priority: 'Priority',
  sync: 'Sync',
  from: 'From display channel',
}
/** As high as a row is (px). */
const ROW = 35
const blocks = computed(() => blocksOf(props.lines, 20, 10))
</script>

<template>
  <table class="lines" data-test="send-list">
    <thead>
      <tr>
        <th v-for="head in HEADS" :key="head">{{ head }}</th>
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
        <td :data-head="HEADS.source">{{ line.source ?? '–' }}</td>
        <td :data-head="HEADS.to">
          <strong>{{ line.controller }}</strong>
        </td>
        <td :data-head="HEADS.protocol">
          {{ PROTOCOLS[line.protocol] }}, {{ line.transport.toLowerCase() }}
        </td>
        <td :data-head="HEADS.destination" class="mono">{{ line.destination }}</td>
        <td :data-head="HEADS.carries" class="mono">
          <template v-if="line.firstUniverse !== undefined">
            {{
              line.universes > 1
                ? `${line.firstUniverse} – ${line.firstUniverse + line.universes - 1}`
                : line.firstUniverse
            }}
          </template>
          <template v-else>bytes {{ line.offset }} – {{ line.offset! + line.size - 1 }}</template>
        </td>
        <td :data-head="HEADS.size" class="mono">
          {{ line.size }}{{ line.fullUniverses ? ', full' : '' }}
        </td>
        <td :data-head="HEADS.priority" class="mono">{{ line.priority ?? '–' }}</td>
        <td :data-head="HEADS.sync" class="mono">{{ line.synchronization ?? '–' }}</td>
        <td :data-head="HEADS.from" class="mono">{{ line.displayStart }}</td>
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
/* each line as a card, its values named where they stand */
@media (width < 700px) {
  .lines,
  .lines :deep(tbody) {
    display: block;
  }
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 2px 12px;
    padding: 8px 12px;
    border-bottom: 1px solid var(--line);
  }
  td {
    display: block;
    padding: 0;
    border: 0;
    overflow-wrap: anywhere;
  }
  td::before {
    content: attr(data-head);
    display: block;
    font-size: 11px;
    line-height: 14px;
    color: var(--quiet);
  }
}
</style>
