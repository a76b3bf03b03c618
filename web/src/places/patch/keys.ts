import { ref, type Ref } from 'vue'
import type { LaneView } from '../../api/types'
import { isTyping } from '../../shell/undoKeys'
import { portKey, useDisplay } from '../../state/display'
import { usePatching } from '../../state/patching'

/** Where the keyboard stands: a lane, and a leg of it or its free end. */
export interface Cell {
  lane: string
  index: number
}

/**
 * Everything in Patch without a mouse: arrows walk, Shift extends, Alt moves the leg, Ctrl+X and
 * Ctrl+V cut and paste, Delete unpatches, Enter opens the leg under the glass, m makes mirrors of the
 * first that was selected.
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
    const done = event.altKey
      ? moveLeg(event.key, lane, piece)
      : event.ctrlKey || event.metaKey
        ? clipboard(event.key.toLowerCase(), lane, piece)
        : walkOrAct(event, lane, piece)
    if (done) {
      event.preventDefault()
      event.stopPropagation()
    }
  }

  function walkOrAct(event: KeyboardEvent, lane: LaneView, piece?: string): boolean {
    switch (event.key) {
      case 'ArrowLeft':
        return stand(lane, cell.value!.index - 1, event.shiftKey)
      case 'ArrowRight':
        return stand(lane, cell.value!.index + 1, event.shiftKey)
      case 'ArrowUp':
        return stand(lanes.value[laneIndex() - 1], cell.value!.index, event.shiftKey)
      case 'ArrowDown':
        return stand(lanes.value[laneIndex() + 1], cell.value!.index, event.shiftKey)
      case 'Home':
        return stand(lane, 0, false)
      case 'End':
        return stand(lane, lane.legs.length, false)
      case ' ':
        patching.select(piece, true)
        return true
      case 'Enter':
        if (piece) {
          patching.select(piece)
          patching.glass = patching.glass === piece ? undefined : piece
        }
        return piece !== undefined
      case 'Escape':
        patching.cut = []
        patching.glass = undefined
        patching.select(undefined)
        return true
      case 'm':
        return mirror()
      case 'Delete':
      case 'Backspace':
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

  function moveLeg(key: string, lane: LaneView, piece?: string): boolean {
    const along = { ArrowLeft: -1, ArrowRight: 1 }[key]
    const across = { ArrowUp: -1, ArrowDown: 1 }[key]
    if (!piece || (along === undefined && across === undefined)) {
      return false
    }
    const index = cell.value!.index
    if (along !== undefined) {
      const to = index + along
      if (to >= 0 && to < lane.legs.length) {
        // before the leg that comes after the new place
        const next = lane.legs[along < 0 ? to : to + 1]?.piece
        void follow(piece, patching.patch([piece], { port: lane.port, before: next }))
      }
      return true
    }
    let other = laneIndex() + across!
    while (lanes.value[other] && !usable(lanes.value[other], piece)) {
      other += across!
    }
    const to = lanes.value[other]
    if (to) {
      const next = to.legs[index]?.piece
      void follow(piece, patching.patch([piece], { port: to.port, before: next }))
    }
    return true
  }

  function usable(lane: LaneView, piece: string): boolean {
    return lane.present && patching.fits([piece], lane.port.kind)
  }

  function clipboard(key: string, lane: LaneView, piece?: string): boolean {
    if (key === 'x' && (piece || patching.selected.length)) {
      patching.cut = patching.selected.length ? [...patching.selected] : [piece!]
      return true
    }
    if (key === 'v' && patching.cut.length) {
      const pieces = patching.cut
      patching.cut = []
      const target = { port: lane.port, before: pieces.includes(piece ?? '') ? undefined : piece }
      void follow(pieces[0], patching.patch(pieces, target))
      return true
    }
    return false
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
  async function follow(piece: string, edit: Promise<unknown>) {
    await edit
    const at = display.legs.get(piece)
    if (at) {
      cell.value = { lane: portKey(at.lane.port), index: at.index }
      patching.select(piece)
      go(cell.value)
    }
  }

  return { cell, onKey }
}
