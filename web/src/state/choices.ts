import { computed, type Ref } from 'vue'
import type { DisplayView } from '../api/types'

interface Choice {
  value: string
  title: string
}
const named = ({ id, name }: { id: string; name: string }): Choice => ({ value: id, title: name })

/**
 * What a field may be set to, of what is in a display: made once for all rows that have the field,
 * and the very same while it says the same, so that a step draws no field anew that it left alone.
 */
export function choicesOf(view: Ref<DisplayView | undefined>) {
  const steady = (choices: (of: DisplayView) => Choice[]) =>
    computed((before?: Choice[]) => {
      const now = view.value ? choices(view.value) : []
      return before && isSame(before, now) ? before : now
    })
  return {
    hostChoices: steady(({ controllers }) =>
      controllers
        .filter((one) => one.host)
        .map(({ controller: { id, tag } }) => ({ value: id, title: tag })),
    ),
    zoneChoices: steady(({ zones }) => zones.map(named)),
    enclosureChoices: steady(({ network }) =>
      network.enclosures.map(({ enclosure }) => named(enclosure)),
    ),
  }
}

function isSame(some: Choice[], others: Choice[]): boolean {
  return (
    some.length === others.length &&
    some.every(({ value, title }, i) => value === others[i].value && title === others[i].title)
  )
}
