<script setup lang="ts">
import DrawnIcon from '../parts/DrawnIcon'
import { mdiChevronDown, mdiChevronRight, mdiMapOutline } from '@mdi/js'
import { computed, nextTick, onMounted, onScopeDispose, ref, watch } from 'vue'
import type { PieceView, PropView } from '../api/types'
import FilterField from '../parts/FilterField.vue'
import { fits } from '../parts/matches'
import { counted } from '../parts/words'
import { sectionRows } from '../ribbon/geometry'
import { useDisplay } from '../state/display'
import { useWindowing } from '../parts/windowing'
import EntryLine from './props/EntryLine.vue'
import { usePropKeys } from './props/propKeys'
import PropRow from './props/PropRow.vue'
import SelectionBar from './props/SelectionBar.vue'
import SitePlan from './props/SitePlan.vue'

type Row =
  | { kind: 'zonehead'; key: string; height: number; zone?: string; views: PropView[] }
  | { kind: 'prop'; key: string; height: number; view: PropView }

/** Beside its ribbons; on a narrow window its name and where it hangs are all there is room for. */
const HANGS = 240
const NARROW = 640
const SITE = 320
/** Room that an opened piece takes, by kind. */
const OPEN = { string: 126, wall: 200, fixture: 112, decoder: 112, circuit: 58, dimmer: 58 }
const PIECE_TITLE = 30
const ADDRESSES = 46

const props = defineProps<{ prop?: string }>()
const display = useDisplay()
const scroller = ref<HTMLElement>()
const entry = ref<{ focus: () => void }>()
const filter = ref('')
const opened = ref<string>()
const folded = ref(new Set<string>())
const site = ref(localStorage.getItem('hamper.site') === 'true')
watch(site, (value) => localStorage.setItem('hamper.site', String(value)))

const all = computed(() => display.view!.props)
const shown = computed(() =>
  all.value.filter((view) =>
    fits(filter.value, {
      texts: [
        view.prop.name,
        display.zoneName(view.prop.zone),
        ...view.pieces.flatMap((piece) => [
          piece.title,
          piece.written ?? 'not patched',
          piece.piece.kind,
          piece.piece.kind === 'string'
            ? display.pixelTypes.get(piece.piece.pixelType)?.name
            : undefined,
        ]),
      ],
      count: view.pieces.reduce((sum, piece) => sum + piece.pixels, 0),
      wrong: view.pieces.some((piece) => display.wrongAt.has(`piece ${piece.piece.id}`)),
    }),
  ),
)
const byZone = computed(() => {
  const zones = [...display.view!.zones.map((zone) => zone.id), undefined]
  return zones
    .map((zone) => ({ zone, views: shown.value.filter((view) => view.prop.zone === zone) }))
    .filter(({ zone, views }) => views.length > 0 || (zone !== undefined && !filter.value))
})
const rows = computed<Row[]>(() =>
  byZone.value.flatMap(({ zone, views }) => [
    { kind: 'zonehead' as const, key: `zone ${zone ?? ''}`, height: 36, zone, views },
    ...(folded.value.has(zone ?? '')
      ? []
      : views.map((view) => ({
          kind: 'prop' as const,
          key: view.prop.id,
          height: heightOf(view),
          view,
        }))),
  ]),
)
/** A string that hangs nowhere has no addresses to show. */
function roomOf({ piece, port }: PieceView): number {
  if (piece.kind !== 'string') {
    return OPEN[piece.kind] + PIECE_TITLE
  }
  const starts = port ? ADDRESSES : 0
  const row = OPEN.string - ADDRESSES + starts
  return sectionRows(piece.sections, stripWidth.value) * row + PIECE_TITLE
}
function heightOf(view: PropView): number {
  // where there is no room for ribbons, a line is all there is
  const closed = narrow.value ? 30 : Math.max(30, view.pieces.length * 18 + 12)
  return opened.value === view.prop.id
    ? closed + view.pieces.reduce((sum, piece) => sum + roomOf(piece), 10)
    : closed
}
const { visible, total, width, show } = useWindowing(scroller, rows)
const stripWidth = computed(() => Math.max(280, width.value - 90))

const narrow = computed(() => width.value < NARROW)
const nameWidth = computed(() => (narrow.value ? width.value - HANGS - 40 : 190))
const room = computed(() => Math.max(200, width.value - nameWidth.value - HANGS - 70))
const widths = computed(() => ({
  name: nameWidth.value,
  ribbons: room.value,
  hangs: HANGS,
  strip: stripWidth.value,
}))
const most = computed(() =>
  Math.max(
    100,
    ...all.value.flatMap((view) =>
      view.pieces.map((piece) =>
        piece.piece.kind === 'string' ? piece.pixels + piece.nullPixels : 0,
      ),
    ),
  ),
)
const scale = computed(() => room.value / most.value)

const ids = computed(() => rows.value.flatMap((row) => (row.kind === 'prop' ? [row.key] : [])))
const keys = usePropKeys(ids, {
  show: (id) => go(id),
  open: (id) => toggleOpen(id),
  remove: () => removeSelected(),
  enter: () => entry.value?.focus(),
})
const { at, selected } = keys
const chosen = computed(() => all.value.filter((view) => selected.value.includes(view.prop.id)))
window.addEventListener('keydown', keys.onPlaceKey)
onScopeDispose(() => window.removeEventListener('keydown', keys.onPlaceKey))

function go(id: string) {
  show(rows.value.findIndex((row) => row.key === id))
  void nextTick(() => scroller.value?.querySelector<HTMLElement>(`[data-prop="${id}"]`)?.focus())
}
function toggleOpen(id: string) {
  opened.value = opened.value === id ? undefined : id
  void nextTick(() => go(id))
}
async function removeSelected() {
  const gone = [...selected.value]
  const next = ids.value[ids.value.indexOf(gone[gone.length - 1]) + 1] ?? ids.value[0]
  if (gone.length && (await display.edit({ type: 'RemoveProps', props: gone }))) {
    selected.value = []
    keys.stand(ids.value.includes(next) ? next : ids.value[0])
  }
}
function click(event: MouseEvent, id: string) {
  if (event.shiftKey) {
    keys.selectTo(id)
  } else if (event.ctrlKey || event.metaKey) {
    keys.toggle(id)
  } else {
    selected.value = [id]
    at.value = id
  }
}
function made(props: string[]) {
  filter.value = ''
  selected.value = props
  at.value = props[0]
  void nextTick(() => show(rows.value.findIndex((row) => row.key === props[0])))
}
function reveal(id: string) {
  filter.value = ''
  opened.value = id
  void nextTick(() => keys.stand(id))
}
onMounted(() => props.prop && reveal(props.prop))
watch(
  () => props.prop,
  (id) => id && reveal(id),
)

function fold(zone = '') {
  const now = new Set(folded.value)
  if (!now.delete(zone)) {
    now.add(zone)
  }
  folded.value = now
}
const pixels = computed(() =>
  all.value.reduce((sum, view) => sum + view.pieces.reduce((of, piece) => of + piece.pixels, 0), 0),
)
</script>

<template>
  <div class="place">
    <div class="main">
      <div class="top">
        <div class="head">
          <h1>Props</h1>
          <span class="quiet"
            >{{ counted(all.length, 'prop') }}, {{ counted(pixels, 'pixel') }}</span
          >
          <FilterField
            v-model="filter"
            label="Filter props"
            :shown="shown.length"
            :all="all.length"
          />
          <v-spacer />
          <v-btn
            :prepend-icon="mdiMapOutline"
            :aria-pressed="site"
            data-test="show-site"
            @click="site = !site"
            >Site and zones</v-btn
          >
        </div>
        <EntryLine ref="entry" @added="made" />
        <SelectionBar v-if="chosen.length" :selected="chosen" @gone="selected = []" @made="made" />
      </div>
      <div
        ref="scroller"
        class="scroll scrolls"
        role="grid"
        aria-label="Props by zone"
        aria-multiselectable="true"
        @keydown="keys.onKey"
      >
        <p v-if="all.length === 0" class="quiet none">
          No props yet. Type one above, such as <b class="mono">Bow rail, 85+60, Boats</b>, and
          press Enter; or paste the list that you have in a spreadsheet.
        </p>
        <p v-else-if="shown.length === 0" class="quiet none">No prop matches “{{ filter }}”.</p>
        <div class="all" :style="{ height: `${total}px` }">
          <template v-for="{ row, top } in visible" :key="row.key">
            <div
              v-if="row.kind === 'zonehead'"
              class="zonehead"
              role="row"
              :style="{ top: `${top}px`, height: `${row.height}px` }"
            >
              <div role="rowheader" class="zonecell">
                <button
                  type="button"
                  class="foldbutton"
                  :aria-expanded="!folded.has(row.zone ?? '')"
                  :aria-label="`Fold ${display.zoneName(row.zone) || 'props without a zone'}`"
                  @click="fold(row.zone)"
                >
                  <DrawnIcon
                    :path="folded.has(row.zone ?? '') ? mdiChevronRight : mdiChevronDown"
                    :size="18"
                  />
                </button>
                <span class="dot" :style="{ background: display.zoneColour(row.zone) }" />
                <strong>{{ display.zoneName(row.zone) || 'In no zone' }}</strong>
                <span class="quiet">{{ counted(row.views.length, 'prop') }}</span>
              </div>
            </div>
            <PropRow
              v-else
              class="prop"
              :view="row.view"
              :chosen="selected.includes(row.view.prop.id)"
              :opened="opened === row.view.prop.id"
              :narrow="narrow"
              :widths="widths"
              :scale="scale"
              :style="{ top: `${top}px`, height: `${row.height}px` }"
              :tabindex="at === row.view.prop.id || (!at && row.key === ids[0]) ? 0 : -1"
              @click="(event: MouseEvent) => click(event, row.view.prop.id)"
              @dblclick="toggleOpen(row.view.prop.id)"
              @toggle="toggleOpen(row.view.prop.id)"
            />
          </template>
        </div>
      </div>
    </div>
    <aside v-if="site" class="beside">
      <SitePlan :width="SITE" :height="270" />
    </aside>
  </div>
</template>

<style scoped>
.place {
  display: flex;
  height: 100%;
}
.main {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.top {
  padding: 12px 24px 8px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
}
.scroll {
  flex: 1;
  position: relative;
}
.all {
  position: relative;
}
.zonehead,
.prop {
  position: absolute;
  left: 0;
  right: 0;
}
.zonecell {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 8px 24px 0 12px;
  white-space: nowrap;
}
.zonecell > strong {
  overflow: hidden;
  text-overflow: ellipsis;
}
.dot {
  flex: none;
  width: 10px;
  height: 10px;
  border-radius: 5px;
}
.beside {
  width: 354px;
  flex: none;
  overflow: auto;
  padding: 12px 16px;
  border-left: 1px solid var(--line);
}
.none {
  padding: 6vh 24px;
}
@media (width < 700px) {
  .place {
    flex-direction: column-reverse;
  }
  .main {
    width: 100%;
    min-height: 0;
  }
  .beside {
    width: 100%;
    border-left: none;
  }
}
</style>
