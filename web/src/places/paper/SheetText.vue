<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import { api } from '../../api/client'
import type { SheetView } from '../../api/types'
import { useDisplay } from '../../state/display'
import { latestOf } from '../../state/latest'

/** A sheet as text: the words that are printed, to be read, searched and copied. */
const props = defineProps<{ sheet: string; version: number }>()

const display = useDisplay()
const view = shallowRef<SheetView>()
const ask = latestOf<SheetView>((answer) => (view.value = answer))
watch(
  [() => props.sheet, () => props.version, () => display.besides],
  () => void ask(() => api.paperSheet(display.view!.id, props.sheet)),
  { immediate: true },
)
</script>

<template>
  <article v-if="view" class="text" tabindex="0" data-test="sheet-text" :aria-label="view.title">
    <h2>{{ view.title }}</h2>
    <p v-if="view.about" class="quiet">{{ view.about }}</p>
    <section v-for="(block, i) in view.blocks" :key="i">
      <h3 v-if="block.title">{{ block.title }}</h3>
      <dl v-if="block.kind === 'FACTS'">
        <template v-for="fact in block.facts" :key="fact.label + fact.value">
          <dt>{{ fact.label }}</dt>
          <dd>{{ fact.value }}</dd>
        </template>
      </dl>
      <p v-for="line in block.lines" :key="line">{{ line }}</p>
      <table v-if="block.rows.length">
        <thead v-if="block.heads.length">
          <tr>
            <th
              v-for="head in block.heads"
              :key="head.title"
              scope="col"
              :class="{ number: head.number }"
            >
              {{ head.title }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, r) in block.rows" :key="r">
            <td
              v-for="(cell, c) in row"
              :key="c"
              :class="{ number: block.heads[c]?.number, panel: block.kind === 'WALL' }"
            >
              {{ cell }}
            </td>
          </tr>
        </tbody>
      </table>
      <div v-for="one in block.ports" :key="one.written" class="port">
        <strong class="mono"
          >{{ one.written }} <span class="quiet">{{ one.at }}</span></strong
        >
        <div>
          <p v-if="!one.lines.length" class="quiet">free</p>
          <p v-for="line in one.lines" :key="line">{{ line }}</p>
        </div>
      </div>
    </section>
  </article>
</template>

<style scoped>
.text {
  flex: 1;
  min-height: 0;
  overflow: auto;
  padding: 8px 24px 40px;
  font-size: 13px;
}
h2 {
  font-size: 17px;
}
h3 {
  font-size: 13.5px;
  margin: 14px 0 4px;
}
p,
dd {
  overflow-wrap: anywhere;
  max-width: 90ch;
}
dl {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 1px 18px;
}
dt {
  color: var(--quiet);
}
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 3px 18px 3px 0;
  border-bottom: 1px solid var(--line);
  vertical-align: top;
  overflow-wrap: anywhere;
}
thead th {
  color: var(--quiet);
  font-size: 12px;
}
.number {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
.panel {
  border: 1px solid var(--line-strong);
  padding: 10px 14px;
}
.port {
  display: grid;
  grid-template-columns: 74px minmax(0, 1fr);
  padding: 3px 0;
  border-bottom: 1px solid var(--line);
}
@media (width < 700px) {
  .text {
    padding: 8px 12px 40px;
  }
}
</style>
