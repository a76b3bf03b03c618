import { said } from '../../api/said'
import type { Edit, Feed, LaneView } from '../../api/types'
import { stretches } from '../../ribbon/geometry'

/** A feed along a run: the string it is soldered to, and its place among the feeds there. */
export interface FeedRef {
  piece: string
  index: number
}

/** The string that a position of the run lies on, and the position in that string. */
export function placeOf(lane: LaneView, position: number): { piece: string; position: number } {
  const wires = stretches(lane)
  const on =
    wires.find((wire) => position <= wire.from + wire.gap + wire.length) ?? wires[wires.length - 1]
  return {
    piece: on.leg.piece,
    position: Math.min(on.length, Math.max(1, position - on.from - on.gap)),
  }
}

/** What a position of the run is called: a pixel of a string. */
export function placeName(lane: LaneView, position: number): string {
  const at = placeOf(lane, position)
  const leg = lane.legs.find((one) => one.piece === at.piece)!
  return `pixel ${at.position} of ${leg.title}`
}

function feedsOf(lane: LaneView, piece: string): Feed[] {
  return lane.legs.find((leg) => leg.piece === piece)!.feeds
}

export function feedAt(lane: LaneView, ref: FeedRef): Feed {
  return feedsOf(lane, ref.piece)[ref.index]
}

/** One feed changed where it is. */
export function changeFeed(ref: FeedRef, changes: Partial<Feed>): Edit {
  return { type: 'SetFeed', ...ref, set: said(changes) }
}

export function removeFeed(ref: FeedRef): Edit {
  return { type: 'RemoveFeed', ...ref }
}

export function addFeed(lane: LaneView, position: number, feed: Omit<Feed, 'position'>): Edit {
  const at = placeOf(lane, position)
  return { type: 'AddFeeds', piece: at.piece, feeds: [{ ...feed, position: at.position }] }
}

/** A feed moved along the run, on to another string if need be. */
export function moveFeed(lane: LaneView, ref: FeedRef, position: number): Edit {
  const to = placeOf(lane, position)
  if (to.piece === ref.piece) {
    return changeFeed(ref, { position: to.position })
  }
  return {
    type: 'Together',
    title: 'Move a feed',
    edits: [removeFeed(ref), addFeed(lane, position, feedAt(lane, ref))],
  }
}
