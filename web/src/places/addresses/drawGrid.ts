import { shortened } from '../../ribbon/labels'
import type { Shadow } from './gridShadows'
import { CUT, type GridRow, HELD, MIRROR, OVERLAPS, type Stretch } from './gridRows'

/** Height of a row, and room for its name at the left (px). */
export const ROW_HEIGHT = 22
export const LABEL_WIDTH = 118
const BAR = 15
const TOP = 3
/** Of a letter of a name, on average (px). */
const LETTER = 6.4

/** What is drawn with: colours of the theme and of zones, and tags of controllers. */
export interface Ink {
  text: string
  quiet: string
  line: string
  ground: string
  free: string
  fault: string
  copper: string
  colourOf: (piece: string) => string
  tagOf: (controller: number) => string
}

/** Slots that the full width stands for: rows of universes share one scale. */
export function scaleOf(row: GridRow, width: number): number {
  return (width - LABEL_WIDTH - 12) / (row.firstByte < 0 ? 512 : 1440)
}

/** The slot under a place, from 1; undefined beside the row. */
export function slotAt(row: GridRow, x: number, width: number): number | undefined {
  const slot = Math.floor((x - LABEL_WIDTH) / scaleOf(row, width)) + 1
  return slot >= 1 && slot <= row.size ? slot : undefined
}

/** What a stretch has left for its name (px). */
function roomOn(one: Stretch, scale: number): number {
  return (one.last - one.first + 1) * scale - 1 - (one.marks & HELD ? 16 : 8)
}

/**
 * What is written on each stretch of a row: its name, as much of it as has room; nothing on mirrors.
 *
 * @param width of the grid (px)
 */
export function namesOn(row: GridRow, width: number, titleOf: (piece: string) => string): string[] {
  const scale = scaleOf(row, width)
  const titles = row.stretches.map((one) => titleOf(one.piece))
  return row.stretches.map((one, i) => {
    const room = roomOn(one, scale)
    return room > 12 && !(one.marks & MIRROR)
      ? shortened(titles[i], Math.floor(room / LETTER), titles)
      : ''
  })
}

function hatch(context: CanvasRenderingContext2D, x: number, y: number, w: number, step: number) {
  context.save()
  context.beginPath()
  context.rect(x, y, w, BAR)
  context.clip()
  context.beginPath()
  for (let at = x - BAR; at < x + w; at += step) {
    context.moveTo(at, y + BAR)
    context.lineTo(at + BAR, y)
  }
  context.stroke()
  context.restore()
}

function stretch(
  context: CanvasRenderingContext2D,
  one: Stretch,
  row: GridRow,
  y: number,
  scale: number,
  ink: Ink,
  name: string,
  lit: boolean,
) {
  const x = LABEL_WIDTH + (one.first - 1) * scale
  const w = Math.max(1.5, (one.last - one.first + 1) * scale - 1)
  const colour = ink.colourOf(one.piece)
  if (one.marks & MIRROR) {
    // below what it shows, and tied to it at both ends
    context.fillStyle = ink.text
    context.fillRect(x, y + BAR - 1, w, 2)
    context.fillRect(x, y + BAR - 5, 2, 5)
    context.fillRect(x + w - 2, y + BAR - 5, 2, 5)
  } else {
    context.fillStyle = colour
    context.fillRect(x, y, w, BAR)
  }
  if (one.marks & OVERLAPS) {
    context.strokeStyle = ink.fault
    context.lineWidth = 2
    hatch(context, x, y, w, 6)
  }
  if (lit) {
    context.strokeStyle = ink.text
    context.lineWidth = 2
    context.strokeRect(x, y - 1, w, BAR + 2)
  }
  if (name) {
    context.fillStyle = ink.ground
    context.fillText(name, x + (one.marks & HELD ? 12 : 4), y + 11.5)
  }
  if (one.marks & HELD) {
    context.fillStyle = ink.copper
    context.beginPath()
    context.moveTo(x, y - 2)
    context.lineTo(x + 8, y - 2)
    context.lineTo(x, y + 7)
    context.fill()
  }
  if (one.marks & CUT && one.last === row.size) {
    // the pixel goes on in the next packet
    context.fillStyle = ink.ground
    context.fillRect(x + w - 4, y, 2, BAR)
    context.fillStyle = colour
    context.fillRect(x + w, y + 3, 3, BAR - 6)
  }
}

/** Where something stood then: an outline in dashes, below what stands there now. */
function shadow(
  context: CanvasRenderingContext2D,
  one: Shadow,
  y: number,
  scale: number,
  ink: Ink,
) {
  const x = LABEL_WIDTH + (one.first - 1) * scale
  context.save()
  context.strokeStyle = ink.text
  context.lineWidth = 1
  context.setLineDash([3, 2])
  const width = Math.max(2, (one.last - one.first + 1) * scale - 1)
  context.strokeRect(x + 0.5, y + BAR - 4.5, width, 6)
  context.restore()
}

/** A row: its name, its slots to scale, and who stands in them. */
export function drawRow(
  context: CanvasRenderingContext2D,
  row: GridRow,
  top: number,
  width: number,
  ink: Ink,
  look: {
    begins: boolean
    /** What is written on each stretch. */
    names: string[]
    lit?: string
    slot?: number
    open: boolean
    shadows?: Shadow[]
  },
) {
  const y = top + TOP
  const scale = scaleOf(row, width)
  if (look.begins) {
    context.fillStyle = ink.line
    context.fillRect(0, top, width, 1)
  }
  context.font = `${look.begins ? '600 ' : ''}12px "IBM Plex Sans", sans-serif`
  context.fillStyle = look.begins ? ink.text : ink.quiet
  context.textAlign = 'left'
  context.fillText(look.begins ? ink.tagOf(row.controller) : '', 12, y + 11.5)
  context.font = '12px "IBM Plex Mono", monospace'
  context.textAlign = 'right'
  context.fillStyle = look.open ? ink.copper : ink.text
  const named = row.firstByte < 0 ? String(row.number) : `${row.firstByte} B`
  context.fillText(`${look.open ? '▾ ' : ''}${named}`, LABEL_WIDTH - 8, y + 11.5)
  context.textAlign = 'left'
  context.fillStyle = ink.free
  context.fillRect(LABEL_WIDTH, y, row.size * scale, BAR)
  if (row.stretches.length === 0) {
    context.strokeStyle = ink.line
    context.lineWidth = 1
    hatch(context, LABEL_WIDTH, y, row.size * scale, 9)
    context.fillStyle = ink.quiet
    context.font = '11px "IBM Plex Sans", sans-serif'
    context.fillText('kept free', LABEL_WIDTH + 6, y + 11.5)
  }
  context.font = '11px "IBM Plex Sans", sans-serif'
  row.stretches.forEach((one, i) =>
    stretch(context, one, row, y, scale, ink, look.names[i], one.piece === look.lit),
  )
  for (const one of look.shadows ?? []) {
    shadow(context, one, y, scale, ink)
  }
  if (look.slot !== undefined) {
    context.fillStyle = ink.text
    const x = LABEL_WIDTH + (look.slot - 1) * scale
    context.fillRect(x, y - 2, Math.max(1.5, scale), BAR + 4)
  }
}
