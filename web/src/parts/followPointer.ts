/**
 * Follows the pointer from a press to its release, wherever it goes meanwhile.
 *
 * @param move called with every movement
 * @param end called once; dropped is false where the drag was cancelled
 */
export function followPointer(
  press: PointerEvent,
  move: (moved: PointerEvent) => void,
  end: (dropped: boolean) => void,
) {
  const target = press.currentTarget as Element & GlobalEventHandlers
  target.setPointerCapture(press.pointerId)
  const stop = (event: Event) => {
    target.removeEventListener('pointermove', move)
    target.removeEventListener('pointerup', stop)
    target.removeEventListener('pointercancel', stop)
    end(event.type === 'pointerup')
  }
  target.addEventListener('pointermove', move)
  target.addEventListener('pointerup', stop)
  target.addEventListener('pointercancel', stop)
}
