import { defineStore } from 'pinia'
import { computed, reactive, ref, shallowRef } from 'vue'
import { api } from '../api/client'
import type { Edit, LaneView, PortRef, Preview } from '../api/types'
import { portKey, useDisplay } from './display'

/** Where dragged or cut pieces would be hung. */
export type Target = OnPort | AcrossPorts

/** One after another on one port. */
export interface OnPort {
  port: PortRef
  /** The piece before which they go; undefined: at the end. */
  before?: string
}

/** One a port over consecutive free ports of a controller. */
export interface AcrossPorts {
  controller: string
  /** The port to begin at; left out: the first that has room behind it. */
  from?: number
}

export function isAcross(target: Target): target is AcrossPorts {
  return 'controller' in target
}

function targetKey(target?: Target): string {
  if (!target) {
    return ''
  }
  return isAcross(target)
    ? `across ${target.controller} ${target.from ?? ''}`
    : `${portKey(target.port)} ${target.before ?? ''}`
}

/** What is selected, dragged or cut in Patch, and what letting go would do. */
export const usePatching = defineStore('patching', () => {
  const display = useDisplay()
  /** Selected pieces, in the order they were selected. */
  const selected = ref<string[]>([])
  /** The piece whose leg lies under the glass. */
  const glass = ref<string>()
  /** The leg or span that is pointed at. */
  const pointed = ref<string>()
  /** Pieces that were cut and wait to be pasted. */
  const cut = ref<string[]>([])
  /** What Patch is to bring into view: piece:…, port:… or controller:… */
  const reveal = ref<string>()
  /** Controllers whose ports are folded away. */
  const folded = reactive(new Set<string>())
  const dragged = ref<string[]>([])
  const target = shallowRef<Target>()
  const preview = shallowRef<Preview>()
  let asking: AbortController | undefined

  const previewLanes = computed(
    () => new Map<string, LaneView>(preview.value?.lanes.map((lane) => [portKey(lane.port), lane])),
  )

  /** Mirrors by what they show. */
  const mirrors = computed(() => {
    const map = new Map<string, string[]>()
    for (const lane of display.lanes) {
      for (const { piece, mirrorOf } of lane.legs) {
        if (mirrorOf) {
          map.set(mirrorOf, [...(map.get(mirrorOf) ?? []), piece])
        }
      }
    }
    return map
  })
  /** What shows the same as the piece that is pointed at or chosen; empty where nothing does. */
  const tied = computed(() => {
    const piece = pointed.value ?? selected.value[0]
    const root = (piece && display.legs.get(piece)?.leg.mirrorOf) ?? piece
    const others = root ? mirrors.value.get(root) : undefined
    return new Set(others && root ? [root, ...others] : [])
  })

  function select(piece: string | undefined, extend = false) {
    if (piece === undefined) {
      selected.value = []
    } else if (!extend) {
      selected.value = [piece]
    } else if (selected.value.includes(piece)) {
      selected.value = selected.value.filter((other) => other !== piece)
    } else {
      selected.value = [...selected.value, piece]
    }
  }

  /** Whether all pieces hang on this kind of port. */
  function fits(pieces: string[], kind: PortRef['kind']): boolean {
    const wanted = {
      string: 'PIXEL',
      circuit: 'RELAY',
      fixture: 'DMX',
      decoder: 'DMX',
      wall: 'PANEL',
      dimmer: 'SERIAL',
    }
    return pieces.every((id) => {
      const piece = display.pieces.get(id)
      return piece !== undefined && wanted[piece.piece.kind] === kind
    })
  }

  /** Points a drag at a place; the ghost follows with the server's numbers. */
  async function aim(at: Target | undefined) {
    if (targetKey(at) === targetKey(target.value)) {
      return
    }
    target.value = at
    asking?.abort()
    if (!at || !display.view) {
      preview.value = undefined
      return
    }
    asking = new AbortController()
    const mine = asking
    try {
      const answer = await api.preview(display.view.id, patchEdit(dragged.value, at), mine.signal)
      if (asking === mine && target.value === at) {
        preview.value = answer
      }
    } catch {
      // moved on, or refused: then there is nothing to show, and letting go says why
      if (asking === mine) {
        preview.value = undefined
      }
    }
  }

  /** Pieces that a proposal would hang: ghosts on their ports, as long as it is looked at. */
  const arranged = ref<string[]>([])

  /** Shows what a proposal would do, or nothing any more. */
  async function propose(edit: Edit | undefined, pieces: string[]) {
    asking?.abort()
    arranged.value = edit ? pieces : []
    if (!edit || !display.view) {
      preview.value = undefined
      return
    }
    const mine = (asking = new AbortController())
    const answer = await api.preview(display.view.id, edit, mine.signal).catch(() => undefined)
    if (asking === mine) {
      preview.value = answer
    }
  }

  function patchEdit(pieces: string[], at: Target): Edit {
    if (isAcross(at)) {
      return { type: 'PatchAcross', pieces, controller: at.controller, from: at.from }
    }
    return { type: 'PatchPieces', pieces, port: at.port, before: at.before }
  }

  function patch(pieces: string[], at: Target) {
    return display.edit(patchEdit(pieces, at))
  }

  function endDrag() {
    asking?.abort()
    dragged.value = []
    target.value = undefined
    preview.value = undefined
  }

  /** Whether what is dragged would hang on a lane. */
  function isOver(lane: LaneView): boolean {
    const aim = target.value
    if (!aim) {
      return false
    }
    const key = portKey(lane.port)
    return isAcross(aim)
      ? (previewLanes.value.get(key) ?? lane).legs.some((leg) => dragged.value.includes(leg.piece))
      : portKey(aim.port) === key
  }

  return {
    arranged,
    propose,
    isOver,
    tied,
    selected,
    glass,
    pointed,
    cut,
    reveal,
    folded,
    dragged,
    target,
    preview,
    previewLanes,
    select,
    fits,
    aim,
    patch,
    endDrag,
  }
})
