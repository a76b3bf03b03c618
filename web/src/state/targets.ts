import type { DisplayView, OutputTargets, PieceView } from '../api/types'

/** Something that can be lit, as it is picked. */
export interface Target {
  kind: 'zone' | 'prop' | 'piece' | 'section' | 'controller' | 'port' | 'slot'
  /** Unlike any other. */
  key: string
  /** As people call it. */
  title: string
  /** What it is, where its name does not say so. */
  told: string
}

const targetOf = (kind: Target['kind'], id: string, title: string, told: string): Target => ({
  kind,
  key: `${kind} ${id}`,
  title,
  told,
})

export const ofPiece = (piece: PieceView): Target =>
  targetOf('piece', piece.piece.id, piece.title, piece.piece.kind)

/** The section of a string, from 1. */
export const ofSection = (piece: PieceView, section: number): Target =>
  targetOf(
    'section',
    `${section} ${piece.piece.id}`,
    `${piece.title}, section ${section}`,
    'section',
  )

/** All that can be picked by name, from large to small; sections only where there are several. */
export function choices(display: DisplayView): Target[] {
  const lanes = display.controllers.flatMap((one) => one.lanes).filter((one) => one.legs.length)
  const pieces = display.props.flatMap((prop) => prop.pieces)
  return [
    ...display.zones.map((zone) => targetOf('zone', zone.id, zone.name, 'zone')),
    ...display.controllers
      .filter((one) => !one.host)
      .map(({ controller }) =>
        targetOf('controller', controller.id, `${controller.tag} ${controller.name}`, 'controller'),
      ),
    ...lanes.map((lane) =>
      targetOf(
        'port',
        `${lane.port.kind} ${lane.port.port} ${lane.port.controller}`,
        lane.written,
        'port',
      ),
    ),
    ...display.props
      .filter((prop) => prop.pieces.length > 1)
      .map(({ prop }) => targetOf('prop', prop.id, prop.name, 'prop')),
    ...pieces.filter((piece) => piece.port).map(ofPiece),
    ...pieces.flatMap((piece) =>
      piece.port && piece.piece.kind === 'string' && piece.piece.sections.length > 1
        ? piece.piece.sections.map((_, i) => ofSection(piece, i + 1))
        : [],
    ),
  ]
}

/**
 * One address as it is typed: "12:301", or "K5 byte 40" on DDP.
 *
 * @returns nothing where it is neither
 */
export function typedSlot(text: string, display: DisplayView): Target | undefined {
  const slot = /^(\d{1,5}):(\d{1,3})$/.exec(text.trim())
  if (slot) {
    return targetOf('slot', `${slot[1]} ${slot[2]}`, `${slot[1]}:${slot[2]}`, 'one address')
  }
  const byte = /^(\S+) byte (\d{1,8})$/i.exec(text.trim())
  const at = display.controllers.find(
    (one) => one.controller.tag.toLowerCase() === byte?.[1].toLowerCase(),
  )
  return byte && at
    ? targetOf(
        'slot',
        `0 ${byte[2]} ${at.controller.id}`,
        `${at.controller.tag} byte ${byte[2]}`,
        'one address',
      )
    : undefined
}

/** As the server is asked; none of them is everything. */
export function asked(targets: Target[]): OutputTargets {
  const some = (kind: Target['kind']) =>
    targets.filter((one) => one.kind === kind).map((one) => one.key.slice(kind.length + 1))
  return {
    zones: some('zone'),
    props: some('prop'),
    pieces: some('piece'),
    controllers: some('controller'),
    sections: some('section').map((key) => {
      const [section, ...piece] = key.split(' ')
      return { section: Number(section), piece: piece.join(' ') }
    }),
    ports: some('port').map((key) => {
      const [kind, port, ...controller] = key.split(' ')
      return { kind: kind as 'PIXEL', port: Number(port), controller: controller.join(' ') }
    }),
    slots: some('slot').map((key) => {
      const [universe, channel, ...controller] = key.split(' ')
      return {
        channel: Number(channel),
        ...(universe === '0'
          ? { controller: controller.join(' ') }
          : { universe: Number(universe) }),
      }
    }),
  }
}

/** Every piece that is hit; of one address none is known here. */
export function piecesOf(targets: Target[], display: DisplayView): PieceView[] {
  const keys = new Set(targets.map((one) => one.key))
  const pieces = display.props.flatMap((prop) => prop.pieces.map((piece) => ({ prop, piece })))
  return pieces
    .filter(({ piece }) => piece.port)
    .filter(
      ({ prop, piece }) =>
        targets.length === 0 ||
        keys.has(`piece ${piece.piece.id}`) ||
        keys.has(`prop ${prop.prop.id}`) ||
        keys.has(`zone ${prop.prop.zone}`) ||
        keys.has(`controller ${piece.port!.controller}`) ||
        keys.has(`port ${piece.port!.kind} ${piece.port!.port} ${piece.port!.controller}`) ||
        targets.some((one) => one.kind === 'section' && one.key.endsWith(` ${piece.piece.id}`)),
    )
    .map(({ piece }) => piece)
}

/** How far a counting pixel goes: the longest string of all that are hit. */
export function longest(pieces: PieceView[]): number {
  const pixels = pieces.map(({ piece }) =>
    piece.kind === 'string' ? piece.sections.reduce((sum, one) => sum + one.pixels, 0) : 1,
  )
  return Math.max(1, ...pixels)
}
