import { onScopeDispose, ref, type Ref, watch } from 'vue'
import { api } from '../../api/client'
import { placesOf } from '../../ribbon/geometry'
import { foundSpot } from '../../shell/veryPixel'
import { useDisplay } from '../../state/display'

/** So long the pointer rests before it is asked (ms). */
const REST = 120

/**
 * The very pixel under the pointer, with every address that it answers to, in words; empty where
 * none is. By keys the finder tells it: "K1-7 pixel 88".
 *
 * @param scale screen pixels for one pixel of the wire
 */
export function usePointedPixel(scale: Ref<number>) {
  const display = useDisplay()
  const told = ref('')
  let resting = 0
  let asking: AbortController | undefined
  let at = ''

  function forget() {
    window.clearTimeout(resting)
    asking?.abort()
    at = ''
    told.value = ''
  }

  function point(event: MouseEvent) {
    const wire = (event.target as Element).closest<HTMLElement>('[data-wire]')
    const key = wire?.closest<HTMLElement>('[data-lane]')?.dataset.lane
    const lane = key === undefined ? undefined : display.laneByPort.get(key)
    const pixel = wire
      ? Math.floor((event.clientX - wire.getBoundingClientRect().left) / scale.value) + 1
      : 0
    if (!lane || lane.port.kind !== 'PIXEL' || pixel < 1 || pixel > placesOf(lane)) {
      forget()
      return
    }
    if (at === `${key} ${pixel}` || event.buttons) {
      return // something is being dragged, or it is told already
    }
    forget()
    at = `${key} ${pixel}`
    resting = window.setTimeout(async () => {
      const mine = (asking = new AbortController())
      try {
        const spots = await api.locate(display.view!.id, { ...lane.port, pixel }, mine.signal)
        const found = spots[0] && foundSpot(spots[0])
        if (mine === asking && found) {
          told.value = `${found.title} · ${found.detail}`
        }
      } catch {
        // it was left, or cannot be told; nothing depends on it
      }
    }, REST)
  }

  watch(() => display.view?.version, forget)
  onScopeDispose(forget)
  return { told, point, forget }
}
