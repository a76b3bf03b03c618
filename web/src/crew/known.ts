import { computed, reactive, ref, shallowReactive, shallowRef } from 'vue'
import { name } from './reach'
import type { CrewPage, CrewYard, Moves, Right, Stage, StringAt } from './types'
import { foreseen, type Waiting } from './waiting'

/** The display as this phone knows it; what it cannot reach it remembers. */
export const yard = shallowRef<CrewYard>()
export const strings = shallowRef<StringAt[]>([])
export const pages = shallowReactive(new Map<string, CrewPage>())
export const moves = shallowRef<Moves>()
/** What was said here and is not taken yet, oldest first. */
export const waiting = ref<Waiting[]>([])
export const reached = ref(true)
/** Why nothing can be shown: the key does not open any more, or there is none. */
export const shut = ref('')
/** The version that whoever holds the phone has seen. */
export const seen = ref(0)
/** What could not be done, in a sentence. */
export const trouble = ref('')
/** The clock, for words such as "an hour ago" (ms). */
export const now = ref(Date.now())
/** The clock of the computer less that of the phone (ms). */
export const clock = ref(0)
export const hasName = ref(name.get() !== '')

/** Each string with what waits. */
export const known = computed(() => {
  const all = new Map<string, StringAt>()
  for (const one of strings.value) {
    all.set(one.piece, foreseen(one, waiting.value))
  }
  return all
})
export const moveOf = computed(
  () => new Map(moves.value?.moves.map((one) => [one.piece, one]) ?? []),
)
/** Now, by the clock of the computer (ms). */
export const there = () => now.value + clock.value
export const may = (right: Right) => yard.value?.may.includes(right) ?? false

export function setName(said: string) {
  name.set(said)
  hasName.value = name.get() !== ''
}

/** The stage that is ticked on this phone. */
export const ticking = reactive({
  stage: (localStorage.getItem('hamper.stage') ?? 'HUNG') as Stage,
})
export function tickStage(stage: Stage) {
  ticking.stage = stage
  localStorage.setItem('hamper.stage', stage)
}
