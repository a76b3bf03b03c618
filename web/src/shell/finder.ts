import type { DisplayView, LaneView, Subject } from '../api/types'
import type { Found } from './found'
import { commands, completions } from './grammar'
import { places } from './places'

type Part = NonNullable<Subject['part']>

const MOST = 12

function laneSubject(lane: LaneView): Subject {
  return { controller: lane.port.controller, port: lane.port }
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

/** Finds by name, tag, port ("K1-7") or IP address, and reads commands. */
export function find(display: DisplayView, query: string): Found[] {
  const text = query.trim()
  if (!text) {
    return []
  }
  const wanted = text.toLowerCase()
  const commanded = commands(display, text)
  const found = [...commanded]
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
    const tag = piece.tags.find((one) => one.toLowerCase() === wanted)
    if (tag || piece.title.toLowerCase().includes(wanted)) {
      found.push({
        key: `piece-${piece.piece.id}`,
        title: tag ? `${piece.title}, tag ${tag}` : piece.title,
        detail: piece.written ?? 'not patched',
        subject: { piece: piece.piece.id },
      })
    }
  }
  found.push(...elsewhere(display, wanted), ...settingsOf(display, wanted))
  const going = commanded.length ? [] : completions(display, query.trimStart())
  return [...found.slice(0, MOST - going.length), ...going]
}
