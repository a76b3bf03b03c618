import { ref, type Ref } from 'vue'
import { isTyping, KEYS, keyOf } from '../../parts/keys'

/**
 * A list of props without a mouse.
 */
export function usePropKeys(
  ids: Ref<string[]>,
  act: {
    show: (id: string) => void
    open: (id: string) => void
    remove: () => void
    enter: () => void
  },
) {
  const at = ref<string>()
  const selected = ref<string[]>([])

  function stand(id: string | undefined, extend = false) {
    if (id === undefined) {
      return
    }
    if (extend && !selected.value.includes(id)) {
      selected.value = [...selected.value, id]
    } else if (!extend) {
      selected.value = [id]
    }
    at.value = id
    act.show(id)
  }
  function toggle(id: string) {
    selected.value = selected.value.includes(id)
      ? selected.value.filter((other) => other !== id)
      : [...selected.value, id]
    at.value = id
  }
  /** Everything from where the keyboard stands to here. */
  function selectTo(id: string) {
    const from = ids.value.indexOf(at.value ?? id)
    const to = ids.value.indexOf(id)
    selected.value = ids.value.slice(Math.min(from, to), Math.max(from, to) + 1)
  }

  function onKey(event: KeyboardEvent) {
    const target = event.target as HTMLElement
    if (isTyping(event) || !target.dataset.prop) {
      return
    }
    const id = target.dataset.prop
    const index = ids.value.indexOf(id)
    const done = (() => {
      switch (keyOf(KEYS.props, event)) {
        case 'up':
          return (stand(ids.value[index - 1], event.shiftKey), true)
        case 'down':
          return (stand(ids.value[index + 1], event.shiftKey), true)
        case 'first':
          return (stand(ids.value[0]), true)
        case 'last':
          return (stand(ids.value[ids.value.length - 1]), true)
        case 'take':
          return (toggle(id), true)
        case 'open':
          return (act.open(id), true)
        case 'remove':
          return (act.remove(), true)
        case 'letGo':
          return ((selected.value = []), true)
        case 'all':
          return ((selected.value = [...ids.value]), true)
        default:
          return false
      }
    })()
    if (done) {
      event.preventDefault()
    }
  }
  /** From anywhere in the place. */
  function onPlaceKey(event: KeyboardEvent) {
    if (keyOf(KEYS.props, event) === 'enter' && !isTyping(event)) {
      event.preventDefault()
      act.enter()
    }
  }
  return { at, selected, stand, toggle, selectTo, onKey, onPlaceKey }
}
