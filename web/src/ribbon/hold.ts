import type { Section } from '../api/types'

/** How a start is typed: "12:301" at that universe and channel, "301" at that channel of the controller. */
export const START = /^\d{1,5}(:\d{1,3})?$/
export const START_TOLD = 'write universe:channel, such as 12:301, or a channel of the controller'

export function holdOf(typed: string): Section['hold'] {
  const [first, second] = typed.split(':').map(Number)
  return second === undefined ? { channel: first } : { universe: first, channel: second }
}
