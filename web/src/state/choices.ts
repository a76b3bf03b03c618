import { computed, type Ref } from 'vue'
import type { DisplayView } from '../api/types'

const named = ({ id, name }: { id: string; name: string }) => ({ value: id, title: name })

/** What a field may be set to, of what is in a display: made once for all rows that have the field. */
export function choicesOf(view: Ref<DisplayView | undefined>) {
  return {
    hostChoices: computed(() =>
      (view.value?.controllers ?? [])
        .filter((one) => one.host)
        .map(({ controller: { id, tag } }) => ({ value: id, title: tag })),
    ),
    zoneChoices: computed(() => (view.value?.zones ?? []).map(named)),
    enclosureChoices: computed(() =>
      (view.value?.network.enclosures ?? []).map(({ enclosure }) => named(enclosure)),
    ),
  }
}
