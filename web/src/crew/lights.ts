import { ref } from 'vue'
import { OutOfReach, reach } from './reach'
import type { PatternKind } from './types'

/** A word at least so often (ms): without one the light ends after five seconds. */
const WORD = 1_500
/** The same of what switches: without one it is safe after a second. */
const HELD_WORD = 300

export interface Light {
  piece: string
  kind: PatternKind
  from?: number
  to?: number
  armed?: boolean
}

/** What this phone lights now. */
export const lit = ref<Light>()
/** Why it is dark, where it should not be. */
export const unlit = ref('')
export const held = ref<string>()
let timer = 0
let holding = 0

async function word() {
  window.clearTimeout(timer)
  const light = lit.value
  if (!light) {
    return
  }
  try {
    const answer = await reach.light(light)
    unlit.value = answer.pieces
      ? ''
      : 'Nothing of it is sent to: its controller plays by itself, or it hangs on none.'
  } catch (error) {
    unlit.value =
      error instanceof OutOfReach
        ? 'The phone is out of reach: it goes dark after five seconds.'
        : error instanceof Error
          ? error.message
          : String(error)
  }
  if (lit.value === light) {
    timer = window.setTimeout(() => void word(), WORD)
  }
}

export function light(wanted: Light) {
  lit.value = wanted
  return word()
}

export async function dark() {
  window.clearTimeout(timer)
  lit.value = undefined
  unlit.value = ''
  await reach.dark().catch(() => undefined)
}

export async function stopAll() {
  await dark()
  await reach.stopAll().catch((error: Error) => (unlit.value = error.message))
}

async function holdWord(piece: string) {
  if (held.value !== piece) {
    return
  }
  try {
    await reach.hold(piece, true)
    unlit.value = ''
  } catch (error) {
    unlit.value = error instanceof Error ? error.message : String(error)
  }
  if (held.value === piece) {
    holding = window.setTimeout(() => void holdWord(piece), HELD_WORD)
  }
}

/** Switched while the thumb is on it. */
export function hold(piece: string) {
  held.value = piece
  void holdWord(piece)
}

export function letGo() {
  const piece = held.value
  held.value = undefined
  window.clearTimeout(holding)
  if (piece) {
    void reach.hold(piece, false).catch(() => undefined)
  }
}
