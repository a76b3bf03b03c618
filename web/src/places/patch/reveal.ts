import { nextTick, watch, type Ref } from 'vue'
import { portKey, useDisplay } from '../../state/display'
import { usePatching } from '../../state/patching'
import type { Cell } from './keys'
import type { Row } from './rows'

/**
 * Brings into view what somebody was sent here for: a controller, a port or a piece.
 *
 * @param show scrolls to a row
 * @param go focuses a leg
 */
export function useReveal(
  rows: Ref<Row[]>,
  show: (index: number) => void,
  go: (cell: Cell) => Promise<void>,
) {
  const display = useDisplay()
  const patching = usePatching()

  async function reveal(wanted: string) {
    const split = wanted.indexOf(':')
    const [kind, key] = [wanted.slice(0, split), wanted.slice(split + 1)]
    const leg = kind === 'piece' ? display.legs.get(key) : undefined
    const controller =
      kind === 'controller' ? key : kind === 'port' ? key.split('|')[0] : leg?.lane.port.controller
    if (controller) {
      patching.folded.delete(controller)
    }
    await nextTick()
    if (kind === 'controller') {
      show(rows.value.findIndex((row) => row.key === `h${key}`))
    } else if (kind === 'port') {
      await go({ lane: key, index: 0 })
    } else if (leg) {
      await go({ lane: portKey(leg.lane.port), index: leg.index })
    }
  }

  watch(
    () => patching.reveal,
    (wanted) => {
      if (wanted) {
        patching.reveal = undefined
        void reveal(wanted)
      }
    },
    { immediate: true, flush: 'post' },
  )
}
