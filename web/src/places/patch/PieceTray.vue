<script setup lang="ts">
import { KEYS, keyOf } from '../../parts/keys'
import { computed, inject, ref } from 'vue'
import type { PieceView } from '../../api/types'
import { useDisplay } from '../../state/display'
import { usePatching } from '../../state/patching'
import { fits } from '../../parts/matches'
import { counted } from '../../parts/words'
import { range } from '../../parts/range'
import { LENS } from './scale'

/** Everything not yet patched, by zone. It goes away when it is empty. */
const props = defineProps<{
  overTray: boolean
  /** Whether the click that is being handled is more than the end of a drag. */
  clickIsMeant: () => boolean
}>()
const emit = defineEmits<{
  press: [event: PointerEvent, piece: string]
  inHand: []
  arrange: []
}>()

const { scale } = inject(LENS)!
const display = useDisplay()
const patching = usePatching()
const filter = ref('')
const at = ref<string>()

const matching = computed(() => {
  return display.loose.filter((piece) =>
    fits(filter.value, {
      texts: [
        piece.title,
        zoneName(display.propOfPiece.get(piece.piece.id)?.prop.zone),
        piece.piece.kind,
        typeName(piece),
      ],
      count: piece.pixels || piece.channels,
    }),
  )
})
function typeName(piece: PieceView): string | undefined {
  return piece.piece.kind === 'string'
    ? display.pixelTypes.get(piece.piece.pixelType)?.name
    : undefined
}
function zoneName(id?: string): string {
  return display.view?.zones.find((zone) => zone.id === id)?.name ?? 'No zone'
}
const zones = computed(() => {
  const groups = new Map<string, { id?: string; name: string; pieces: PieceView[] }>()
  matching.value.forEach((piece) => {
    const id = display.propOfPiece.get(piece.piece.id)?.prop.zone
    const group = groups.get(id ?? '') ?? { id, name: zoneName(id), pieces: [] }
    group.pieces.push(piece)
    groups.set(id ?? '', group)
  })
  // as the display orders them, whatever hangs and goes
  const place = new Map(display.view!.zones.map((zone, i) => [zone.id, i]))
  const of = (id?: string) => (id === undefined ? Infinity : (place.get(id) ?? Infinity))
  return [...groups.values()].sort((a, b) => (of(a.id) === of(b.id) ? 0 : of(a.id) - of(b.id)))
})
const order = computed(() => zones.value.flatMap((zone) => zone.pieces.map((p) => p.piece.id)))
const current = computed(() =>
  at.value && order.value.includes(at.value) ? at.value : order.value[0],
)
const pixels = computed(() => display.loose.reduce((sum, piece) => sum + piece.pixels, 0))

/** Where a range begins: what was last taken alone. */
let anchor: string | undefined
function take(piece: string, event: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) {
  if (event.shiftKey) {
    patching.selected = range(order.value, anchor, piece)
  } else {
    anchor = piece
    patching.select(piece, event.ctrlKey || event.metaKey)
  }
}
function chosen(event: MouseEvent, piece: string) {
  if (props.clickIsMeant()) {
    take(piece, event)
  }
}
function takeZone(pieces: PieceView[]) {
  anchor = pieces[0].piece.id
  patching.selected = pieces.map((one) => one.piece.id)
}

function onKey(event: KeyboardEvent) {
  const index = order.value.indexOf(current.value ?? '')
  const pressed = keyOf(KEYS.tray, event)
  if (pressed === 'before' || pressed === 'after') {
    const step = pressed === 'before' ? -1 : 1
    const to = order.value[Math.max(0, Math.min(order.value.length - 1, index + step))]
    at.value = to
    take(to, { shiftKey: event.shiftKey, ctrlKey: false, metaKey: false })
    const chips = (event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('[data-piece]')
    ;[...chips].find((chip) => chip.dataset.piece === to)?.focus()
  } else if (pressed === 'all') {
    patching.selected = [...order.value]
  } else if (pressed === 'letGo') {
    patching.cut = []
    patching.selected = []
  } else if (pressed === 'open') {
    if (!patching.selected.includes(current.value!)) {
      patching.select(current.value)
    }
    patching.cut = [...patching.selected]
    emit('inHand')
  } else if (pressed === 'arrange') {
    emit('arrange')
  } else if (pressed === 'take') {
    patching.select(current.value, true)
  } else {
    return
  }
  event.preventDefault()
}

function width(piece: PieceView): string {
  const name = Math.min(26, piece.title.length)
  const needed = 28 + 6.7 * (count(piece).length + name)
  return `${Math.max(needed, Math.min(420, (piece.pixels || piece.channels) * scale.value))}px`
}
function count(piece: PieceView): string {
  return piece.pixels ? `${piece.pixels}` : `${piece.channels} ch`
}
</script>

<template>
  <section
    v-if="display.loose.length || patching.dragged.length"
    class="tray"
    :class="{ over: overTray }"
    data-tray
    aria-label="Not yet patched"
  >
    <div class="head">
      <h2>Not yet patched</h2>
      <span class="quiet">
        {{ counted(display.loose.length, 'piece') }} · {{ counted(pixels, 'pixel') }}
      </span>
      <span v-if="patching.cut.length" class="hand" role="status">
        {{ patching.cut.length }} in hand: go to a lane and press Ctrl+V
      </span>
      <v-btn
        v-if="display.loose.length"
        size="small"
        variant="outlined"
        data-test="arrange"
        @click="emit('arrange')"
        >Arrange …</v-btn
      >
      <v-spacer />
      <input
        v-model="filter"
        class="filter"
        placeholder="zone, name, or > 100"
        aria-label="Filter the tray by zone, name or pixels"
      />
    </div>
    <div class="zones" @keydown="onKey">
      <div v-for="zone in zones" :key="zone.name" class="zone">
        <button
          type="button"
          class="zonename"
          :style="{ '--zone': display.zoneColour(zone.id) }"
          :title="`Take all ${zone.pieces.length} of ${zone.name}`"
          @click="takeZone(zone.pieces)"
        >
          {{ zone.name }}
        </button>
        <div
          class="chips"
          role="listbox"
          aria-multiselectable="true"
          :aria-label="`Pieces of ${zone.name}`"
        >
          <button
            v-for="piece in zone.pieces"
            :key="piece.piece.id"
            type="button"
            role="option"
            class="chip"
            :class="{
              selected: patching.selected.includes(piece.piece.id),
              cut: patching.cut.includes(piece.piece.id),
            }"
            :style="{ width: width(piece), '--zone': display.zoneColour(zone.id) }"
            :tabindex="piece.piece.id === current ? 0 : -1"
            :data-piece="piece.piece.id"
            :aria-selected="patching.selected.includes(piece.piece.id)"
            :title="piece.title"
            @focus="at = piece.piece.id"
            @pointerdown="emit('press', $event, piece.piece.id)"
            @click="chosen($event, piece.piece.id)"
          >
            <span class="name">{{ piece.title }}</span>{{ ' '
            }}<span class="mono">{{ count(piece) }}</span>
          </button>
        </div>
      </div>
      <p v-if="matching.length === 0 && display.loose.length" class="quiet">
        Nothing here matches the filter.
      </p>
      <p v-if="display.loose.length === 0" class="quiet">Let go here to unpatch.</p>
    </div>
  </section>
</template>

<style scoped>
.tray {
  flex: none;
  max-height: 34%;
  display: flex;
  flex-direction: column;
  border-top: 2px solid var(--copper);
  background: rgb(var(--v-theme-surface));
  padding: 8px 16px 10px;
}
.tray.over {
  background: color-mix(in srgb, var(--copper) 14%, rgb(var(--v-theme-surface)));
}
.head {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 4px 12px;
  font-size: 12.5px;
  margin-bottom: 6px;
}
.hand {
  color: var(--copper);
  font-weight: 500;
}
.filter {
  flex: 0 1 190px;
  min-width: 90px;
  padding: 3px 8px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  font-size: 12.5px;
}
.zones {
  overflow: auto;
  display: grid;
  gap: 5px;
}
.zone {
  display: grid;
  grid-template-columns: 104px 1fr;
  gap: 10px;
  align-items: start;
}
.zonename:hover {
  text-decoration: underline;
}
.zonename {
  text-align: left;
  font-size: 12px;
  font-weight: 600;
  border-left: 4px solid var(--zone);
  padding: 3px 0 3px 7px;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  padding: 1px;
}
.chip {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: center;
  height: 24px;
  padding: 0 7px;
  border: 1px solid color-mix(in srgb, var(--zone) 55%, transparent);
  border-left: 4px solid var(--zone);
  border-radius: 3px;
  background: color-mix(in srgb, var(--zone) 20%, rgb(var(--v-theme-surface)));
  font-size: 12px;
  cursor: grab;
  touch-action: none;
  user-select: none;
}
.chip .name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.chip .mono {
  flex: none;
  font-size: 11px;
}
.chip.selected {
  box-shadow: 0 0 0 1.5px var(--copper);
}
.chip.cut {
  opacity: 0.5;
  border-style: dashed;
}
</style>
