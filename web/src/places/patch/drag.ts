import { onScopeDispose, ref, type Ref } from 'vue'
import type { LaneView } from '../../api/types'
import { stretches } from '../../ribbon/geometry'
import { useDisplay } from '../../state/display'
import { usePatching, type Target } from '../../state/patching'
import { LABEL } from './scale'

/** Near the upper or lower edge of the lanes they scroll by themselves: how near (px), how fast. */
const EDGE = 14
const SPEED = 10

/** How far the pointer has to go before a press becomes a drag (px). */
const THRESHOLD = 4

/**
 * Dragging pieces: from the tray or a lane, onto a lane or back to the tray. The target is worked out
 * from the plan and not from what is drawn, since the ghost moves what is drawn.
 */
export function useDrag(scale: Ref<number>, scroller: Ref<HTMLElement | undefined>) {
  const display = useDisplay()
  const patching = usePatching()
  const at = ref({ x: 0, y: 0 })
  const overTray = ref(false)
  let pressed: { x: number; y: number; pieces: string[] } | undefined
  /** Whether the pointer has been away from the edges of the lanes since the drag began. */
  let inside = false
  /** A click follows the release of a drag, and is not meant. */
  let justDragged = false

  function press(event: PointerEvent, piece: string) {
    if (event.button !== 0 || event.shiftKey || event.ctrlKey) {
      return
    }
    const pieces = patching.selected.includes(piece) ? [...patching.selected] : [piece]
    pressed = { x: event.clientX, y: event.clientY, pieces }
    justDragged = false
    inside = false
    window.addEventListener('pointermove', move)
    window.addEventListener('pointerup', release)
    window.addEventListener('pointercancel', stop)
    window.addEventListener('keydown', escape)
  }

  function move(event: PointerEvent) {
    at.value = { x: event.clientX, y: event.clientY }
    const far = Math.hypot(event.clientX - pressed!.x, event.clientY - pressed!.y)
    if (patching.dragged.length === 0 && far > THRESHOLD) {
      patching.dragged = pressed!.pieces
      requestAnimationFrame(scrollAtEdge)
    }
    if (patching.dragged.length > 0) {
      const under = document.elementsFromPoint(event.clientX, event.clientY)
      overTray.value = under.some((element) => element.closest('[data-tray]'))
      void patching.aim(overTray.value ? undefined : targetAt(under, event.clientX))
    }
  }

  function scrollAtEdge() {
    const element = scroller.value
    if (!element || patching.dragged.length === 0) {
      return
    }
    const box = element.getBoundingClientRect()
    const { x, y } = at.value
    // coming in over the edge is no wish to scroll: one has been inside, and goes back to it
    inside ||= x > box.left && y > box.top + EDGE && y < box.bottom - EDGE
    if (!inside) {
      requestAnimationFrame(scrollAtEdge)
      return
    }
    if (x > box.left && y > box.top - EDGE && y < box.top + EDGE) {
      element.scrollTop -= SPEED
    } else if (x > box.left && y > box.bottom - EDGE && y < box.bottom) {
      element.scrollTop += SPEED
    }
    requestAnimationFrame(scrollAtEdge)
  }

  function targetAt(under: Element[], x: number): Target | undefined {
    const head = under
      .map((element) => element.closest<HTMLElement>('[data-controller]'))
      .find(Boolean)
    const bank = under.map((element) => element.closest<HTMLElement>('[data-bank]')).find(Boolean)
    if (bank) {
      const controller = bank.dataset.bank!
      return { controller, from: firstFree(controller, Number(bank.dataset.from)) }
    }
    if (head) {
      return { controller: head.dataset.controller! }
    }
    const row = under.map((element) => element.closest<HTMLElement>('[data-lane]')).find(Boolean)
    const lane = row && display.laneByPort.get(row.dataset.lane!)
    if (!lane || !lane.present || !patching.fits(patching.dragged, lane.port.kind)) {
      return undefined
    }
    // also a row that flies by, while the lanes scroll under what is carried
    const left = row.getBoundingClientRect().left + LABEL
    return { port: lane.port, before: before(lane, (x - left) / scale.value) }
  }

  /** The first port of a bank that nothing hangs on, else its first. */
  function firstFree(controller: string, from: number): number {
    const lanes = display.controllerOf(controller)!.lanes
    const bank = lanes.find((lane) => lane.port.port === from && lane.bank)?.bank?.bank
    const free = lanes.find((lane) => lane.bank?.bank === bank && lane.legs.length === 0)
    return free?.port.port ?? from
  }

  /** The first leg whose middle lies beyond the pointer; the dragged ones do not count. */
  function before(lane: LaneView, place: number): string | undefined {
    return stretches(lane)
      .filter((s) => !patching.dragged.includes(s.leg.piece))
      .find((s) => s.from + s.gap + s.length / 2 > place)?.leg.piece
  }

  function release() {
    const pieces = patching.dragged
    const target = patching.target
    const wasOverTray = overTray.value
    const toTray = wasOverTray && pieces.some((piece) => display.legs.has(piece))
    justDragged = pieces.length > 0
    stop()
    if (pieces.length > 0 && target) {
      patching.select(pieces[0])
      patching.selected = pieces
      void patching.patch(pieces, target)
    } else if (toTray) {
      void display.edit({ type: 'UnpatchPieces', pieces })
    } else if (pieces.length > 0 && !wasOverTray) {
      display.said = { text: 'Nothing was hung: let go over a port that takes it', canUndo: false }
    }
  }

  function escape(event: KeyboardEvent) {
    if (event.key === 'Escape') {
      justDragged = true
      stop()
    }
  }

  function stop() {
    pressed = undefined
    overTray.value = false
    patching.endDrag()
    window.removeEventListener('pointermove', move)
    window.removeEventListener('pointerup', release)
    window.removeEventListener('pointercancel', stop)
    window.removeEventListener('keydown', escape)
  }

  /** Whether the click that is being handled ends a drag. */
  function clickIsMeant(): boolean {
    const meant = !justDragged
    justDragged = false
    return meant
  }

  onScopeDispose(stop)
  return { at, overTray, press, clickIsMeant }
}
