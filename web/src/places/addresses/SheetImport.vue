<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { api } from '../../api/client'
import type { PlanColumn, PlanSheetView } from '../../api/types'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { asMeans, MEANINGS, remember, remembered, store } from './sheetHeads'

/** A planner's own spreadsheet held against the plan, before anything of it is taken. */
const props = defineProps<{ file: Blob; name: string }>()
const emit = defineEmits<{ leave: [] }>()

const MOST = 300
const display = useDisplay()
const view = shallowRef<PlanSheetView>()
const means = ref<string>()
const starts = ref<'FLOW' | 'HOLD'>('FLOW')
const reading = ref(false)

async function read() {
  reading.value = true
  const said = means.value
  const told = await display.attempt(() => api.readSheet(display.view!.id, props.file, said))
  reading.value = false
  if (!told) {
    emit('leave')
    return
  }
  view.value = told
  const before = said === undefined && remembered(told.columns, store.read())
  if (before && before !== asMeans(told.columns)) {
    means.value = before
  }
}
watch([() => props.file, means, () => display.view!.version], read, { immediate: true })

function mean(index: number, value: string) {
  const columns = view.value!.columns.map((column, i) => ({
    means: i === index ? ((value || undefined) as PlanColumn | undefined) : column.means,
  }))
  means.value = asMeans(columns)
  store.write(remember(view.value!.columns, means.value, store.read()))
}
const says = computed(() =>
  view.value!.entries.filter((entry) => entry.does !== 'NOTHING').slice(0, MOST),
)
const titleOf = (column: PlanColumn) =>
  MEANINGS.find((one) => one.value === column)?.title ?? column
const takes = computed(() => {
  const now = view.value
  const held = starts.value === 'HOLD' ? (now?.holdable ?? 0) : 0
  return (now?.adds ?? 0) + (now?.changes ?? 0) + held
})
async function take() {
  if (await display.takeSheet(props.file, starts.value, means.value)) {
    emit('leave')
  }
}
</script>

<template>
  <section class="import" aria-label="A spreadsheet, before it is taken in" data-test="sheet">
    <div class="head">
      <h2>{{ name }}</h2>
      <template v-if="view">
        <span>{{ counted(view.rows, 'row') }}</span>
        <span v-if="view.adds">{{ view.adds }} new</span>
        <span v-if="view.changes">{{
          `${counted(view.cells, 'cell')} in ${counted(view.changes, 'row')} differ`
        }}</span>
        <span v-if="view.bad" class="bad" data-test="sheet-bad"
          >▲ {{ view.bad }} cannot be taken</span
        >
        <span v-if="!view.bad && !view.adds && !view.changes && !view.reasons.length" class="quiet"
          >It is as the plan is: nothing would change.</span
        >
      </template>
      <span class="acts">
        <v-btn
          color="primary"
          variant="flat"
          size="small"
          :disabled="!view || !takes || view.reasons.length > 0"
          data-test="take-sheet"
          @click="take"
          >{{ view?.bad ? 'Take the good rows' : 'Take it in' }}</v-btn
        >
        <v-btn size="small" @click="emit('leave')">Leave it</v-btn>
      </span>
    </div>
    <v-progress-linear v-if="reading" indeterminate aria-label="Reading the spreadsheet" />
    <template v-if="view">
      <ul v-if="view.reasons.length" class="bad">
        <li v-for="reason in view.reasons" :key="reason.place + reason.message">
          ▲ {{ reason.place }}: {{ reason.message }}
        </li>
      </ul>
      <div class="columns" role="group" aria-label="What each column means">
        <label v-for="(column, i) in view.columns" :key="i">
          <span class="yours">{{ column.head || `column ${i + 1}` }}</span>
          <span class="quiet mono example">{{ column.example }}</span>
          <select
            :value="column.means ?? ''"
            :class="{ none: !column.means }"
            @change="mean(i, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">→ nothing here</option>
            <option v-for="one in MEANINGS" :key="one.value" :value="one.value">
              → {{ one.title }}
            </option>
          </select>
        </label>
      </div>
      <div v-if="view.differing" class="starts" data-test="sheet-starts">
        <p>
          <b>{{ counted(view.differing, 'start') }}</b> of the sheet
          {{ view.differing === 1 ? 'is another' : 'are others' }} than
          {{ view.differing === 1 ? 'follows' : 'follow' }} from the plan.
          <label
            ><input v-model="starts" type="radio" value="FLOW" /> let them flow as the plan
            says</label
          >
          <label
            ><input v-model="starts" type="radio" value="HOLD" data-test="hold-starts" /> hold
            {{ view.holdable === view.differing ? 'them' : view.holdable }} as the sheet says</label
          >
        </p>
        <ul>
          <li v-for="one in view.starts.slice(0, 40)" :key="one.row">
            <span class="mono quiet">row {{ one.row }}</span> {{ one.title }}:
            <span class="mono">{{ one.sheet }}</span>
            <span class="quiet"> in the sheet, </span><span class="mono">{{ one.plan }}</span>
            <span class="quiet"> in the plan</span>
            <span v-if="one.why" class="warn"> · {{ one.why }}</span>
          </li>
        </ul>
      </div>
      <table>
        <tbody>
          <tr
            v-for="entry in says"
            :key="entry.row"
            :class="entry.does"
            :data-sheet-row="entry.row"
          >
            <td class="mono quiet">{{ entry.row }}</td>
            <td>{{ entry.title }}</td>
            <td>
              <template v-if="entry.does === 'BAD'">
                <span v-for="reason in entry.reasons" :key="reason.place" class="bad"
                  >▲ {{ reason.place.replace(/^row \d+, /, '') }}: {{ reason.message }}</span
                >
              </template>
              <span v-else-if="entry.does === 'ADDS'" class="good">+ new</span>
              <span v-for="change in entry.changes" :key="change.column" class="change">
                {{ titleOf(change.column) }}
                <span class="mono">{{ change.from || '–' }} → {{ change.to || '–' }}</span>
              </span>
            </td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>

<style scoped>
.import {
  flex: 1;
  min-height: 0;
  overflow: auto;
  padding: 10px 16px 20px;
  font-size: 13px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 18px;
}
h2 {
  font-size: 15px;
  font-weight: 500;
}
.acts {
  margin-left: auto;
  display: flex;
  gap: 8px;
}
.columns {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  margin: 12px 0;
}
.columns label {
  display: grid;
  border-left: 3px solid var(--copper);
  padding-left: 8px;
  max-width: 190px;
}
.yours {
  font-weight: 500;
}
.example {
  font-size: 11.5px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  min-height: 1.4em;
}
select {
  border-bottom: 1px dashed var(--copper);
  cursor: pointer;
}
select.none {
  color: var(--quiet);
}
select option {
  color: rgb(var(--v-theme-on-surface));
  background: rgb(var(--v-theme-surface));
}
.starts {
  border-top: 1px solid var(--line);
  padding: 8px 0;
}
.starts p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.starts ul {
  list-style: none;
  max-height: 170px;
  overflow: auto;
  padding: 0;
}
table {
  border-collapse: collapse;
  width: 100%;
}
td {
  padding: 3px 16px 3px 0;
  border-top: 1px solid var(--line);
  vertical-align: top;
}
.change {
  margin-right: 18px;
}
.bad {
  color: rgb(var(--v-theme-error));
}
.good {
  color: rgb(var(--v-theme-success));
}
.warn {
  color: rgb(var(--v-theme-warning));
}
ul.bad {
  list-style: none;
  padding: 0;
}
</style>
