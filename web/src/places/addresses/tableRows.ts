import type { ControllerView, LaneView, LegView, PieceView, SectionView } from '../../api/types'
import { toldStart } from '../../parts/deviceStart'

/** One section, circuit or fixture, or a piece that hangs nowhere. */
export interface TableRow {
  key: string
  piece: string
  /** From 0. */
  section: number
  title: string
  zone: string
  view?: ControllerView
  lane?: LaneView
  leg?: LegView
  at?: SectionView
  /** Of the leg, along its port, from 1. */
  position?: number
  pixels: number
  channels: number
  order: string
  /** What is to be said of it: words that the filter knows. */
  states: string[]
}

/** How a start is counted. */
export type Style = 'wire' | 'display' | 'controller' | 'device'
export const STYLES: { value: Style; title: string }[] = [
  { value: 'wire', title: 'universe:channel, or byte' },
  { value: 'display', title: 'display channel' },
  { value: 'controller', title: 'channel of the controller' },
  { value: 'device', title: "the device's own way" },
]

/** What of the display the table is made of. */
export interface Plan {
  controllers: ControllerView[]
  loose: PieceView[]
  zoneOf: (piece: string) => string
  orderOf: (piece: string, section: number) => string
  overlapping: Set<string>
  stale: Set<string>
  moved: Set<string>
}

export function tableRows(plan: Plan): TableRow[] {
  const rows: TableRow[] = []
  for (const view of plan.controllers) {
    for (const lane of view.lanes) {
      lane.legs.forEach((leg, index) => {
        for (const at of leg.sections) {
          const several = leg.sections.length > 1
          rows.push({
            key: `${leg.piece} ${at.section}`,
            piece: leg.piece,
            section: at.section,
            title: several ? `${leg.title}, section ${at.section + 1}` : leg.title,
            zone: plan.zoneOf(leg.piece),
            view,
            lane,
            leg,
            at,
            position: index + 1,
            pixels: at.pixels,
            channels: at.channels,
            order: plan.orderOf(leg.piece, at.section),
            states: [
              at.held && lane.port.kind !== 'DMX' ? 'held' : '',
              at.mirror ? 'mirror' : '',
              plan.overlapping.has(leg.piece) ? 'overlapping' : '',
              plan.moved.has(leg.piece) ? 'moved' : '',
              plan.stale.has(view.controller.id) ? 'stale' : '',
            ].filter(Boolean),
          })
        }
      })
    }
  }
  for (const piece of plan.loose) {
    rows.push({
      key: `${piece.piece.id} loose`,
      piece: piece.piece.id,
      section: 0,
      title: piece.title,
      zone: plan.zoneOf(piece.piece.id),
      pixels: piece.pixels,
      channels: piece.channels,
      order: '',
      states: ['not patched'],
    })
  }
  return rows
}

/** Start or end in a way of counting; empty where there is none. */
export function addressOf(row: TableRow, style: Style, end = false): string {
  const at = row.at
  if (!at) {
    return ''
  }
  switch (style) {
    case 'wire':
      return (end ? at.end : at.start) ?? ''
    case 'display':
      return String((end ? at.displayEnd : at.displayStart) ?? '')
    case 'controller':
      return String((end ? at.controllerEnd : at.controllerStart) ?? '')
    case 'device':
      return end ? '' : at.device ? toldStart(at.device) : ''
  }
}

/** A number to sort starts by, in any way of counting. */
export function placeOf(row: TableRow): number {
  const { at } = row
  if (at?.startAt) {
    return at.startAt.universe * 1000 + at.startAt.channel
  }
  return at?.controllerStart ?? Number.MAX_SAFE_INTEGER
}

export type Column =
  | 'port'
  | 'position'
  | 'title'
  | 'zone'
  | 'pixels'
  | 'channels'
  | 'nulls'
  | 'start'
  | 'end'
  | 'order'
  | 'brightness'
  | 'states'

export const COLUMNS: { key: Column; title: string; number?: boolean }[] = [
  { key: 'port', title: 'Port' },
  { key: 'position', title: 'As', number: true },
  { key: 'title', title: 'What' },
  { key: 'zone', title: 'Zone' },
  { key: 'pixels', title: 'Pixels', number: true },
  { key: 'channels', title: 'Channels', number: true },
  { key: 'nulls', title: 'Null pixels', number: true },
  { key: 'start', title: 'Start', number: true },
  { key: 'end', title: 'End', number: true },
  { key: 'order', title: 'Order' },
  { key: 'brightness', title: 'Bright', number: true },
  { key: 'states', title: 'To be said' },
]

/** A cell as it is shown and copied. */
export function cellOf(row: TableRow, column: Column, style: Style): string {
  switch (column) {
    case 'port':
      return row.lane?.written ?? ''
    case 'position':
      return row.position === undefined ? '' : String(row.position)
    case 'title':
      return row.title
    case 'zone':
      return row.zone
    case 'pixels':
      return row.pixels ? String(row.pixels) : ''
    case 'channels':
      return String(row.channels)
    case 'nulls':
      return row.leg ? String(row.leg.nullPixels) : ''
    case 'start':
      return addressOf(row, style)
    case 'end':
      return addressOf(row, style, true)
    case 'order':
      return row.order
    case 'brightness':
      return row.leg && row.pixels ? `${row.leg.brightness} %` : ''
    case 'states':
      return row.states.join(', ')
  }
}

/** What a column sorts by. */
export function sortKey(row: TableRow, column: Column, place: number): number | string {
  switch (column) {
    case 'port':
      return place
    case 'start':
    case 'end':
      return placeOf(row)
    case 'position':
      return row.position ?? Number.MAX_SAFE_INTEGER
    case 'pixels':
      return row.pixels
    case 'channels':
      return row.channels
    case 'nulls':
      return row.leg?.nullPixels ?? -1
    case 'brightness':
      return row.leg?.brightness ?? -1
    default:
      return cellOf(row, column, 'wire').toLowerCase()
  }
}

/** Cells separated by tabs, as a spreadsheet pastes them; nothing in them is a formula. */
export function separated(heads: string[], rows: string[][]): string {
  const safe = (cell: string) =>
    (/^[=+\-@]/.test(cell) ? `'${cell}` : cell).replace(/[\t\n\r]/g, ' ')
  return [heads, ...rows].map((row) => row.map(safe).join('\t')).join('\n')
}
