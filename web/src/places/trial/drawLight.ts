import type { LaneView } from '../../api/types'
import { stretches } from '../../ribbon/geometry'
import { shortened } from '../../ribbon/labels'
import { colourOf, differs, type PortPixels } from './pixels'

/** Room for the name of a port at the left (px). */
export const NAME_WIDTH = 74
/** Heights (px): of what is meant, of what is shown, and of what stands between ports. */
const MEANT = 8
const SHOWN = 11
const GAP = 18
export const ROW = MEANT + SHOWN + GAP
/** Of a wall, beside each other; the taller it is the smaller its pixels (px). */
const WALL_HEIGHT = 120
const WALL_MOST = 6
/** Widths of a circuit and of a slot (px). */
const LAMP = 34

/** One port as it is drawn. */
export interface Row {
  lane?: LaneView
  pixels: PortPixels
  written: string
  /** Columns of a wall; 0 else. */
  columns: number
  top: number
  height: number
}

/** Rows from top to bottom; a wall takes room for its picture. */
export function rowsOf(
  ports: PortPixels[],
  laneOf: (port: PortPixels) => LaneView | undefined,
  columnsOf: (lane?: LaneView) => number,
  tag: string,
): Row[] {
  let top = 0
  return ports.map((pixels) => {
    const lane = laneOf(pixels)
    const columns = pixels.port.kind === 'PANEL' ? columnsOf(lane) : 0
    const height = columns ? WALL_HEIGHT + GAP : ROW
    const written = lane?.written ?? `${tag}-${pixels.port.port}`
    const row = { lane, pixels, written, columns, top, height }
    top += height
    return row
  })
}

export interface Ink {
  text: string
  quiet: string
  line: string
  fault: string
  copper: string
  night: string
  /** The level that is drawn as full. */
  brightest: number
  zoneOf: (piece: string) => string
  titleOf: (piece: string) => string
}

const rgb = (colour: [number, number, number]) => `rgb(${colour.join(' ')})`

/** Pixels that one row has: of what is no string as many as it has bytes. */
export function countOf(pixels: PortPixels): number {
  return Math.max(pixels.meant.length, pixels.shown?.length ?? 0) / pixels.width
}

/** Screen pixels for one pixel of a row. */
export function scaleOf(row: Row, width: number, most: number): number {
  const room = width - NAME_WIDTH - 12
  if (row.columns) {
    const rows = countOf(row.pixels) / row.columns
    return Math.min(WALL_MOST, room / 2 / row.columns, WALL_HEIGHT / rows)
  }
  return row.pixels.port.kind === 'RELAY' ? LAMP : Math.min(26, room / most)
}

/** The pixel under a place of a row, from 0; undefined beside it. */
export function pixelAt(
  row: Row,
  x: number,
  y: number,
  width: number,
  most: number,
): number | undefined {
  const scale = scaleOf(row, width, most)
  const along = Math.floor((x - NAME_WIDTH) / scale)
  if (row.columns) {
    const rows = countOf(row.pixels) / row.columns
    const column = along % (row.columns + 2)
    const line = Math.floor((y - row.top) / scale)
    const inside = along >= 0 && column < row.columns && line >= 0 && line < rows
    return inside ? line * row.columns + column : undefined
  }
  return along >= 0 && along < countOf(row.pixels) ? along : undefined
}

function strip(
  context: CanvasRenderingContext2D,
  bytes: Uint8Array,
  row: Row,
  y: number,
  height: number,
  scale: number,
  ink: Ink,
) {
  const count = countOf(row.pixels)
  const step = Math.max(1, Math.ceil(1 / scale))
  const gap = scale >= 5 ? 1 : 0
  for (let pixel = 0; pixel < count; pixel += step) {
    const end = Math.min(count, pixel + step)
    const colour = colourOf(bytes, row.pixels.width, pixel, end, ink.brightest)
    if (colour[0] || colour[1] || colour[2]) {
      context.fillStyle = rgb(colour)
      context.fillRect(NAME_WIDTH + pixel * scale, y, Math.max(1, step * scale - gap), height)
    }
  }
}

function wall(
  context: CanvasRenderingContext2D,
  row: Row,
  scale: number,
  ink: Ink,
  bytes: Uint8Array | undefined,
  left: number,
) {
  const lines = countOf(row.pixels) / row.columns
  context.fillStyle = ink.night
  context.fillRect(left, row.top, row.columns * scale, lines * scale)
  if (!bytes) {
    return
  }
  for (let pixel = 0; pixel < countOf(row.pixels); pixel++) {
    const colour = colourOf(bytes, row.pixels.width, pixel, pixel + 1, ink.brightest)
    if (colour[0] || colour[1] || colour[2]) {
      context.fillStyle = rgb(colour)
      const x = left + (pixel % row.columns) * scale
      const y = row.top + Math.floor(pixel / row.columns) * scale
      context.fillRect(x, y, Math.ceil(scale), Math.ceil(scale))
    }
  }
}

function marks(context: CanvasRenderingContext2D, row: Row, scale: number, ink: Ink) {
  const count = countOf(row.pixels)
  const step = Math.max(1, Math.ceil(2 / scale))
  context.fillStyle = ink.fault
  for (let pixel = 0; pixel < count; pixel += step) {
    if (differs(row.pixels, pixel, Math.min(count, pixel + step))) {
      context.fillRect(
        NAME_WIDTH + pixel * scale,
        row.top + MEANT - 1,
        Math.max(2, step * scale - 1),
        2,
      )
    }
  }
}

/** A row: what is meant above, what is shown below it, and where the two differ. */
export function drawRow(
  context: CanvasRenderingContext2D,
  row: Row,
  width: number,
  most: number,
  ink: Ink,
  picked: (piece: string) => boolean,
) {
  const scale = scaleOf(row, width, most)
  const count = countOf(row.pixels)
  context.font = "12px 'IBM Plex Mono', monospace"
  context.fillStyle = row.pixels.differing ? ink.fault : ink.text
  context.fillText(`${row.pixels.differing ? '▲' : ''}${row.written}`, 2, row.top + 14)
  if (row.columns) {
    wall(context, row, scale, ink, row.pixels.meant, NAME_WIDTH)
    const shownAt = NAME_WIDTH + (row.columns + 2) * scale
    wall(context, row, scale, ink, row.pixels.shown, shownAt)
    return
  }
  const long = count * scale
  context.fillStyle = ink.night
  context.fillRect(NAME_WIDTH, row.top, long, MEANT)
  context.fillRect(NAME_WIDTH, row.top + MEANT + 1, long, SHOWN)
  // black on a dark page has an edge
  context.strokeStyle = ink.line
  context.lineWidth = 1
  context.strokeRect(NAME_WIDTH - 0.5, row.top - 0.5, long + 1, MEANT + SHOWN + 2)
  strip(context, row.pixels.meant, row, row.top, MEANT, scale, ink)
  if (row.pixels.shown) {
    strip(context, row.pixels.shown, row, row.top + MEANT + 1, SHOWN, scale, ink)
  }
  marks(context, row, scale, ink)
  const wires = row.lane ? stretches(row.lane) : []
  wires.forEach((one, index) => {
    const pixels = row.pixels.port.kind === 'PIXEL'
    const from = NAME_WIDTH + (pixels ? one.from + one.gap : index) * scale
    const end = from + (pixels ? one.length : 1) * scale
    name(context, row, one.leg.piece, from, end, ink, picked(one.leg.piece))
  })
}

/** What hangs there, below its pixels in the colour of its zone; broad where it is picked. */
function name(
  context: CanvasRenderingContext2D,
  row: Row,
  piece: string,
  from: number,
  end: number,
  ink: Ink,
  picked: boolean,
) {
  const below = row.top + MEANT + SHOWN
  context.fillStyle = picked ? ink.copper : ink.zoneOf(piece)
  context.fillRect(from, below + 1, Math.max(2, end - from - 2), picked ? 4 : 2)
  const title = shortened(ink.titleOf(piece), Math.floor((end - from - 6) / 5.6), [])
  if (title.length > 2) {
    context.font = "10.5px 'IBM Plex Sans', sans-serif"
    context.fillStyle = picked ? ink.text : ink.quiet
    context.fillText(title, from, below + 14)
  }
}
