import { computed, shallowRef, watch } from 'vue'
import { api } from '../../api/client'
import type { GridView } from '../../api/types'
import { useDisplay } from '../../state/display'
import { useHandover } from '../../state/handover'
import { matching, rowsOf } from './gridRows'
import { shadowsOf } from './gridShadows'

/**
 * The grid of the display as it is, asked for anew with each version.
 *
 * @param filter what somebody looks for
 */
export function useGridRows(filter: () => string) {
  const display = useDisplay()
  const handover = useHandover()
  const grid = shallowRef<GridView>()

  let asking: AbortController | undefined
  watch(
    [() => display.view!.id, () => display.view!.version],
    async ([id]) => {
      asking?.abort()
      const mine = (asking = new AbortController())
      try {
        const answer = await api.grid(id, mine.signal)
        if (asking === mine) {
          grid.value = answer
        }
      } catch {
        // a newer one is on its way, or Hamper does not answer, which edits tell
      }
    },
    { immediate: true },
  )

  const tagOf = (place: number) => display.view!.controllers[place]?.controller.tag
  function sourceOf(place: number): number {
    const { controllers } = display.view!
    const source = controllers[place]?.controller.settings.source
    return controllers.findIndex((view) => view.controller.id === source)
  }
  const all = computed(() => (grid.value ? rowsOf(grid.value, sourceOf) : []))
  const rows = computed(() =>
    matching(all.value, filter(), tagOf, (piece) => display.pieces.get(piece)?.title),
  )
  /** Where things stood at the milestone whose shadows are shown. */
  const shadows = computed(() => shadowsOf(all.value, handover.shadows?.addresses ?? [], tagOf))
  return { grid, all, rows, shadows }
}
