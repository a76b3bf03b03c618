import { watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDisplay } from '../state/display'
import { places } from './places'

/** The place that a route is at, or that it names. */
function placeOf(name: unknown, named: unknown): (typeof places)[number] {
  return places.find((place) => place.name === name || place.name === named) ?? places[0]
}

/** Keeps the page's address and the display that is open together, whichever changes first. */
export function useAddresses() {
  const display = useDisplay()
  const route = useRoute()
  const router = useRouter()

  watch(
    // an address without a display, such as one typed, is one of the display that is open
    [() => display.view?.id, () => route.name === 'start'],
    ([id]) => {
      if (id && route.params.display !== id) {
        const place = placeOf(route.name, route.params.place)
        const opens = 'opens' in place ? { [place.opens]: route.params.opened } : {}
        const to = { name: place.name, params: { display: id, ...opens } }
        void (route.name === 'start' ? router.replace(to) : router.push(to))
      }
    },
  )
  watch(
    () => route.params.display as string | undefined,
    (id) => {
      // also where none is open yet: another window may have made the first
      if (id && display.started && id !== display.view?.id) {
        void display.open(id)
      }
    },
  )

  /** Opens what the address names, else the display that was open last. */
  return async () => {
    await router.isReady()
    await display.start(route.params.display as string | undefined)
  }
}
