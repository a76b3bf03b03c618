import { shallowRef, watch } from 'vue'
import { useDisplay } from './display'

/** So long changes are gathered before it is asked what they mean (ms). */
const GATHER = 150

/**
 * What is known beside the plan of the display that is open, asked for anew a little after the
 * plan, or what is known beside it, has changed. An answer that fails leaves what was known.
 *
 * @param ask the server, by the id of a display
 * @param learn what else is to be done with an answer, or when another display was opened: then
 *     without one
 */
export function useBeside<T>(
  ask: (display: string) => Promise<T>,
  learn: (answer: T | undefined) => void = () => undefined,
) {
  const display = useDisplay()
  const known = shallowRef<T>()
  let timer = 0

  /** The number of the question asked last, and of that whose answer is known. */
  let asked = 0
  let heard = 0
  let changes: Promise<unknown> = Promise.resolve()

  /** Takes an answer; not of a display that was left, nor after one to a later question. */
  async function hear(id: string, asking: Promise<T | undefined>): Promise<boolean> {
    const number = ++asked
    const answer = await asking
    if (answer !== undefined && id === display.view?.id && number > heard) {
      heard = number
      known.value = answer
      learn(answer)
    }
    return answer !== undefined
  }

  async function look() {
    const id = display.view?.id
    if (id !== undefined) {
      await hear(
        id,
        ask(id).catch(() => undefined),
      )
    }
  }

  /**
   * Changes what is known, one change after the other: each answer tells of all before it.
   *
   * @returns whether it was done; a failure is shown
   */
  function change(work: (display: string) => Promise<T>): Promise<boolean> {
    const id = display.view!.id
    const done = changes.then(() =>
      hear(
        id,
        display.attempt(() => work(id)),
      ),
    )
    changes = done
    return done
  }
  watch(
    [() => display.view?.id, () => display.view?.version, () => display.besides],
    ([id], before) => {
      if (id !== before?.[0]) {
        known.value = undefined
        learn(undefined)
      }
      window.clearTimeout(timer)
      timer = window.setTimeout(() => void look(), GATHER)
    },
    { immediate: true },
  )
  return { known, look, change }
}
