import { inject, onScopeDispose, ref, watch, type Ref } from 'vue'
import { FORECAST, onAnswer, onRefusal, TELL } from './refusals'

/** A field's text between what is and what somebody types. */
export interface Typing {
  /** What the field shows of what is. */
  shown: () => string
  label: () => string
  /** What is wrong with a text; empty where nothing is. */
  complaint: (typed: string) => string
  /** Asks for what was typed. */
  ask: (typed: string) => void
  /** Whether what is asked for is no edit of the plan: then nothing is told of it beforehand. */
  local?: boolean
}

/** How long somebody has to pause before it is told what the typed value would do (ms). */
const PAUSE = 250

/**
 * Enter or leaving takes what was typed, Escape gives back what is. What cannot be is told: on Enter
 * the field keeps the keyboard, on leaving it is given back what is, and holds nobody. A value that
 * changes elsewhere meanwhile is told, and takes nothing out of anybody's hands.
 */
export function useTyped(field: Ref<HTMLInputElement | undefined>, typing: Typing) {
  const text = ref('')
  const tell = inject(TELL, () => undefined)
  const forecast = inject(FORECAST, () => undefined)
  let pause: number | undefined
  /** What was asked for last, until it is answered: Enter and then leaving the field ask once. */
  let asked: string | undefined
  let touched = false

  function foresee(ask?: () => void) {
    window.clearTimeout(pause)
    if (ask) {
      pause = window.setTimeout(() => forecast(ask), PAUSE)
    } else if (touched) {
      forecast()
    }
  }
  onScopeDispose(() => foresee())
  function reset() {
    foresee()
    asked = undefined
    touched = false
    text.value = typing.shown()
    field.value?.setCustomValidity('')
  }
  watch(
    typing.shown,
    (now) => {
      if (touched && asked === undefined && document.activeElement === field.value) {
        const is = now || 'nothing'
        tell(`${typing.label()} is ${is} now: Enter sets what you typed, Escape takes ${is}`)
      } else {
        reset()
      }
    },
    { immediate: true },
  )
  onRefusal(() => asked !== undefined && reset())
  onAnswer(() => asked !== undefined && reset())

  function take(stay: boolean) {
    foresee()
    const typed = text.value.trim()
    const wrong = typing.complaint(typed)
    if (wrong && stay) {
      field.value?.setCustomValidity(wrong)
      field.value?.reportValidity()
    } else if (wrong) {
      reset()
      tell(`${typing.label()}: ${wrong}`)
    } else if (typed !== typing.shown() && typed !== asked) {
      asked = typed
      typing.ask(typed)
    }
  }
  function onInput(now: string) {
    text.value = now
    asked = undefined
    touched = true
    field.value?.setCustomValidity('')
    const typed = now.trim()
    const known = typing.local || typed === typing.shown() || typing.complaint(typed)
    foresee(known ? undefined : () => typing.ask(typed))
  }
  function cancel() {
    reset()
    field.value?.blur()
  }
  return { text, onInput, cancel, enter: () => take(true), leave: () => take(false) }
}
