import { ref, type Ref } from 'vue'
import { isTyping, KEYS, keyOf } from '../../parts/keys'
import { range } from '../../parts/range'

/** A list of controllers without a mouse, and those of it that are changed together. */
export function useControllerKeys(
  ids: Ref<string[]>,
  act: {
    show: (id: string) => void
    open: (id: string) => void
    move: (id: string, by: number) => void
    remove: (id: string) => void
    leave: () => void
  },
) {
  const at = ref<string>()
  const chosen = ref<string[]>([])

  function stand(id: string) {
    at.value = id
    act.show(id)
  }
  function toggle(id: string) {
    chosen.value = chosen.value.includes(id)
      ? chosen.value.filter((one) => one !== id)
      : [...chosen.value, id]
  }
  /** Ctrl takes one more, or lets it go; Shift takes all up to it. */
  function choose(event: MouseEvent, id: string) {
    if (event.shiftKey) {
      chosen.value = range(ids.value, chosen.value.at(-1) ?? at.value, id)
      window.getSelection()?.removeAllRanges()
    } else if (event.ctrlKey || event.metaKey) {
      toggle(id)
    }
  }
  function walk(from: string, to: string | undefined, extend: boolean) {
    if (to === undefined) {
      return
    }
    if (extend) {
      chosen.value = [...new Set([...chosen.value, from, to])]
    }
    stand(to)
  }

  function onKey(event: KeyboardEvent, id: string) {
    if (isTyping(event) || (event.target as HTMLElement).dataset.row !== id) {
      return
    }
    const index = ids.value.indexOf(id)
    const does: Record<string, () => void> = {
      up: () => walk(id, ids.value[index - 1], event.shiftKey),
      down: () => walk(id, ids.value[index + 1], event.shiftKey),
      first: () => walk(id, ids.value[0], event.shiftKey),
      last: () => walk(id, ids.value.at(-1), event.shiftKey),
      earlier: () => act.move(id, -1),
      later: () => act.move(id, 1),
      take: () => toggle(id),
      all: () => (chosen.value = [...ids.value]),
      open: () => act.open(id),
      remove: () => act.remove(id),
      letGo: () => ((chosen.value = []), act.leave()),
    }
    const pressed = keyOf(KEYS.controllers, event)
    if (pressed) {
      does[pressed]()
      event.preventDefault()
    }
  }
  return { at, chosen, stand, choose, onKey }
}
