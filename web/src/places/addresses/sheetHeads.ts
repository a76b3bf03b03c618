import type { PlanColumn, SheetColumn } from '../../api/types'

/** What a column may mean, in the order of the work. */
export const MEANINGS: { value: PlanColumn; title: string }[] = [
  { value: 'PROP', title: 'prop' },
  { value: 'PIECE', title: 'piece of the prop' },
  { value: 'PIXELS', title: 'pixels' },
  { value: 'TYPE', title: 'pixel type' },
  { value: 'ZONE', title: 'zone' },
  { value: 'CONTROLLER', title: 'controller' },
  { value: 'PORT', title: 'port' },
  { value: 'POSITION', title: 'place on the port' },
  { value: 'NULL_PIXELS', title: 'null pixels before it' },
  { value: 'START', title: 'start, universe:channel' },
  { value: 'UNIVERSE', title: 'start universe' },
  { value: 'CHANNEL', title: 'start channel' },
  { value: 'DISPLAY_START', title: 'display channel' },
  { value: 'ORDER', title: 'colour order' },
  { value: 'BRIGHTNESS', title: 'brightness %' },
]

const KEPT = 'hamper.sheets'
const MOST_KEPT = 50

/** Heads of a sheet as one text: the same sheet next week has the same. */
export function headsKey(columns: SheetColumn[]): string {
  return columns.map((column) => column.head.trim().toLowerCase()).join('|')
}
/** What columns mean, as the server takes it. */
export function asMeans(columns: { means?: PlanColumn }[]): string {
  return columns.map((column) => column.means ?? '').join(',')
}
type Kept = Record<string, string>

/** What somebody said of a sheet with these heads before; undefined where nobody did. */
export function remembered(columns: SheetColumn[], stored: string | null): string | undefined {
  return (JSON.parse(stored ?? '{}') as Kept)[headsKey(columns)]
}
/** The same with what was said now, the latest at the end; the oldest is forgotten. */
export function remember(columns: SheetColumn[], means: string, stored: string | null): string {
  const kept = JSON.parse(stored ?? '{}') as Kept
  const key = headsKey(columns)
  const others = Object.entries(kept).filter(([known]) => known !== key)
  return JSON.stringify(Object.fromEntries([...others, [key, means]].slice(-MOST_KEPT)))
}
export const store = {
  read: () => localStorage.getItem(KEPT),
  write: (text: string) => localStorage.setItem(KEPT, text),
}
