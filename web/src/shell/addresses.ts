import { watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDisplay } from '../state/display'
import { places, type PlaceName } from './places'

/** The place that a route is at, or that it names. */
function placeOf(name: unknown, named: unknown): PlaceName {
  return places.find((place) => place.name === name || place.name === named)?.name ?? 'overview'
}

/** Keeps the page's address and the display that is open together, whichever changes first. */
export function useAddresses() {
  const display = useDisplay()
  const route = useRoute()
  const router = useRouter()

  watch(
    () => display.view?.id,
    (id) => {
      if (id && route.params.display !== id) {
        const name = placeOf(route.name, route.params.place)
        const to = { name, params: { display: id } }
        void (route.name === 'start' ? router.replace(to) : router.push(to))
      }
    },
  )
  watch(
    () => route.params.display as string | undefined,
    (id) => {
      if (id && display.view && id !== display.view.id) {
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
