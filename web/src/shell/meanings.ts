import type { DisplayView, Edit, LaneView, PieceView } from '../api/types'
import { cutting } from '../state/cutting'
import { choices } from '../state/targets'
import type { Found } from './found'

const MOST_MEANT = 6

export function allPieces(display: DisplayView): PieceView[] {
  return display.props.flatMap((prop) => prop.pieces)
}
const now = (piece: PieceView) => (piece.written ? `now on ${piece.written}` : 'not patched')

/** Pieces that are meant by a name: those that have exactly it first. */
export function meant(display: DisplayView, what: string): PieceView[] {
  const wanted = what.toLowerCase()
  const all = allPieces(display).filter((piece) => piece.title.toLowerCase().includes(wanted))
  const exactly = all.filter((piece) => piece.title.toLowerCase() === wanted)
  return exactly.length ? exactly : all
}

function controllerOf(display: DisplayView, tag: string) {
  const wanted = tag.toLowerCase()
  return display.controllers.find(
    ({ controller }) =>
      controller.tag.toLowerCase() === wanted || controller.name.toLowerCase() === wanted,
  )
}

/** "K5-1" where K5 has ports of one kind only: nobody needs to say that they are DMX. */
function onlyPort(display: DisplayView, wanted: string): LaneView | undefined {
  const [tag, port] = wanted.split('-')
  const view = display.controllers.find((one) => one.controller.tag.toLowerCase() === tag)
  const kinds = new Set(view?.lanes.map((lane) => lane.port.kind))
  return kinds.size === 1 ? view!.lanes.find((lane) => String(lane.port.port) === port) : undefined
}

/** A port by its tag or the board's own name. */
export function laneOf(display: DisplayView, where: string): LaneView | undefined {
  const wanted = where.toLowerCase()
  const lanes = display.controllers.flatMap((view) => view.lanes)
  return (
    lanes.find((one) => one.written.toLowerCase() === wanted) ??
    lanes.find(
      (one) => one.label.toLowerCase() === wanted && one.label !== String(one.port.port),
    ) ??
    onlyPort(display, wanted)
  )
}

function found(key: string, title: string, detail: string, edit: Edit, piece?: string): Found {
  return { key, title, detail, act: { edit, piece } }
}
function whole(text: string, least: number, most: number): number | undefined {
  const number = Number(text.replace(/\s*(%|px|pixels?)$/i, ''))
  return Number.isInteger(number) && number >= least && number <= most ? number : undefined
}
const each = (
  display: DisplayView,
  name: string,
  of: (piece: PieceView) => Found | undefined,
): Found[] =>
  meant(display, name)
    .slice(0, MOST_MEANT)
    .flatMap((piece) => of(piece) ?? [])

/** Brightness of a controller, a port, or a prop: whatever is called that. */
export function brightness(display: DisplayView, [what, percent]: string[]): Found[] {
  const number = whole(percent, 0, 100)
  if (number === undefined) {
    return []
  }
  const controller = controllerOf(display, what)
  if (controller) {
    const { id, tag } = controller.controller
    return [
      found(`bright-${id}`, `${tag} brightness ${number} %`, controller.controller.name, {
        type: 'SetControllers',
        controllers: [id],
        set: { settings: { brightness: number } },
      }),
    ]
  }
  const lane = laneOf(display, what)
  if (lane) {
    return [
      found(`bright-${lane.written}`, `${lane.written} brightness ${number} %`, 'the port', {
        type: 'SetPort',
        port: lane.port,
        set: { brightness: number },
      }),
    ]
  }
  return display.props
    .filter((view) => view.prop.name.toLowerCase().includes(what.toLowerCase()))
    .slice(0, MOST_MEANT)
    .map((view) =>
      found(`bright-${view.prop.id}`, `${view.prop.name} brightness ${number} %`, 'the prop', {
        type: 'SetProps',
        props: [view.prop.id],
        set: { brightness: number },
      }),
    )
}

/** Whatever is called that, lit in Trial with the pattern that is chosen there. */
export function light(display: DisplayView, [what]: string[]): Found[] {
  const wanted = what.toLowerCase()
  const all = choices(display).filter((one) => one.title.toLowerCase().includes(wanted))
  const exactly = all.filter(
    (one) => one.title.toLowerCase() === wanted || one.title.toLowerCase().startsWith(`${wanted} `),
  )
  return [...new Set([...exactly, ...all])].slice(0, MOST_MEANT).map((one) => ({
    key: `light ${one.key}`,
    title: `Light ${one.title}`,
    detail: one.told,
    lights: one,
  }))
}

export function unpatch(display: DisplayView, [what]: string[]): Found[] {
  const lane = laneOf(display, what)
  const view = controllerOf(display, what)
  const together = lane
    ? lane.legs.map((leg) => leg.piece)
    : view?.lanes.flatMap((one) => one.legs.map((leg) => leg.piece))
  if (together?.length) {
    const title = lane?.written ?? view!.controller.tag
    return [
      found(`unpatch-${title}`, `Unpatch ${title}`, `${together.length} pieces`, {
        type: 'UnpatchPieces',
        pieces: together,
      }),
    ]
  }
  return each(display, what, (piece) =>
    piece.written
      ? found(
          `unpatch-${piece.piece.id}`,
          `Unpatch ${piece.title}`,
          now(piece),
          { type: 'UnpatchPieces', pieces: [piece.piece.id] },
          piece.piece.id,
        )
      : undefined,
  )
}

export function moveController(display: DisplayView, what: string, where: string, behind: boolean) {
  const of = (tag: string) => display.controllers.indexOf(controllerOf(display, tag)!)
  const [from, to] = [of(what), of(where)]
  if (from < 0 || to < 0 || from === to) {
    return []
  }
  const { id, tag } = display.controllers[from].controller
  const by = to - from + (behind ? 1 : 0) - (from < to ? 1 : 0)
  const other = display.controllers[to].controller.tag
  return by === 0
    ? []
    : [
        found(`move-${id}`, `${tag} ${behind ? 'after' : 'before'} ${other}`, 'in list order', {
          type: 'MoveController',
          controller: id,
          by,
        }),
      ]
}

export function nextAddress(display: DisplayView, [tag]: string[]): Found[] {
  const view = controllerOf(display, tag)
  if (!view) {
    return []
  }
  const { id, settings } = view.controller
  return display.network.lines
    .filter((line) => line.free.length > 0)
    .sort(
      (a, b) =>
        Number(b.occupants.some((one) => one.controller === id)) -
        Number(a.occupants.some((one) => one.controller === id)),
    )
    .map((line) =>
      found(
        `address-${id}-${line.subnet.id}`,
        `${view.controller.tag} gets ${line.free[0]}`,
        `${line.subnet.name}${settings.address ? `, now ${settings.address}` : ''}`,
        {
          type: 'SetControllers',
          controllers: [id],
          set: { settings: { address: line.free[0] } },
        },
      ),
    )
}

/** Of a string of one section: others are changed on their ribbon. */
export function sized(display: DisplayView, [what, count]: string[]): Found[] {
  const number = whole(count, 1, 100_000)
  return number === undefined
    ? []
    : each(display, what, (piece) =>
        piece.piece.kind === 'string' && piece.piece.sections.length === 1
          ? found(
              `sized-${piece.piece.id}`,
              `${piece.title} ${number} px`,
              `now ${piece.pixels} px`,
              {
                type: 'SetSections',
                sections: [{ piece: piece.piece.id, index: 0 }],
                set: { pixels: number },
              },
              piece.piece.id,
            )
          : undefined,
      )
}

/** Two strings of one, so that each can hang on a port of its own. */
export function cut(display: DisplayView, [what, after]: string[]): Found[] {
  return each(display, what, (piece) => {
    const number = whole(after, 1, piece.pixels - 1)
    return piece.piece.kind === 'string' && number !== undefined
      ? found(
          `cut-${piece.piece.id}`,
          `Cut ${piece.title} after pixel ${number}`,
          `${number} and ${piece.pixels - number} px`,
          cutting(display, piece.piece.id, number),
          piece.piece.id,
        )
      : undefined
  })
}

export function hold(display: DisplayView, [what, at]: string[]): Found[] {
  const start = /^(?:(\d{1,5}):)?(\d{1,8})$/.exec(at)
  return !start
    ? []
    : each(display, what, (piece) =>
        piece.written
          ? found(
              `hold-${piece.piece.id}`,
              `Hold ${piece.title} at ${at}`,
              now(piece),
              {
                type: 'SetSections',
                sections: [{ piece: piece.piece.id, index: 0 }],
                set: {
                  hold: start[1]
                    ? { universe: Number(start[1]), channel: Number(start[2]) }
                    : { channel: Number(start[2]) },
                },
              },
              piece.piece.id,
            )
          : undefined,
      )
}

export function letGo(display: DisplayView, [what]: string[]): Found[] {
  return each(display, what, (piece) => {
    const sections = piece.piece.kind === 'string' ? piece.piece.sections : []
    const held = sections.flatMap((one, index) =>
      one.hold ? [{ piece: piece.piece.id, index }] : [],
    )
    return held.length
      ? found(
          `let-go-${piece.piece.id}`,
          `Let ${piece.title} go`,
          now(piece),
          { type: 'SetSections', sections: held, set: { hold: null } } as unknown as Edit,
          piece.piece.id,
        )
      : undefined
  })
}

export function mirrorOn(display: DisplayView, [what, where]: string[]): Found[] {
  const lane = laneOf(display, where)
  const pieces = lane?.legs.map((leg) => leg.piece) ?? []
  return pieces.length === 0
    ? []
    : each(display, what, (original) =>
        original.written && !pieces.includes(original.piece.id)
          ? found(
              `mirror-on-${original.piece.id}`,
              `${lane!.written} shows what ${original.title} shows`,
              lane!.legs.map((leg) => leg.title).join(', '),
              { type: 'SetLegs', pieces, set: { mirrorOf: original.piece.id } },
              pieces[0],
            )
          : undefined,
      )
}

export function mirrors(display: DisplayView, [what, of]: string[]): Found[] {
  const originals = meant(display, of).filter((piece) => piece.written)
  return meant(display, what)
    .filter((piece) => piece.written)
    .slice(0, MOST_MEANT)
    .flatMap((piece) => asMirror(piece, originals))
}
function asMirror(piece: PieceView, originals: PieceView[]): Found[] {
  return originals
    .filter((original) => original.piece.id !== piece.piece.id)
    .map((original) =>
      found(
        `mirror-${piece.piece.id}-${original.piece.id}`,
        `${piece.title} mirrors ${original.title}`,
        now(piece),
        { type: 'SetLegs', pieces: [piece.piece.id], set: { mirrorOf: original.piece.id } },
        piece.piece.id,
      ),
    )
}

export function order(display: DisplayView, by: 'LIST' | 'ZONE' | 'AS_THEY_STAND', title: string) {
  const stride = display.settings.universeStride
  return [
    found(`order-${by}`, title, `every ${stride}`, {
      type: 'OrderUniverses',
      by,
      stride,
      letGo: false,
    }),
  ]
}

/** A piece goes to a port, several to one, or over the ports of a controller. */
export function patch(display: DisplayView, [what, where]: string[]): Found[] {
  const lane = laneOf(display, where)
  const view = lane ? undefined : controllerOf(display, where)
  if (!lane && !view) {
    return []
  }
  const place = lane?.written ?? view!.controller.tag
  const edit = (ids: string[]): Edit =>
    lane
      ? { type: 'PatchPieces', pieces: ids, port: lane.port }
      : { type: 'PatchAcross', pieces: ids, controller: view!.controller.id }
  if (what.includes(',')) {
    const listed = what.split(',').map((name) => meant(display, name.trim()))
    const pieces = listed.flat()
    return listed.every((some) => some.length > 0)
      ? [
          found(
            'patch-list',
            `Patch ${pieces.length} pieces to ${place}`,
            pieces.map((piece) => piece.title).join(', '),
            edit([...new Set(pieces.map((piece) => piece.piece.id))]),
            pieces[0].piece.id,
          ),
        ]
      : []
  }
  const wanted = what.toLowerCase()
  const all = allPieces(display).filter((piece) => piece.title.toLowerCase().includes(wanted))
  const ids = all.map((piece) => piece.piece.id)
  const one = (piece: PieceView) =>
    found(
      `patch-${piece.piece.id}`,
      `Patch ${piece.title} to ${place}`,
      now(piece),
      edit([piece.piece.id]),
      piece.piece.id,
    )
  const exactly = all.filter((piece) => piece.title.toLowerCase() === wanted)
  const others = all.filter((piece) => !exactly.includes(piece))
  const together =
    all.length > 1
      ? [
          found(
            'patch-all',
            `Patch ${all.length} pieces to ${place}`,
            all.map((piece) => piece.title).join(', '),
            edit(ids),
            ids[0],
          ),
        ]
      : []
  return [...exactly.map(one), ...together, ...others.map(one)]
}

/** Opens proposals for all that hangs nowhere, or for what of a zone does. */
export function arrange(display: DisplayView, [where]: string[]): Found[] {
  const wanted = where.toLowerCase()
  const zone = display.zones.find((one) => one.name.toLowerCase().includes(wanted))
  if (wanted !== 'all' && !zone) {
    return []
  }
  const of = wanted === 'all' ? undefined : zone
  return [
    {
      key: `arrange-${of?.id ?? 'all'}`,
      title: `Arrange ${of?.name ?? 'all that hangs nowhere'}`,
      detail: 'proposals, to be looked at first',
      to: { name: 'patch', params: { piece: of ? `arrange-${of.id}` : 'arrange' } },
    },
  ]
}
