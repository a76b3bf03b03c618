<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { api } from '../../api/client'
import type { Addition, Aim, ArrangeView, Edit } from '../../api/types'
import { outcome } from '../../parts/previewWords'
import { counted } from '../../parts/words'
import { portKey, useDisplay } from '../../state/display'
import { usePatching } from '../../state/patching'

/**
 * Places for what hangs nowhere, for three aims side by side: ghosts on the ports, a reason for each
 * piece; taken as a whole or piece by piece, as one step.
 */
const props = defineProps<{ zone?: string }>()
const emit = defineEmits<{ done: [] }>()

const AIMS: { aim: Aim; title: string }[] = [
  { aim: 'EASIEST', title: 'Easiest to hang' },
  { aim: 'SHORTEST', title: 'Shortest cable' },
  { aim: 'FEWEST', title: 'Fewest controllers' },
]

const display = useDisplay()
const patching = usePatching()
const found = shallowRef<Partial<Record<Aim, ArrangeView>>>({})
const chosen = ref<Aim>('EASIEST')
/** Pieces of the proposal that are not taken. */
const without = ref(new Set<string>())
const failed = ref(false)
const panel = ref<HTMLElement>()
let asking: AbortController | undefined

/** Loose pieces that are taken in the tray, or of the zone, or all. */
const wanted = (() => {
  const loose = new Set(display.loose.map((piece) => piece.piece.id))
  const taken = patching.selected.filter((piece) => loose.has(piece))
  if (props.zone) {
    return [...loose].filter((id) => display.propOfPiece.get(id)?.prop.zone === props.zone)
  }
  return taken.length ? taken : [...loose]
})()

async function look() {
  asking?.abort()
  const mine = (asking = new AbortController())
  found.value = {}
  failed.value = false
  without.value = new Set()
  const still = wanted.filter((id) => display.loose.some((one) => one.piece.id === id))
  if (!still.length) {
    return
  }
  for (const { aim } of AIMS) {
    const view = await api.arrange(display.view!.id, aim, still, mine.signal).catch(() => undefined)
    if (asking !== mine) {
      return
    }
    failed.value ||= !view
    found.value = { ...found.value, [aim]: view }
  }
}
watch(
  () => display.view!.version,
  () => void look(),
  { immediate: true },
)

const shown = computed(() => found.value[chosen.value])
const hung = computed(() => shown.value?.proposal.hung ?? [])
const edit = computed<Edit | undefined>(() => {
  const whole = shown.value?.edit
  if (whole?.type !== 'HangPieces') {
    return undefined
  }
  const at = whole.at
    .map((one) => ({ ...one, pieces: one.pieces.filter((id) => !without.value.has(id)) }))
    .filter((one) => one.pieces.length)
  return at.length ? { type: 'HangPieces', at } : undefined
})
watch(
  edit,
  (now) =>
    void patching.propose(
      now,
      hung.value.map((one) => one.piece).filter((id) => !without.value.has(id)),
    ),
  { immediate: true },
)
onScopeDispose(() => {
  asking?.abort()
  void patching.propose(undefined, [])
})
watch(panel, (element) => element?.focus())

function keep(piece: string) {
  const now = new Set(without.value)
  if (!now.delete(piece)) {
    now.add(piece)
  }
  without.value = now
}
async function take() {
  const making = edit.value
  if (making) {
    emit('done')
    await display.edit(making)
  }
}
function step(by: number) {
  const at = AIMS.findIndex((one) => one.aim === chosen.value)
  chosen.value = AIMS[(at + by + AIMS.length) % AIMS.length].aim
  without.value = new Set()
}
function onKey(event: KeyboardEvent) {
  const steps: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1 }
  if (event.key === 'Escape') {
    emit('done')
  } else if (event.target === panel.value && event.key === 'Enter') {
    void take()
  } else if (event.target === panel.value && steps[event.key]) {
    step(steps[event.key])
  } else {
    return
  }
  event.preventDefault()
}
/** What hangs on each controller by it: taken, or left out, as a whole. */
const byController = computed(() => {
  const all = new Map<string, string[]>()
  for (const one of hung.value) {
    const tag = display.controllerOf(one.port.controller)?.controller.tag ?? one.port.controller
    all.set(tag, [...(all.get(tag) ?? []), one.piece])
  }
  return [...all]
})
const isTaken = (pieces: string[]) => pieces.some((piece) => !without.value.has(piece))
function keepAll(pieces: string[]) {
  const now = new Set(without.value)
  const out = isTaken(pieces)
  pieces.forEach((piece) => (out ? now.add(piece) : now.delete(piece)))
  without.value = now
}
/** What no way to hang the same pieces can go below, beside what this one takes. */
const bound = computed(() => {
  const cost = shown.value?.proposal.cost
  if (!cost || !hung.value.length) {
    return ''
  }
  const another = cost.another
    ? `${counted(cost.another, 'controller')} on which nothing hung; ${
        cost.another === cost.least.another
          ? 'fewer are not possible'
          : `no way takes under ${cost.least.another}`
      }. `
    : ''
  return `${another}${counted(cost.outlets, 'port')}; no way takes under ${cost.least.outlets}.`
})
/** What would make the rest fit, once somebody asked. */
const additions = shallowRef<Addition[]>()
const asked = ref(false)
async function lookForMissing() {
  asked.value = true
  const answer = await display.attempt(() =>
    api.missing(display.view!.id, chosen.value, [
      ...hung.value.map((one) => one.piece),
      ...shown.value!.proposal.left.map((one) => one.piece),
    ]),
  )
  additions.value = answer?.additions
  asked.value = false
}
watch([shown, chosen], () => (additions.value = undefined))
const metres = (view: ArrangeView) => Math.round(view.proposal.cost.metres).toLocaleString('en')
</script>

<template>
  <section
    ref="panel"
    class="panel"
    tabindex="0"
    aria-label="Arrange: Enter takes the proposal, left and right choose another aim"
    data-test="arrange-panel"
    @keydown="onKey"
  >
    <div class="aims" role="group" aria-label="Aims">
      <button
        v-for="one in AIMS"
        :key="one.aim"
        type="button"
        :aria-pressed="one.aim === chosen"
        :class="{ here: one.aim === chosen }"
        :data-test="`aim-${one.aim}`"
        @click="
          () => {
            chosen = one.aim
            without = new Set()
          }
        "
      >
        <strong>{{ one.title }}</strong>
        <span v-if="found[one.aim]" class="mono">
          {{ found[one.aim]!.proposal.hung.length }} of {{ wanted.length }} ·
          {{ counted(found[one.aim]!.proposal.cost.controllers, 'controller') }} ·
          {{ counted(found[one.aim]!.proposal.cost.outlets, 'port') }} ·
          {{ metres(found[one.aim]!) }} m
        </span>
        <span v-else class="quiet">{{ failed ? 'could not be worked out' : 'looking …' }}</span>
      </button>
    </div>
    <div v-if="shown" class="rows">
      <p v-if="byController.length > 1" class="boxes" role="group" aria-label="By controller">
        <label v-for="[tag, pieces] in byController" :key="tag" :data-box="tag"
          ><input type="checkbox" :checked="isTaken(pieces)" @change="keepAll(pieces)" />
          <span class="mono">{{ tag }}</span> {{ pieces.length }}</label
        >
      </p>
      <p class="quiet" data-test="bound">{{ bound }}</p>
      <ul class="hung">
        <li v-for="one in hung" :key="one.piece" :data-hung="one.piece">
          <label
            ><input type="checkbox" :checked="!without.has(one.piece)" @change="keep(one.piece)" />
            <strong>{{ one.title }}</strong></label
          >
          <button
            type="button"
            class="mono to"
            :aria-label="`Show ${one.title} on ${one.written}`"
            @click="patching.reveal = `port:${portKey(one.port)}`"
          >
            {{ one.written }}
          </button>
          <span class="quiet">{{ one.because }}</span>
        </li>
        <li v-for="one in shown.proposal.left" :key="one.piece" class="left">
          ▲ <strong>{{ one.title }}</strong> has no place: {{ one.because }}
        </li>
      </ul>
      <div v-if="shown.proposal.left.length" class="missing" data-test="missing">
        <button
          v-if="!additions"
          type="button"
          class="to"
          :disabled="asked"
          data-test="look-missing"
          @click="lookForMissing"
        >
          {{ asked ? 'trying changes …' : 'What would make the rest fit?' }}
        </button>
        <p v-else-if="!additions.length">
          No other mode and no one more controller makes more fit; see what is in the way of each.
        </p>
        <p v-for="one in additions" :key="one.told">
          {{ one.told }}: {{ counted(one.fit, 'piece') }} more
          {{ one.left ? `, ${one.left} still left` : ', and all fits' }}
          <button type="button" class="to" data-test="make-missing" @click="display.edit(one.edit)">
            do it
          </button>
        </p>
      </div>
      <div v-if="patching.preview && edit" class="would quiet">
        <span v-for="line in outcome(patching.preview).slice(0, 4)" :key="line">{{ line }}</span>
      </div>
    </div>
    <p class="acts">
      <v-btn
        size="small"
        color="primary"
        variant="flat"
        :disabled="!edit"
        data-test="take-proposal"
        @click="take"
        >Hang {{ counted(hung.length - without.size, 'piece') }}</v-btn
      >
      <v-btn size="small" variant="text" @click="emit('done')">Leave it</v-btn>
      <span class="quiet"
        >What hangs stays where it is. Nothing new that is wrong comes with it.</span
      >
    </p>
  </section>
</template>

<style scoped>
.panel {
  flex: none;
  max-height: 44%;
  overflow: auto;
  border-top: 2px solid var(--copper);
  background: rgb(var(--v-theme-surface));
  padding: 8px 16px 10px;
  font-size: 13px;
}
.aims {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
}
.aims button {
  display: grid;
  text-align: left;
  padding: 6px 14px;
  border-left: 3px solid var(--line-strong);
  font-size: 12px;
}
.aims .here {
  border-left-color: var(--copper);
  background: color-mix(in srgb, var(--copper) 12%, transparent);
}
.boxes {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  padding-top: 6px;
}
.hung {
  list-style: none;
  columns: 430px;
  padding: 6px 0;
}
.hung li {
  break-inside: avoid;
  padding: 2px 0;
  overflow-wrap: anywhere;
}
.to {
  margin: 0 8px;
  text-decoration: underline dotted var(--line-strong);
  text-underline-offset: 3px;
}
.left {
  color: rgb(var(--v-theme-error));
}
.would {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  font-size: 12px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding-top: 6px;
}
</style>
