<script setup lang="ts">
import { computed, nextTick, onScopeDispose, ref, shallowRef } from 'vue'
import { api } from '../api/client'
import type { Question, Term, Why } from '../api/types'
import { isTyping, KEYS, keyOf } from '../parts/keys'
import { numbersAt, questionOf, whyPiece } from '../parts/why'
import { useDisplay } from '../state/display'
import { usePatching } from '../state/patching'
import { useGoThere } from './goThere'

/** Why a number is what it is: its sum, in a small sheet beside it. */
const WIDTH = 420
const GAP = 6

const display = useDisplay()
const patching = usePatching()
const goThere = useGoThere()
const sheet = ref<HTMLElement>()
const asked = shallowRef<Question[]>([])
const answers = shallowRef<Why[]>()
const place = ref({ left: '0', top: '0' })
/** Numbers that W walks through, and where it is. */
let round: Element[] = []
let back: HTMLElement | null = null
const open = computed(() => asked.value.length > 0)

function put(beside: DOMRect) {
  const height = sheet.value?.offsetHeight ?? 260
  const under = beside.bottom + GAP + height < window.innerHeight
  const top = under ? beside.bottom + GAP : Math.max(GAP, beside.top - GAP - height)
  const left = Math.max(GAP, Math.min(beside.left, window.innerWidth - WIDTH - GAP))
  place.value = { left: `${left}px`, top: `${top}px` }
}

async function ask(question: Question, beside?: Element) {
  asked.value = [...asked.value, question]
  answers.value = undefined
  const rect = beside?.getBoundingClientRect()
  try {
    const told = await api.why(display.view!.id, question)
    if (asked.value.at(-1) === question) {
      answers.value = told
    }
  } catch {
    answers.value = []
  }
  await nextTick()
  if (rect) {
    put(rect)
  }
}
function begin(question: Question, beside: Element) {
  if (!open.value) {
    back = document.activeElement as HTMLElement | null
  }
  asked.value = []
  void ask(question, beside).then(() => sheet.value?.focus({ preventScroll: true }))
}
function leave() {
  asked.value = []
  round = []
  back?.focus({ preventScroll: true })
}
function before() {
  const [question] = asked.value.slice(-2)
  asked.value = asked.value.slice(0, -2)
  void ask(question)
}
async function go(term: Term) {
  leave()
  await goThere(term.setAt!)
}

function onClick(event: MouseEvent) {
  const target = event.target as Element
  const number = target.closest('[data-why]')
  const question = questionOf(number)
  if (question && number) {
    event.preventDefault()
    event.stopPropagation()
    begin(question, number)
  } else if (open.value && !sheet.value?.contains(target)) {
    leave()
  }
}
function onKey(event: KeyboardEvent) {
  if (event.key === 'Escape' && open.value) {
    event.stopPropagation()
    leave()
    return
  }
  if (keyOf(KEYS.everywhere, event) !== 'why' || isTyping(event)) {
    return
  }
  const pointed = [...document.querySelectorAll('[data-why]:hover')].at(-1) ?? null
  const from = open.value ? back : document.activeElement
  const numbers = round.length && open.value ? round : numbersAt(from, pointed)
  const leg = patching.selected[0]
  if (numbers.length) {
    const next = round.length && open.value ? [...numbers.slice(1), numbers[0]] : numbers
    event.preventDefault()
    begin(questionOf(next[0])!, next[0])
    round = next
  } else if (leg && display.legs.has(leg)) {
    const ribbon = document.querySelector(`[data-lane] [data-piece='${CSS.escape(leg)}']`)
    event.preventDefault()
    begin(JSON.parse(whyPiece('START', leg)) as Question, ribbon ?? document.activeElement!)
  }
}
window.addEventListener('click', onClick, { capture: true })
window.addEventListener('keydown', onKey, { capture: true })
onScopeDispose(() => {
  window.removeEventListener('click', onClick, { capture: true })
  window.removeEventListener('keydown', onKey, { capture: true })
})

/** Whole numbers whole, currents and volts with what decides. */
function amount(one: Why, number: number): string {
  const decimals = { A: 2, V: 2, 'Mbit/s': 2, m: 1, µs: 1, W: 1 }[one.unit] ?? 0
  return number.toLocaleString('en', {
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
  })
}
/** Units that are said; places are only counted. */
const UNITS = new Set(['A', 'V', 'W', 'm', 'µs', 'Mbit/s'])
const FOLDS = { SUM: 'in all', LEAST: 'the least counts', GREATEST: 'the most counts' }
</script>

<template>
  <aside
    v-if="open"
    ref="sheet"
    class="why"
    role="dialog"
    aria-label="Why"
    tabindex="-1"
    :style="{ ...place, width: `${WIDTH}px` }"
    data-test="why"
  >
    <div class="bar">
      <button v-if="asked.length > 1" type="button" class="link" @click="before">← back</button>
      <button type="button" class="link end" aria-label="Close" @click="leave">✕</button>
    </div>
    <p v-if="!answers" class="quiet">Adding it up …</p>
    <p v-else-if="answers.length === 0" class="quiet">
      There is no such number: nothing hangs there, or it could not be laid.
    </p>
    <section v-for="one in answers" :key="one.of" data-test="why-number">
      <h2>
        {{ one.of }} <span class="mono is">{{ one.written }}</span>
      </h2>
      <table>
        <caption class="sr">
          {{
            one.rule
          }}
        </caption>
        <tbody>
          <tr v-for="(term, i) in one.terms" :key="i">
            <th scope="row">
              {{ term.label }}
              <span v-if="term.note" class="quiet note">{{ term.note }}</span>
            </th>
            <td class="mono">{{ amount(one, term.amount) }}</td>
            <td class="acts">
              <button
                v-if="term.from"
                type="button"
                class="link"
                :aria-label="`Why: ${term.label}`"
                @click="ask(term.from)"
              >
                why?
              </button>
              <button
                v-if="term.setAt"
                type="button"
                class="link"
                :aria-label="`Go to ${term.label}`"
                @click="go(term)"
              >
                go
              </button>
            </td>
          </tr>
          <tr class="sum">
            <th scope="row">{{ FOLDS[one.fold] }}</th>
            <td class="mono">
              {{ amount(one, one.value) }}{{ UNITS.has(one.unit) ? ` ${one.unit}` : '' }}
            </td>
            <td></td>
          </tr>
        </tbody>
      </table>
      <p class="quiet rule">{{ one.rule }}</p>
    </section>
  </aside>
</template>

<style scoped>
.why {
  position: fixed;
  z-index: 60;
  max-height: min(70vh, 560px);
  overflow: auto;
  padding: 6px 14px 12px;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line-strong);
  border-left: 4px solid var(--copper);
  border-radius: 4px;
  box-shadow: 0 8px 28px rgba(0, 0, 0, 0.22);
  font-size: 12.5px;
}
.why:focus-visible {
  outline: none;
}
.bar {
  display: flex;
  min-height: 20px;
}
.end {
  margin-left: auto;
}
section + section {
  margin-top: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
h2 {
  font-size: 13px;
  font-weight: 500;
  display: flex;
  justify-content: space-between;
  gap: 12px;
}
.is {
  color: var(--copper);
  white-space: nowrap;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin-top: 4px;
}
th {
  text-align: left;
  font-weight: 400;
  padding: 2px 0;
}
td {
  text-align: right;
  padding: 2px 0 2px 10px;
  white-space: nowrap;
  vertical-align: top;
}
.acts {
  width: 74px;
}
.sum th,
.sum td {
  border-top: 1px solid var(--line-strong);
  font-weight: 500;
}
.note {
  display: block;
  font-size: 11.5px;
}
.rule {
  margin-top: 4px;
  font-size: 11.5px;
}
.link {
  color: var(--copper);
  font-size: 12px;
  padding: 0 2px;
}
.link:hover {
  text-decoration: underline;
}
.sr {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
</style>
