<script setup lang="ts">
import { computed, onScopeDispose, reactive, ref } from 'vue'
import { api } from '../../api/client'
import { useDisplay } from '../../state/display'
import { useLighting } from '../../state/lighting'
import { useOutput } from '../../state/output'
import { piecesOf } from '../../state/targets'

/**
 * Relays, motors, fog and fixtures of what is picked: armed by name, and moved only while somebody
 * holds them. A word each third of a second; a second without one and they are safe.
 */
const display = useDisplay()
const lighting = useLighting()
const output = useOutput()
const WORD_MILLIS = 300
const FULL = 255

const open = ref(false)
const slots = reactive(new Map<string, number>())
const levels = reactive(new Map<string, number>())
const held = ref<string>()
const refused = ref('')
let telling = 0

const movers = computed(() =>
  piecesOf(lighting.what, display.view!).filter(({ piece }) =>
    ['circuit', 'fixture'].includes(piece.kind),
  ),
)
const isArmed = (id: string) => output.running && (output.now?.armed ?? []).includes(id)

async function arm(id: string) {
  lighting.armed = [...new Set([...lighting.armed, id])]
  if (!(await lighting.light())) {
    lighting.armed = lighting.armed.filter((one) => one !== id)
  }
}

/** What is told while it is held: a circuit leaves its safe state, a fixture gets one slot. */
function wanted(id: string): number[] {
  const piece = display.pieces.get(id)!.piece
  if (piece.kind === 'circuit') {
    return [piece.safeOn ? 0 : FULL]
  }
  const slot = slots.get(id) ?? 1
  return [...Array<number>(slot - 1).fill(0), levels.get(id) ?? FULL]
}
async function say(id: string) {
  try {
    await api.holdMover(id, lighting.me(), wanted(id))
    refused.value = ''
  } catch (error) {
    refused.value = error instanceof Error ? error.message : String(error)
  }
  if (held.value === id) {
    telling = window.setTimeout(() => void say(id), WORD_MILLIS)
  }
}
function hold(id: string) {
  if (held.value !== id) {
    letGo()
    held.value = id
    void say(id)
  }
}
function letGo() {
  const id = held.value
  held.value = undefined
  window.clearTimeout(telling)
  if (id && output.running) {
    void api.holdMover(id, lighting.me(), []).catch(() => undefined)
  }
}
function onKey(event: KeyboardEvent, id: string) {
  if (event.key === ' ' || event.key === 'Enter') {
    event.preventDefault()
    hold(id)
  }
}
window.addEventListener('blur', letGo)
onScopeDispose(() => {
  letGo()
  window.removeEventListener('blur', letGo)
})
</script>

<template>
  <div v-if="movers.length" class="movers">
    <button
      type="button"
      class="head"
      :aria-expanded="open"
      data-test="movers"
      @click="open = !open"
    >
      {{ open ? '▾' : '▸' }} {{ movers.length }} that
      {{ movers.length === 1 ? 'moves or switches' : 'move or switch' }}: safe, until armed and held
    </button>
    <template v-if="open">
      <p class="quiet">
        This is no isolation: other senders, a device's own test, its start and its lost source
        still move things. Lock off locally before anybody reaches in.
      </p>
      <p v-if="refused" class="wrong" role="alert">{{ refused }}</p>
      <ul>
        <li v-for="{ piece, title, written } in movers" :key="piece.id">
          <span class="mono">{{ written }}</span>
          <span>{{ title }}</span>
          <template v-if="piece.kind === 'fixture'">
            <label
              >slot
              <input
                type="number"
                class="mono"
                min="1"
                :max="piece.channels"
                :value="slots.get(piece.id) ?? 1"
                :aria-label="`Slot of ${title}`"
                @change="
                  slots.set(
                    piece.id,
                    Math.max(
                      1,
                      Math.min(piece.channels, Number(($event.target as HTMLInputElement).value)),
                    ),
                  )
                "
            /></label>
            <label
              >level
              <input
                type="range"
                min="0"
                max="255"
                :value="levels.get(piece.id) ?? FULL"
                :aria-label="`Level of ${title}`"
                @input="levels.set(piece.id, Number(($event.target as HTMLInputElement).value))"
            /></label>
          </template>
          <v-btn
            v-if="!isArmed(piece.id)"
            size="small"
            variant="outlined"
            :data-test="`arm-${piece.id}`"
            @click="arm(piece.id)"
            >Arm {{ title }}</v-btn
          >
          <button
            v-else
            type="button"
            class="hold"
            :class="{ held: held === piece.id }"
            :data-test="`hold-${piece.id}`"
            @pointerdown="hold(piece.id)"
            @pointerup="letGo"
            @pointerleave="letGo"
            @pointercancel="letGo"
            @keydown="(event) => onKey(event, piece.id)"
            @keyup="letGo"
            @blur="letGo"
            @contextmenu.prevent
          >
            {{ held === piece.id ? 'moving: let go to stop' : 'hold to move' }}
          </button>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.movers {
  padding: 6px 16px;
  font-size: 12.5px;
  border-bottom: 1px solid var(--line);
}
.head {
  min-height: 28px;
}
ul {
  list-style: none;
  max-height: 180px;
  overflow: auto;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  padding: 3px 0;
}
li input[type='number'] {
  width: 52px;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  padding: 1px 4px;
}
.hold {
  min-width: 150px;
  min-height: 34px;
  border: 2px solid rgb(var(--v-theme-warning));
  border-radius: 4px;
  touch-action: none;
  user-select: none;
}
.hold.held {
  color: rgb(var(--v-theme-on-error));
  background: rgb(var(--v-theme-error));
  border-color: transparent;
}
.wrong {
  color: rgb(var(--v-theme-error));
}
</style>
