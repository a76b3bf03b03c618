import { onScopeDispose } from 'vue'
import { useDisplay } from '../state/display'

/** Whether a key belongs to a field that is being typed in. */
export function isTyping(event: KeyboardEvent): boolean {
  const at = event.target as HTMLElement | null
  const field = at?.closest('input, textarea, select, [contenteditable]')
  return !!field && !field.matches('[type=checkbox], [type=range], [type=file]')
}

/** Ctrl+Z undoes, Ctrl+Shift+Z and Ctrl+Y redo, everywhere but in a field. */
export function useUndoKeys() {
  const display = useDisplay()
  const onKey = (event: KeyboardEvent) => {
    if (!(event.ctrlKey || event.metaKey) || isTyping(event) || !display.view) {
      return
    }
    const key = event.key.toLowerCase()
    if (key === 'z' && !event.shiftKey && display.view.undo.undo) {
      event.preventDefault()
      void display.undo()
    } else if ((key === 'y' || (key === 'z' && event.shiftKey)) && display.view.undo.redo) {
      event.preventDefault()
      void display.redo()
    }
  }
  window.addEventListener('keydown', onKey)
  onScopeDispose(() => window.removeEventListener('keydown', onKey))
}
