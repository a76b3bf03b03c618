import type { FeedView, LaneView, Question } from '../../api/types'

export type Column = 'port' | 'pixels' | 'frame' | 'traffic' | 'amps' | 'full' | 'volts'

export const COLUMNS: { key: Column; title: string; means: string; why?: Question['kind'] }[] = [
  { key: 'port', title: 'Port', means: 'in list order' },
  {
    key: 'pixels',
    why: 'PIXEL_LIMIT',
    title: 'Filled',
    means: 'pixels, null pixels included, or DMX slots, of what the port takes',
  },
  {
    key: 'frame',
    why: 'FRAME_TIME',
    title: 'Frame rate',
    means: 'and how much of the show’s frame it takes',
  },
  {
    key: 'traffic',
    why: 'PORT_TRAFFIC',
    title: 'Traffic',
    means: 'of its channels, were they sent alone, of the link',
  },
  {
    key: 'amps',
    why: 'AMPS',
    title: 'Planned',
    means: 'the fuse nearest to its limit, all white at the planned brightness',
  },
  {
    key: 'full',
    why: 'FULL_AMPS',
    title: 'At 100 %',
    means: 'the fuse nearest to its limit, as a device’s own test lights it',
  },
  {
    key: 'volts',
    why: 'VOLTS',
    title: 'Lowest voltage',
    means: 'of what the pixels can do without',
  },
]

/** A value with what it may be: the number as text, the share of its limit, the headroom in words. */
export interface Cell {
  text: string
  share: number
  told: string
}

function spare(share: number): string {
  return share > 1
    ? `${Math.round((share - 1) * 100)} % too much`
    : `${Math.round((1 - share) * 100)} % to spare`
}

/** The feed whose fuse is nearest to its limit. */
function hottest(feeds: FeedView[], amps: (feed: FeedView) => number): FeedView | undefined {
  const share = (feed: FeedView) => amps(feed) / (feed.fuseAmps ?? Infinity)
  return feeds.reduce<FeedView | undefined>(
    (worst, feed) => (worst && share(worst) >= share(feed) ? worst : feed),
    undefined,
  )
}

function fuse(lane: LaneView, amps: (feed: FeedView) => number, when: string): Cell {
  const feeds = lane.power?.feeds ?? []
  const worst = hottest(feeds, amps)
  if (!worst) {
    return { text: 'no feed', share: 0, told: 'Nothing feeds this run' }
  }
  const share = worst.fuseAmps ? amps(worst) / worst.fuseAmps : 0
  const of = worst.fuseAmps ? ` / ${worst.fuseAmps}` : ''
  const many = feeds.length > 1 ? `, the worst of ${feeds.length} feeds` : ''
  return {
    text: `${amps(worst).toFixed(1)}${of} A`,
    share,
    told: `${when}${many}: ${worst.fuseAmps ? spare(share) : 'no fuse is known'}`,
  }
}

/** Every column of a port. */
export function cellsOf(lane: LaneView): Record<Exclude<Column, 'port'>, Cell> {
  return lane.dmx ? ofDmx(lane.dmx) : ofPixels(lane)
}

const NO_POWER: Cell = { text: '', share: 0, told: 'No power comes from a DMX line' }

function ofDmx(line: NonNullable<LaneView['dmx']>): Record<Exclude<Column, 'port'>, Cell> {
  return {
    pixels: {
      text: `${line.lastSlot} / ${line.most} slots`,
      share: line.lastSlot / line.most,
      told: `The last slot in use; ${line.slots} are sent`,
    },
    frame: frame(line),
    traffic: traffic(line),
    amps: NO_POWER,
    full: NO_POWER,
    volts: NO_POWER,
  }
}

function frame(load: { framesPerSecond: number; frameShare: number }): Cell {
  return {
    text: `${Math.floor(load.framesPerSecond)} fps`,
    share: load.frameShare,
    told: `${Math.round(load.frameShare * 100)} % of a frame`,
  }
}

function traffic(load: {
  packetsPerSecond: number
  megabitsPerSecond: number
  mostMegabits: number
}): Cell {
  const share = load.megabitsPerSecond / load.mostMegabits
  return {
    text: load.packetsPerSecond ? `${load.megabitsPerSecond.toFixed(2)} Mbit/s` : 'storage',
    share,
    told: load.packetsPerSecond
      ? `${Math.round(load.packetsPerSecond)} packets/s; ${spare(share)} of ${load.mostMegabits} Mbit/s planned on the link`
      : 'Plays from its own storage',
  }
}

function ofPixels(lane: LaneView): Record<Exclude<Column, 'port'>, Cell> {
  const load = lane.load!
  const volts = lane.power?.volts
  const places = load.pixels + load.nullPixels
  const sag = volts
    ? (volts.suppliedVolts - volts.volts) / (volts.suppliedVolts - volts.leastVolts)
    : 0
  return {
    pixels: {
      text: `${places} / ${load.limit}`,
      share: places / load.limit,
      told: `Limit by the ${load.limitBy === 'FRAME' ? 'frame' : 'model'}: ${spare(places / load.limit)}`,
    },
    frame: frame(load),
    traffic: traffic(load),
    amps: fuse(lane, (feed) => feed.amps, 'Planned brightness, all white'),
    full: fuse(lane, (feed) => feed.fullAmps, 'At 100 %, all white'),
    volts: {
      text: volts?.told ?? 'dark',
      share: lane.power?.unfed ? 2 : sag,
      told: volts
        ? `Works from ${volts.leastTold} of ${volts.suppliedVolts} V: ${spare(sag)}`
        : 'Nothing feeds this run',
    },
  }
}

/** How warm a cell is: the nearer to its limit, the more. */
export function heat(share: number): string {
  // pale enough that the numbers on it keep their contrast
  const tone =
    share > 1 ? 'rgb(var(--v-theme-error)) 12%' : `var(--copper) ${Math.round(share ** 2 * 30)}%`
  return `color-mix(in srgb, ${tone}, transparent)`
}
