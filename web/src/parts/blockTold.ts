import type { ControllerView } from '../api/types'

/** "1:1 – 14:510", with the universes of DMX lines behind: "37, 38"; nothing where nothing is sent. */
export function blockTold(view: ControllerView): string {
  const { from, to, dmxUniverses } = view.block
  const flowing = from === undefined ? [] : [`${from} – ${to}`]
  const lines = dmxUniverses.length ? [`universe ${dmxUniverses.join(', ')}`] : []
  return [...flowing, ...lines].join(' · ')
}

/** What of a block is in use: channels that flow, and lines that are sent whole. */
export function usedTold(view: ControllerView): string {
  const { usedChannels, dmxUniverses } = view.block
  const lines = dmxUniverses.length
  const told = lines ? [`${lines} DMX ${lines === 1 ? 'line' : 'lines'}`] : []
  return [
    ...(usedChannels || !lines ? [`${usedChannels.toLocaleString('en')} used`] : []),
    ...told,
  ].join(', ')
}
