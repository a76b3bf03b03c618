import { inject, watch, type InjectionKey, type Ref } from 'vue'

/** What went wrong last, if anything; the application provides it. */
export const REFUSALS: InjectionKey<Ref<unknown>> = Symbol('refusals')

/** Says something in the line at the foot of the window; the application provides it. */
export const TELL: InjectionKey<(text: string) => void> = Symbol('tell')

/** Does something whenever an edit was refused: what is shown has to be what is. */
export function onRefusal(then: () => void) {
  const refused = inject(REFUSALS, undefined)
  if (refused) {
    watch(refused, (now) => now !== undefined && then())
  }
}

/** Which version of the display is shown: a new one answers what was asked. */
export const ANSWERS: InjectionKey<Ref<number | undefined>> = Symbol('answers')

/** Does something once what was asked has been answered, also where the answer changed nothing here. */
export function onAnswer(then: () => void) {
  const answers = inject(ANSWERS, undefined)
  if (answers) {
    watch(answers, then)
  }
}

/**
 * Tells what an edit would do while its value is being typed: what is handed over makes the edit, and
 * is only looked at. Nothing ends it. The application provides it.
 */
export const FORECAST: InjectionKey<(ask?: () => void) => void> = Symbol('forecast')
