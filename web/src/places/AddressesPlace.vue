<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api } from '../api/client'
import FilterField from '../parts/FilterField.vue'
import InPlaceChoice from '../parts/InPlaceChoice.vue'
import { useDisplay } from '../state/display'
import { useHandover } from '../state/handover'
import AddressGrid from './addresses/AddressGrid.vue'
import AddressTable from './addresses/AddressTable.vue'
import PutInOrder from './addresses/PutInOrder.vue'
import SheetImport from './addresses/SheetImport.vue'
import { type Column, COLUMNS, type Style, STYLES } from './addresses/tableRows'

/** Every address at once: as a grid over the wire, or as a table. */
defineProps<{ row?: string }>()

const KEPT = 'hamper.addresses'
const GROUPS = [
  { value: 'controller', title: 'by controller' },
  { value: 'zone', title: 'by zone' },
  { value: 'universe', title: 'by universe' },
]
interface Look {
  view: 'grid' | 'table'
  numbering: Style
  columns: Column[]
  by: string
}
const usual: Look = {
  view: 'grid',
  numbering: 'wire',
  columns: COLUMNS.map((column) => column.key).filter((key) => key !== 'channels'),
  by: '',
}
const look = ref<Look>({ ...usual, ...JSON.parse(localStorage.getItem(KEPT) ?? '{}') })
watch(look, (now) => localStorage.setItem(KEPT, JSON.stringify(now)), { deep: true })

const display = useDisplay()
const handover = useHandover()
const filter = ref('')
const counts = ref({ shown: 0, all: 0 })
const ordering = ref(false)
const sheet = ref<File>()
const table = ref<InstanceType<typeof AddressTable>>()
const input = ref<HTMLInputElement>()
const base = computed(() => `/api/displays/${display.view!.id}`)

function picked(event: Event) {
  const field = event.target as HTMLInputElement
  sheet.value = field.files?.[0]
  field.value = ''
}
function dropped(event: DragEvent) {
  sheet.value = event.dataTransfer?.files[0]
}
async function seen(format: 'CSV' | 'XLSX') {
  const file = await display.attempt(() => api.seen(display.view!.id, format, table.value!.seen()))
  if (file) {
    const link = document.createElement('a')
    link.href = URL.createObjectURL(file)
    link.download = `addresses.${format.toLowerCase()}`
    link.click()
    URL.revokeObjectURL(link.href)
  }
}
function toggle(column: Column) {
  const { columns } = look.value
  look.value.columns = columns.includes(column)
    ? columns.filter((other) => other !== column)
    : [...columns, column]
}
</script>

<template>
  <div class="addresses" @dragover.prevent @drop.prevent="dropped">
    <div class="head">
      <h1>Addresses</h1>
      <div class="views" role="group" aria-label="What is shown">
        <button
          type="button"
          :aria-pressed="look.view === 'grid'"
          data-test="view-grid"
          @click="look.view = 'grid'"
        >
          Grid
        </button>
        <button
          type="button"
          :aria-pressed="look.view === 'table'"
          data-test="view-table"
          @click="look.view = 'table'"
        >
          Table
        </button>
      </div>
      <FilterField
        v-model="filter"
        label="Filter addresses"
        :shown="counts.shown"
        :all="counts.all"
      />
      <template v-if="look.view === 'table' && !sheet">
        <span class="choices"
          >as
          <InPlaceChoice
            :value="look.numbering"
            label="How addresses are counted"
            :choices="STYLES"
            @change="(v) => v && (look.numbering = v as Style)" />,
          <InPlaceChoice
            :value="look.by || undefined"
            label="Grouped"
            :choices="GROUPS"
            none="not grouped"
            @change="(v) => (look.by = v ?? '')"
        /></span>
        <v-menu :close-on-content-click="false">
          <template #activator="{ props: menu }">
            <v-btn v-bind="menu" size="small">Columns</v-btn>
          </template>
          <div class="columns">
            <label v-for="column in COLUMNS" :key="column.key">
              <input
                type="checkbox"
                :checked="look.columns.includes(column.key)"
                @change="toggle(column.key)"
              />
              {{ column.title }}
            </label>
          </div>
        </v-menu>
      </template>
      <v-btn
        v-if="handover.shadows"
        size="small"
        title="Dashes where things stood then that stand elsewhere now"
        data-test="no-shadows"
        @click="handover.showShadows()"
        >Shadows of {{ handover.shadows.name }} ×</v-btn
      >
      <span class="acts">
        <v-btn size="small" data-test="put-in-order" @click="ordering = !ordering"
          >Put in order</v-btn
        >
        <v-btn size="small" data-test="sheet-in" @click="input?.click()">Spreadsheet in</v-btn>
        <v-menu>
          <template #activator="{ props: menu }">
            <v-btn v-bind="menu" size="small" data-test="sheet-out">Spreadsheet out</v-btn>
          </template>
          <v-list density="compact">
            <v-list-subheader>The plan, to be changed and taken in again</v-list-subheader>
            <v-list-item :href="`${base}/plan.xlsx`" download>XLSX</v-list-item>
            <v-list-item :href="`${base}/plan.csv`" download>CSV</v-list-item>
            <v-list-subheader>Every address of every section</v-list-subheader>
            <v-list-item :href="`${base}/addresses.xlsx`" download>XLSX</v-list-item>
            <v-list-item :href="`${base}/addresses.csv`" download>CSV</v-list-item>
            <template v-if="look.view === 'table'">
              <v-list-subheader>What is seen here</v-list-subheader>
              <v-list-item data-test="copy-seen" @click="table?.copy()">Copy</v-list-item>
              <v-list-item @click="seen('XLSX')">XLSX</v-list-item>
              <v-list-item @click="seen('CSV')">CSV</v-list-item>
            </template>
          </v-list>
        </v-menu>
        <input
          ref="input"
          type="file"
          class="file"
          accept=".xlsx,.csv,.tsv,.txt"
          aria-label="A spreadsheet to take in"
          tabindex="-1"
          data-test="sheet-file"
          @change="picked"
        />
      </span>
    </div>
    <PutInOrder v-if="ordering" @leave="ordering = false" />
    <SheetImport v-if="sheet" :file="sheet" :name="sheet.name" @leave="sheet = undefined" />
    <p v-else-if="display.view!.props.length === 0" class="quiet empty">
      Nothing has an address yet. Enter props and patch them, or take your own spreadsheet in: drop
      it here.
    </p>
    <AddressGrid
      v-else-if="look.view === 'grid'"
      :filter="filter"
      :row="row"
      @counted="(shown, all) => (counts = { shown, all })"
    />
    <AddressTable
      v-else
      ref="table"
      :filter="filter"
      :numbering="look.numbering"
      :columns="look.columns"
      :by="look.by"
      @counted="(shown, all) => (counts = { shown, all })"
    />
  </div>
</template>

<style scoped>
.addresses {
  height: 100%;
  display: flex;
  flex-direction: column;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  padding: 10px 16px;
}
h1 {
  font-size: 20px;
  font-weight: 500;
}
.views {
  display: flex;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  overflow: hidden;
}
.views button {
  padding: 4px 12px;
  font-size: 13px;
}
.views button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
.choices {
  font-size: 13px;
}
.acts {
  margin-left: auto;
  display: flex;
  gap: 6px;
  position: relative;
}
.file {
  position: absolute;
  width: 1px;
  height: 1px;
  opacity: 0;
  right: 0;
}
.columns {
  display: grid;
  gap: 2px;
  padding: 10px 14px;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  font-size: 13px;
}
.empty {
  padding: 40px 16px;
  max-width: 60ch;
}
</style>
