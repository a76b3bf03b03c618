import type { OutputState } from '../api/types'
import { counted } from '../parts/words'

/** A time that is left, such as "12:05" or "1:00:00". */
export function clock(seconds: number): string {
  const two = (value: number) => String(value).padStart(2, '0')
  const minutes = Math.floor(seconds / 60) % 60
  const hours = Math.floor(seconds / 3600)
  return hours ? `${hours}:${two(minutes)}:${two(seconds % 60)}` : `${minutes}:${two(seconds % 60)}`
}

/** What is lit in one line: how much, until when at the latest, by whom where there are several. */
export function lit(state: OutputState): string {
  const holders = state.holders
  const left = Math.max(0, ...holders.map((one) => one.secondsLeft))
  const who = holders.length > 1 ? ` by ${holders.length}` : ''
  const pieces = holders.reduce((sum, one) => sum + one.pieces, 0)
  return `${counted(pieces, 'piece')} lit${who} · ${clock(left)}`
}

/** What is wrong with how it goes, each in a few words; nothing mostly. */
export function troubles(state: OutputState): string[] {
  return [
    ...(state.unsent ? [`${counted(state.unsent, 'frame')} unsent`] : []),
    ...(state.failed ? [`${counted(state.failed, 'packet')} not taken`] : []),
    ...(state.leftOut.length ? [`${counted(state.leftOut.length, 'controller')} left out`] : []),
  ]
}
