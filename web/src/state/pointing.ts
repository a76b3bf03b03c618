import { onScopeDispose, watch } from 'vue'
import { useDisplay } from './display'
import { usePatching } from './patching'

/** What one window tells the others of the same browser. */
interface Pointing {
  display: string
  pointed?: string
  chosen?: string
}

/** What is pointed at or chosen in one window is shown in every other: Addresses beside Patch. */
export function useSharedPointing() {
  if (typeof BroadcastChannel === 'undefined') {
    return
  }
  const display = useDisplay()
  const patching = usePatching()
  const channel = new BroadcastChannel('hamper.pointing')
  let heard = ''

  channel.onmessage = ({ data }: MessageEvent<Pointing>) => {
    if (data.display !== display.view?.id) {
      return
    }
    heard = JSON.stringify([data.pointed, data.chosen])
    patching.pointed = data.pointed
    if (data.chosen && !patching.selected.includes(data.chosen)) {
      patching.select(data.chosen)
      patching.reveal = `piece:${data.chosen}`
    }
  }
  watch([() => patching.pointed, () => patching.selected[0]], ([pointed, chosen]) => {
    if (display.view && JSON.stringify([pointed, chosen]) !== heard) {
      channel.postMessage({ display: display.view.id, pointed, chosen } satisfies Pointing)
    }
    heard = ''
  })
  onScopeDispose(() => channel.close())
}
