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

  async function look() {
    const id = display.view?.id
    const answer = id === undefined ? undefined : await ask(id).catch(() => undefined)
    // of a display that was left meanwhile nothing is wanted
    if (answer !== undefined && id === display.view?.id) {
      known.value = answer
      learn(answer)
    }
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
  return { known, look }
}
