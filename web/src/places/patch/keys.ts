import { ref, type Ref } from 'vue'
import type { LaneView } from '../../api/types'
import { isTyping, KEYS, keyOf } from '../../parts/keys'
import { portKey, useDisplay } from '../../state/display'
import { usePatching } from '../../state/patching'

/** Where the keyboard stands: a lane, and a leg of it or its free end. */
export interface Cell {
  lane: string
  index: number
}

/**
 * Everything in Patch without a mouse.
 *
 * @param lanes those that can be walked to, in order
 * @param go brings a cell into view and focuses it
 */
export function usePatchKeys(lanes: Ref<LaneView[]>, go: (cell: Cell) => void) {
  const display = useDisplay()
  const patching = usePatching()
  const cell = ref<Cell>()

  function laneIndex(): number {
    return lanes.value.findIndex((lane) => portKey(lane.port) === cell.value?.lane)
  }

  /** A leg that was moved keeps the focus, and with it the keyboard, before the edit is answered. */
  function standWhereFocusIs(focused: HTMLElement) {
    const at = focused.closest<HTMLElement>('[data-cell]')
    const lane = focused.closest<HTMLElement>('[data-lane]')
    if (at && lane) {
      cell.value = { lane: lane.dataset.lane!, index: Number(at.dataset.cell) }
    }
  }

  function onKey(event: KeyboardEvent) {
    if (isTyping(event)) {
      return
    }
    standWhereFocusIs(event.target as HTMLElement)
    const lane = lanes.value[laneIndex()]
    if (!lane || !cell.value) {
      return
    }
    const piece = lane.legs[cell.value.index]?.piece
    if (act(event, lane, piece)) {
      event.preventDefault()
      event.stopPropagation()
    }
  }

  function act(event: KeyboardEvent, lane: LaneView, piece?: string): boolean {
    switch (keyOf(KEYS.patch, event)) {
      case 'left':
        return stand(lane, cell.value!.index - 1, event.shiftKey)
      case 'right':
        return stand(lane, cell.value!.index + 1, event.shiftKey)
      case 'up':
        return stand(lanes.value[laneIndex() - 1], cell.value!.index, event.shiftKey)
      case 'down':
        return stand(lanes.value[laneIndex() + 1], cell.value!.index, event.shiftKey)
      case 'first':
        return stand(lane, 0, false)
      case 'last':
        return stand(lane, lane.legs.length, false)
      case 'moveLeft':
        return moveAlong(lane, -1, piece)
      case 'moveRight':
        return moveAlong(lane, 1, piece)
      case 'moveUp':
        return moveAcross(-1, piece)
      case 'moveDown':
        return moveAcross(1, piece)
      case 'cut':
        return cut(piece)
      case 'paste':
        return paste(lane, piece)
      case 'all':
        patching.selected = lane.legs.map((leg) => leg.piece)
        return true
      case 'take':
        patching.select(piece, true)
        return true
      case 'open':
        if (piece) {
          patching.select(piece)
          patching.glass = patching.glass === piece ? undefined : piece
        }
        return piece !== undefined
      case 'letGo':
        patching.cut = []
        patching.glass = undefined
        patching.select(undefined)
        return true
      case 'mirror':
        return mirror()
      case 'remove':
        return unpatch(piece)
      default:
        return false
    }
  }

  function stand(lane: LaneView | undefined, index: number, extend: boolean): boolean {
    if (!lane) {
      return true
    }
    const at = Math.max(0, Math.min(index, lane.legs.length))
    cell.value = { lane: portKey(lane.port), index: at }
    const piece = lane.legs[at]?.piece
    if (extend && piece && !patching.selected.includes(piece)) {
      patching.select(piece, true)
    } else if (!extend) {
      patching.select(piece)
      if (patching.glass) {
        patching.glass = piece
      }
    }
    go(cell.value)
    return true
  }

  /** What moves: all that are selected on this wire, where the one that is stood on is among them. */
  function together(lane: LaneView, piece: string): string[] {
    const selected = new Set(patching.selected)
    return selected.has(piece)
      ? lane.legs.map((leg) => leg.piece).filter((one) => selected.has(one))
      : [piece]
  }

  /** Another place on its wire. */
  function moveAlong(lane: LaneView, by: number, piece?: string): boolean {
    if (!piece) {
      return false
    }
    const pieces = together(lane, piece)
    const places = pieces.map((one) => lane.legs.findIndex((leg) => leg.piece === one))
    const to = by < 0 ? Math.min(...places) - 1 : Math.max(...places) + 1
    if (to >= 0 && to < lane.legs.length) {
      // before the leg that comes after the new place
      const next = lane.legs[by < 0 ? to : to + 1]?.piece
      void follow(piece, patching.patch(pieces, { port: lane.port, before: next }), pieces)
    }
    return true
  }

  /** The next port that takes them. */
  function moveAcross(by: number, piece?: string): boolean {
    if (!piece) {
      return false
    }
    const pieces = together(lanes.value[laneIndex()], piece)
    let other = laneIndex() + by
    while (lanes.value[other] && !usable(lanes.value[other], pieces)) {
      other += by
    }
    const to = lanes.value[other]
    if (to) {
      const next = to.legs[cell.value!.index]?.piece
      void follow(piece, patching.patch(pieces, { port: to.port, before: next }), pieces)
    }
    return true
  }

  function usable(lane: LaneView, pieces: string[]): boolean {
    return lane.present && patching.fits(pieces, lane.port.kind)
  }

  function cut(piece?: string): boolean {
    if (piece || patching.selected.length) {
      patching.cut = patching.selected.length ? [...patching.selected] : [piece!]
    }
    return patching.cut.length > 0
  }

  function paste(lane: LaneView, piece?: string): boolean {
    const pieces = patching.cut
    if (pieces.length) {
      patching.cut = []
      const target = { port: lane.port, before: pieces.includes(piece ?? '') ? undefined : piece }
      void follow(pieces[0], patching.patch(pieces, target))
    }
    return pieces.length > 0
  }

  /** All that are selected show what the first of them shows. */
  function mirror(): boolean {
    const [first, ...others] = patching.selected.filter((one) => display.legs.has(one))
    if (others.length) {
      void display.edit({ type: 'SetLegs', pieces: others, set: { mirrorOf: first } })
    }
    return others.length > 0
  }

  function unpatch(piece?: string): boolean {
    const pieces = patching.selected.filter((one) => display.legs.has(one))
    if (pieces.length === 0 && piece) {
      pieces.push(piece)
    }
    if (pieces.length) {
      patching.select(undefined)
      patching.glass = undefined
      void display.edit({ type: 'UnpatchPieces', pieces }).then(() => cell.value && go(cell.value))
    }
    return true
  }

  /** Stands on a piece again once it hangs in its new place. */
  async function follow(piece: string, edit: Promise<unknown>, pieces = [piece]) {
    await edit
    const at = display.legs.get(piece)
    if (at) {
      cell.value = { lane: portKey(at.lane.port), index: at.index }
      patching.select(piece)
      patching.selected = pieces
      go(cell.value)
    }
  }

  return { cell, onKey }
}
