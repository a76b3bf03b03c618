import type { AirLine, AirReport, HeardStream } from '../../api/types'
import { PROTOCOLS } from '../../parts/words'

/** States of a planned stream, in words. */
export const HEARD: Record<AirLine['state'], string> = {
  HEARD: 'heard',
  COUNTED: 'counted by the device',
  NOT_HEARD: 'not heard',
  CANNOT_BE_HEARD: 'cannot be heard from here',
}

/** The planned streams of one controller, in the order of the send list. */
export interface AirRow {
  controller: string
  lines: AirLine[]
  told: string
}

function ranges(universes: number[]): string {
  const parts: string[] = []
  let from = 0
  universes.forEach((one, i) => {
    if (universes[i + 1] !== one + 1) {
      parts.push(from === i ? `${one}` : `${universes[from]}–${one}`)
      from = i + 1
    }
  })
  return parts.join(', ')
}

/** Which universes of which protocol, as people say it. */
export function which(lines: AirLine[]): string {
  const { protocol } = lines[0].planned
  return protocol === 'DDP'
    ? PROTOCOLS.DDP
    : `${PROTOCOLS[protocol]} ${ranges(lines.map((one) => one.planned.universe))}`
}

/** Who sends, how often, with which priority. */
export function senderTold(one: HeardStream): string {
  const name = one.name ? ` (${one.name})` : ''
  const priority = one.priority === undefined ? '' : `, priority ${one.priority}`
  const rate = one.perSecond > 0 ? `, ${one.perSecond.toFixed(0)}/s` : ''
  return `${one.from}${name}${priority}${rate}`
}

/** A stream for people: what, from whom, how large. */
export function lineTold(line: AirLine): string {
  const { protocol, size, to } = line.planned
  const unit = protocol === 'DDP' ? 'bytes' : 'slots'
  const heard = line.streams
    .map((one) => `${senderTold(one)}, ${one.mostSlots || '?'} ${unit}`)
    .join('; ')
  return `${which([line])}, ${size} ${unit}${to ? ` to ${to}` : ''}: ${HEARD[line.state]}${heard ? ` from ${heard}` : ''}`
}

/** Lines by the controller that takes them first. */
export function rowsOf(report: AirReport): AirRow[] {
  const rows = new Map<string, AirLine[]>()
  report.lines.forEach((line) => {
    const controller = line.planned.controllers[0]
    rows.set(controller, [...(rows.get(controller) ?? []), line])
  })
  return [...rows].map(([controller, lines]) => ({ controller, lines, told: rowTold(lines) }))
}

function rowTold(lines: AirLine[]): string {
  return (Object.keys(HEARD) as AirLine['state'][])
    .map((state) => lines.filter((one) => one.state === state))
    .filter((alike) => alike.length > 0)
    .map((alike) => {
      const senders = new Map<string, HeardStream>()
      alike.forEach((line) =>
        line.streams.forEach((of) => senders.set(`${of.from} ${of.name}`, of)),
      )
      const from = senders.size
        ? ` from ${[...senders.values()].map(senderTold).join(' and ')}`
        : ''
      return `${which(alike)} ${HEARD[alike[0].state]}${from}`
    })
    .join('; ')
}
