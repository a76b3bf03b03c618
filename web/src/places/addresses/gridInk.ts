import type { Ref } from 'vue'
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
    const style = getComputedStyle(canvas.value!)
    const read = (name: string) => style.getPropertyValue(name).trim()
    const rgb = (name: string) => `rgb(${read(`--v-theme-${name}`)})`
    const text = read('--v-theme-on-surface')
    const zones = new Map<string, string>()
    view!.zones.forEach((zone, i) => zones.set(zone.id, read(`--zone-${i % 8}`)))
    const none = read('--zone-none')
    return {
      text: `rgb(${text})`,
      quiet: `rgba(${text}, 0.68)`,
      line: `rgba(${text}, 0.28)`,
      ground: shell.dark ? '#181614' : '#fffdf8',
      free: `rgba(${text}, 0.07)`,
      fault: rgb('error'),
      copper: rgb('primary'),
      colourOf: (piece) => {
        const zone = propOfPiece.get(piece)?.prop.zone
        return (zone && zones.get(zone)) ?? none
      },
      tagOf: (place) => view!.controllers[place]?.controller.tag ?? '',
    }
  }
}
