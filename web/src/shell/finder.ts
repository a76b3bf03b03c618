import type { RouteLocationRaw } from 'vue-router'
import type {
  DisplayView,
  Edit,
  LaneView,
  LegView,
  PieceView,
  SectionView,
  Subject,
} from '../api/types'
import { places } from './places'

/** One thing that the finder offers. */
export interface Found {
  key: string
  title: string
  detail: string
  subject?: Subject
  /** A place that choosing it opens. */
  to?: RouteLocationRaw
  /** What choosing it does, and the piece to look at then. */
  act?: { edit: Edit; piece: string }
}

type Part = NonNullable<Subject['part']>

const MOST = 12

function laneSubject(lane: LaneView): Subject {
  return { controller: lane.port.controller, port: lane.port }
}

function legSubject(lane: LaneView, leg: LegView): Subject {
  return { controller: lane.port.controller, port: lane.port, piece: leg.piece }
}

/** What answers to universe:channel. */
function atAddress(display: DisplayView, universe: number, channel: number): Found[] {
  /** Slots in order over all universes, of which none has as many as 1000. */
  const place = (at: { universe: number; channel: number }) => at.universe * 1000 + at.channel
  const slot = place({ universe, channel })
  const covers = ({ startAt, endAt }: SectionView) =>
    startAt !== undefined && endAt !== undefined && place(startAt) <= slot && slot <= place(endAt)
  return display.controllers.flatMap((controller) =>
    controller.lanes.flatMap((lane) =>
      lane.legs
        .filter((leg) => leg.sections.some(covers))
        .map((leg) => ({
          key: `address-${leg.piece}`,
          title: `${leg.title} answers to ${universe}:${channel}`,
          detail: lane.written,
          subject: legSubject(lane, leg),
        })),
    ),
  )
}

/** What a text means after "to": a port by its tag or the board's own name, or a whole controller. */
/** "K5-1" where K5 has ports of one kind only: nobody needs to say that they are DMX. */
function onlyPort(display: DisplayView, wanted: string) {
  const [tag, port] = wanted.split('-')
  const view = display.controllers.find((one) => one.controller.tag.toLowerCase() === tag)
  const kinds = new Set(view?.lanes.map((lane) => lane.port.kind))
  return kinds.size === 1 ? view!.lanes.find((lane) => String(lane.port.port) === port) : undefined
}

function targetOf(display: DisplayView, where: string) {
  const wanted = where.toLowerCase()
  const lanes = display.controllers.flatMap((view) => view.lanes)
  const lane =
    lanes.find((one) => one.written.toLowerCase() === wanted) ??
    lanes.find(
      (one) => one.label.toLowerCase() === wanted && one.label !== String(one.port.port),
    ) ??
    onlyPort(display, wanted)
  const view = display.controllers.find((one) => one.controller.tag.toLowerCase() === wanted)
  return lane ? { lane } : view && { view }
}

function named(display: DisplayView, what: string) {
  return pieces(display).filter((piece) => piece.title.toLowerCase().includes(what.toLowerCase()))
}

const now = (piece: PieceView) => (piece.written ? `now on ${piece.written}` : 'not patched')

/**
 * "bow rail to K1-7", "lantern to K3": a patch in words; first what has exactly that name, then all
 * that are meant, then each.
 */
function patches(display: DisplayView, text: string): Found[] {
  const parts = /^(.+?)\s+to\s+(\S+)$/i.exec(text)
  const target = parts && targetOf(display, parts[2])
  if (!parts || !target) {
    return []
  }
  const where = target.lane?.written ?? target.view!.controller.tag
  const edit = (ids: string[]): Edit =>
    target.lane
      ? { type: 'PatchPieces', pieces: ids, port: target.lane.port }
      : { type: 'PatchAcross', pieces: ids, controller: target.view!.controller.id }
  const meant = named(display, parts[1])
  const all = meant.map((piece) => piece.piece.id)
  const together: Found[] =
    meant.length > 1
      ? [
          {
            key: 'patch-all',
            title: `Patch ${meant.length} pieces to ${where}`,
            detail: meant.map((piece) => piece.title).join(', '),
            act: { edit: edit(all), piece: all[0] },
          },
        ]
      : []
  const each = (piece: PieceView) => ({
    key: `patch-${piece.piece.id}`,
    title: `Patch ${piece.title} to ${where}`,
    detail: now(piece),
    act: { edit: edit([piece.piece.id]), piece: piece.piece.id },
  })
  const exactly = meant.filter((piece) => piece.title.toLowerCase() === parts[1].toLowerCase())
  const others = meant.filter((piece) => !exactly.includes(piece))
  return [...exactly.map(each), ...together, ...others.map(each)]
}

/** "unpatch bow rail". */
function unpatches(display: DisplayView, text: string): Found[] {
  const parts = /^unpatch\s+(.+)$/i.exec(text)
  const meant = parts ? named(display, parts[1]).filter((piece) => piece.written) : []
  return meant.map((piece) => ({
    key: `unpatch-${piece.piece.id}`,
    title: `Unpatch ${piece.title}`,
    detail: now(piece),
    act: { edit: { type: 'UnpatchPieces', pieces: [piece.piece.id] }, piece: piece.piece.id },
  }))
}

/** "far rail mirrors near rail": the first shows what the second shows. */
function mirrors(display: DisplayView, text: string): Found[] {
  const parts = /^(.+?)\s+mirrors\s+(.+)$/i.exec(text)
  if (!parts) {
    return []
  }
  const originals = named(display, parts[2]).filter((piece) => piece.written)
  return named(display, parts[1])
    .filter((piece) => piece.written)
    .flatMap((piece) =>
      originals
        .filter((original) => original.piece.id !== piece.piece.id)
        .map((original) => ({
          key: `mirror-${piece.piece.id}-${original.piece.id}`,
          title: `${piece.title} mirrors ${original.title}`,
          detail: now(piece),
          act: {
            edit: {
              type: 'SetLegs' as const,
              pieces: [piece.piece.id],
              set: { mirrorOf: original.piece.id },
            },
            piece: piece.piece.id,
          },
        })),
    )
}

/** Places, zones, subnets, props and what a controller is fed by. */
function elsewhere(display: DisplayView, wanted: string): Found[] {
  const has = (...texts: (string | undefined)[]) =>
    texts.some((text) => text?.toLowerCase().includes(wanted))
  const found: Found[] = places
    .filter((place) => place.title.toLowerCase().startsWith(wanted))
    .map((place) => ({
      key: `place-${place.name}`,
      title: place.title,
      detail: 'go there',
      to: { name: place.name },
    }))
  display.zones
    .filter((zone) => has(zone.name))
    .forEach((zone) => {
      const first = display.props.find((view) => view.prop.zone === zone.id)
      found.push({
        key: `zone-${zone.id}`,
        title: zone.name,
        detail: 'zone',
        to: { name: 'props', params: { prop: first?.prop.id ?? '' } },
      })
    })
  display.network.lines
    .filter(({ subnet }) => has(subnet.name, `${subnet.network}/${subnet.prefix}`))
    .forEach(({ subnet }) =>
      found.push({
        key: `subnet-${subnet.id}`,
        title: subnet.name,
        detail: `${subnet.network}/${subnet.prefix}`,
        to: { name: 'network', params: { part: subnet.id } },
      }),
    )
  const parts: [Part['kind'], string, { id: string; name: string }[]][] = [
    ['ENCLOSURE', 'enclosure', display.network.enclosures.map((view) => view.enclosure)],
    ['LINK', 'link', display.network.links],
    ['SUPPLY', 'supply', display.power.supplies.map((view) => view.supply)],
    ['MAINS', 'mains circuit', display.power.mains.map((view) => view.mains)],
  ]
  parts.forEach(([kind, detail, all]) =>
    all
      .filter(({ name }) => has(name))
      .forEach(({ id, name }) =>
        found.push({ key: `${kind}-${id}`, title: name, detail, subject: { part: { kind, id } } }),
      ),
  )
  display.props
    .filter((view) => has(view.prop.name))
    .forEach((view) =>
      found.push({
        key: `prop-${view.prop.id}`,
        title: view.prop.name,
        detail: 'edit the prop',
        to: { name: 'props', params: { prop: view.prop.id } },
      }),
    )
  return found
}

/** A controller's settings, as against its ports. */
function settingsOf(display: DisplayView, wanted: string): Found[] {
  return display.controllers
    .filter(({ controller, modelTitle }) =>
      [controller.tag, controller.name, controller.settings.note, modelTitle].some((text) =>
        text.toLowerCase().includes(wanted),
      ),
    )
    .map(({ controller }) => ({
      key: `settings-${controller.id}`,
      title: `${controller.tag} ${controller.name}`,
      detail: 'model, mode, universes',
      to: { name: 'controllers', params: { controller: controller.id } },
    }))
}

function pieces(display: DisplayView) {
  return display.props.flatMap((prop) => prop.pieces)
}

/** Finds by name, address ("12:301"), port ("K1-7") or IP address, and reads patch commands. */
export function find(display: DisplayView, query: string): Found[] {
  const text = query.trim()
  if (!text) {
    return []
  }
  const address = /^(\d+):(\d+)$/.exec(text)
  if (address) {
    return atAddress(display, Number(address[1]), Number(address[2])).slice(0, MOST)
  }
  const wanted = text.toLowerCase()
  const found = [...patches(display, text), ...unpatches(display, text), ...mirrors(display, text)]
  for (const view of display.controllers) {
    const { controller } = view
    const ip = controller.settings.address ?? ''
    const names = [controller.tag, controller.name, ip, view.modelTitle]
    if (names.some((name) => name.toLowerCase().includes(wanted))) {
      found.push({
        key: `controller-${controller.id}`,
        title: `${controller.tag} ${controller.name}`,
        detail: [view.modelTitle, ip].filter(Boolean).join(' · '),
        subject: { controller: controller.id },
      })
    }
    view.lanes
      .filter(
        (lane) =>
          lane.written.toLowerCase().startsWith(wanted) ||
          (lane.label !== String(lane.port.port) && lane.label.toLowerCase() === wanted),
      )
      .forEach((lane) =>
        found.push({
          key: `port-${lane.written}`,
          title: lane.written,
          detail: lane.legs.map((leg) => leg.title).join(', ') || 'free',
          subject: laneSubject(lane),
        }),
      )
  }
  for (const piece of pieces(display)) {
    if (piece.title.toLowerCase().includes(wanted)) {
      found.push({
        key: `piece-${piece.piece.id}`,
        title: piece.title,
        detail: piece.written ?? 'not patched',
        subject: { piece: piece.piece.id },
      })
    }
  }
  found.push(...elsewhere(display, wanted), ...settingsOf(display, wanted))
  return found.slice(0, MOST)
}
