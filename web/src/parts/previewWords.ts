import type { Preview } from '../api/types'
import { counted } from './words'

const MOST = 4

function named(names: string[]): string {
  const more = names.length > MOST ? ` and ${names.length - MOST} more` : ''
  return names.slice(0, MOST).join(', ') + more
}

/** What an edit would do to anything but what it sets, a line each; none where that is nothing. */
export function consequences(preview: Preview): string[] {
  const { moved, unpatched, found, cleared, stale, still } = preview
  const told = moved ? [moved] : []
  if (still?.movesWithout) {
    told.push(
      `keeping still: ${counted(still.movesWith, 'channel')} of others ${still.movesWith === 1 ? 'moves' : 'move'} instead of ${still.movesWithout.toLocaleString('en')}`,
    )
  }
  if (stale.length) {
    told.push(`${named(stale)} would want the configuration anew`)
  }
  if (unpatched.length) {
    told.push(`${counted(unpatched.length, 'piece')} back to the tray: ${named(unpatched)}`)
  }
  found.slice(0, MOST).forEach((finding) => told.push(`▲ ${finding.message}`))
  if (found.length > MOST) {
    told.push(`▲ and ${found.length - MOST} more findings`)
  }
  if (cleared.length) {
    told.push(`clears ${counted(cleared.length, 'finding')}`)
  }
  return told
}

/** The same for somebody who is about to decide: also that nothing moves, and which ports change. */
export function outcome(preview: Preview): string[] {
  const told = consequences(preview)
  if (preview.lanes.length) {
    told.splice(
      preview.moved ? 1 : 0,
      0,
      `changes ${named(preview.lanes.map((lane) => lane.written))}`,
    )
  }
  return preview.moved ? told : ['no address moves', ...told]
}
