import { onScopeDispose } from 'vue'
import { isTyping, KEYS, keyOf } from '../parts/keys'
import { useDisplay } from '../state/display'
import { useOutput } from '../state/output'

/** Undo and redo, everywhere but in a field; stopping what is lit, in a field too. */
export function useUndoKeys() {
  const display = useDisplay()
  const output = useOutput()
  const onKey = (event: KeyboardEvent) => {
    const pressed = keyOf(KEYS.everywhere, event)
    if (pressed === 'stop' && output.running) {
      event.preventDefault()
      void output.stop()
      return
    }
    if (!pressed || isTyping(event) || !display.view) {
      return
    }
    if (pressed === 'undo' && display.view.undo.undo) {
      event.preventDefault()
      void display.undo()
    } else if (pressed === 'redo' && display.view.undo.redo) {
      event.preventDefault()
      void display.redo()
    }
  }
  window.addEventListener('keydown', onKey)
  onScopeDispose(() => window.removeEventListener('keydown', onKey))
}
