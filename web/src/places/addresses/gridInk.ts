import type { Ref } from 'vue'
import { inkAt } from '../../parts/ink'
import { useDisplay } from '../../state/display'
import { useShell } from '../../state/shell'
import type { Ink } from './drawGrid'

/** What the grid is drawn with: the colours of the theme and of zones, names of pieces and controllers. */
export function useGridInk(canvas: Ref<HTMLCanvasElement | undefined>) {
  const display = useDisplay()
  const shell = useShell()
  return (): Ink => {
    // once for all rows: through the store each of thousands of stretches would ask for them
    const { propOfPiece, view } = display
    const { theme, colour } = inkAt(canvas.value!)
    const zones = new Map(view!.zones.map(({ id }) => [id, colour(display.zoneColour(id))]))
    const none = colour(display.zoneColour())
    return {
      text: theme('on-surface'),
      quiet: theme('on-surface', 0.68),
      line: theme('on-surface', 0.28),
      ground: shell.dark ? '#181614' : '#fffdf8',
      free: theme('on-surface', 0.07),
      fault: theme('error'),
      copper: theme('primary'),
      colourOf: (piece) => {
        const zone = propOfPiece.get(piece)?.prop.zone
        return (zone && zones.get(zone)) ?? none
      },
      tagOf: (place) => view!.controllers[place]?.controller.tag ?? '',
    }
  }
}
