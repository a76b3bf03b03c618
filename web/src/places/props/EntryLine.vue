<script setup lang="ts">
import { mdiFileUploadOutline } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { api, Problem } from '../../api/client'
import type { Header, RowsView } from '../../api/types'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'

/**
 * Fast entry: one line typed, rows pasted from a spreadsheet, or a file. What it would add is read
 * by the server while it is typed; every bad row is marked with its reason. Enter adds all or none.
 */
const emit = defineEmits<{ added: [props: string[]] }>()

/** Long enough to type on, short enough to be felt as at once (ms). */
const PAUSE = 120
const MOST_ROWS_SHOWN = 200

const display = useDisplay()
const text = ref('')
const file = ref<File>()
const read = ref<RowsView>()
const broken = ref<Problem>()
const field = ref<HTMLTextAreaElement>()
const chooser = ref<HTMLInputElement>()
const adding = ref(false)
let timer: number | undefined
let asking: AbortController | undefined

const rows = computed<Blob | undefined>(
  () => file.value ?? (text.value.trim() ? new Blob([text.value]) : undefined),
)
const header = computed<Header>(() => (file.value ? 'NEEDED' : 'OPTIONAL'))
const lines = computed(() => text.value.split('\n').length)
const many = computed(() => file.value !== undefined || lines.value > 1)

async function look() {
  asking?.abort()
  const mine = (asking = new AbortController())
  if (!rows.value) {
    read.value = undefined
    broken.value = undefined
    return
  }
  try {
    const answer = await api.readRows(display.view!.id, rows.value, header.value, mine.signal)
    if (asking === mine) {
      read.value = answer
      broken.value = undefined
    }
  } catch (error) {
    if (asking === mine && !mine.signal.aborted) {
      read.value = undefined
      broken.value = error as Problem
    }
  }
}
watch(rows, () => {
  window.clearTimeout(timer)
  timer = window.setTimeout(look, rows.value ? PAUSE : 0)
})
// what is taken already changes with the display
watch(
  () => display.view!.version,
  () => !adding.value && look(),
)

const wrong = computed(() => (read.value ? read.value.bad + read.value.reasons.length : 0))
const ready = computed(() => read.value !== undefined && wrong.value === 0)
const told = computed(() => {
  const { props, pieces, pixels, newZones, usualType } = read.value!
  return [
    counted(props, 'prop'),
    pieces > props ? counted(pieces, 'piece') : '',
    pixels ? counted(pixels, 'pixel') : '',
    pixels ? `${usualType} where no type is named` : '',
    newZones.length
      ? `new ${newZones.length === 1 ? 'zone' : 'zones'}: ${newZones.join(', ')}`
      : '',
  ]
    .filter(Boolean)
    .join(' · ')
})
const shown = computed(() => {
  const entries = read.value?.entries ?? []
  const bad = entries.filter((entry) => entry.reasons.length)
  const good = entries.filter((entry) => !entry.reasons.length)
  return [...bad, ...good].slice(0, MOST_ROWS_SHOWN).sort((a, b) => a.row - b.row)
})

async function add() {
  if (!rows.value) {
    return
  }
  window.clearTimeout(timer)
  await look()
  if (!ready.value) {
    return
  }
  const asked = text.value
  const before = new Set(display.view!.props.map((view) => view.prop.id))
  adding.value = true
  const done = await display.addRows(rows.value, header.value)
  adding.value = false
  if (done) {
    // what was typed meanwhile is the next line
    const next = text.value.startsWith(asked) ? text.value.slice(asked.length) : ''
    clear()
    text.value = next
    emit(
      'added',
      display.view!.props.map((view) => view.prop.id).filter((id) => !before.has(id)),
    )
    field.value?.focus()
  }
}
function clear() {
  text.value = ''
  file.value = undefined
  read.value = undefined
  broken.value = undefined
}
function take(event: Event) {
  const input = event.target as HTMLInputElement
  file.value = input.files?.[0]
  text.value = ''
  input.value = ''
}
function leave() {
  clear()
  field.value?.blur()
}
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <section class="entry" aria-label="Add props">
    <div class="line">
      <textarea
        ref="field"
        v-model="text"
        :rows="Math.min(6, lines)"
        :disabled="file !== undefined"
        aria-label="Add props: type name, what, zone; or paste rows from a spreadsheet"
        :placeholder="
          file?.name ?? 'Add: Bollard 1…12, 50, Quay   –  or paste rows from a spreadsheet'
        "
        spellcheck="false"
        data-test="entry"
        @keydown.enter.exact.prevent="add"
        @keydown.esc.stop="leave"
      />
      <v-btn
        v-if="rows"
        color="primary"
        variant="flat"
        :disabled="!ready"
        data-test="add-rows"
        @click="add"
        >{{ read && ready ? `Add ${counted(read.props, 'prop')}` : 'Add' }}</v-btn
      >
      <v-btn v-if="rows" @click="clear">Clear</v-btn>
      <v-btn v-else :prepend-icon="mdiFileUploadOutline" @click="chooser?.click()"
        >Import CSV…</v-btn
      >
      <input
        ref="chooser"
        type="file"
        accept=".csv,.tsv,.txt,text/csv"
        hidden
        aria-label="CSV file of props"
        data-test="rows-file"
        @change="take"
      />
    </div>
    <p class="told" role="status" data-test="rows-told">
      <template v-if="broken">
        <span v-for="reason in broken.reasons" :key="reason.place" class="bad"
          >▲ {{ reason.place }}: {{ reason.message }}</span
        >
        <span v-if="!broken.reasons.length" class="bad">▲ {{ broken.message }}</span>
      </template>
      <template v-else-if="read && read.reasons.length">
        <span v-for="reason in read.reasons" :key="reason.message" class="bad"
          >▲ {{ reason.place }}: {{ reason.message }}</span
        >
      </template>
      <template v-else-if="read && read.bad">
        <span class="bad"
          >▲ {{ read.bad }} of {{ counted(read.rows, 'row') }} cannot be taken, so none is:
          {{ many ? 'they are marked below' : read.entries[0].reasons[0].message }}</span
        >
      </template>
      <template v-else-if="read">{{ told }}</template>
      <span v-else class="quiet"
        >what: 50 · 85+60 (two sections) · 14+12g2 (groups of 2) · 4x200 (four strings) · circuit ·
        12 slots at 45 · 30 rgbw at 101 · 16 dimmed unit 3 · wall 64x32 · tv 58x33cm/5mm</span
      >
    </p>
    <div v-if="many && shown.length" class="rows">
      <table data-test="rows">
        <thead>
          <tr>
            <th>Row</th>
            <th>Prop</th>
            <th>What</th>
            <th>Zone</th>
            <th>Pixels</th>
            <th>Why not</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="entry in shown"
            :key="entry.row"
            :class="{ wrong: entry.reasons.length }"
            :data-bad="entry.reasons.length > 0"
          >
            <td class="mono">{{ entry.reasons.length ? '▲ ' : '' }}{{ entry.row }}</td>
            <td>{{ entry.prop }}</td>
            <td class="mono">{{ entry.what }}</td>
            <td>{{ entry.zone }}</td>
            <td class="mono">{{ entry.pixels || '' }}</td>
            <td>
              {{
                entry.reasons.map((r) => `${r.place.split(', ')[1] ?? ''} ${r.message}`).join('; ')
              }}
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="read && read.rows > shown.length" class="quiet">
        {{ shown.length }} of {{ counted(read.rows, 'row') }} shown, the bad ones first.
      </p>
    </div>
  </section>
</template>

<style scoped>
.entry {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: flex-start;
}
textarea {
  flex: 1;
  min-width: min(260px, 100%);
  font: 14px/22px var(--mono);
  color: inherit;
  padding: 6px 12px;
  border: none;
  border-left: 3px solid var(--copper);
  border-radius: 0 4px 4px 0;
  background: rgb(var(--v-theme-surface));
  resize: none;
  white-space: pre;
}
textarea::placeholder {
  color: var(--quiet);
  opacity: 1;
}
.told {
  min-height: 20px;
  font-size: 12.5px;
  display: grid;
}
.bad,
.wrong td:first-child,
.wrong td:last-child {
  color: rgb(var(--v-theme-error));
}
.rows {
  max-height: 38vh;
  overflow: auto;
  border: 1px solid var(--line);
  background: rgb(var(--v-theme-surface));
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 12.5px;
}
th {
  position: sticky;
  top: 0;
  text-align: left;
  font-weight: 500;
  color: var(--quiet);
  background: rgb(var(--v-theme-surface));
}
th,
td {
  padding: 3px 10px;
}
</style>
