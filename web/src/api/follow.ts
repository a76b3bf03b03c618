import type { OutputState } from './types'

/** What a stream tells: versions of all displays when it begins, each step, how sending goes. */
export type News =
  | { type: 'hello'; versions: Record<string, number> }
  /** A step, with its delta as it was told: whoever made it, or shows another display, reads none. */
  | { type: 'delta'; display: string; version: number; text: string }
  | { type: 'output'; output: OutputState }
  | { type: 'handover'; display: string }
  | { type: 'door' }
  | { type: 'lost' }

/** How long until the next attempt where the server does not take the stream (ms). */
const AGAIN = 3000

/**
 * Follows what happens to displays, for as long as the window lives. All windows of a browser share
 * one stream, for a browser gives six connections to a host and each stream would keep one: whoever
 * holds the lock reads it and passes it on, and when that window closes another takes over.
 */
export function follow(take: (news: News) => void) {
  const others = new BroadcastChannel('hamper-news')
  others.addEventListener('message', (message) => take(message.data as News))
  const read = () =>
    new Promise<never>(() =>
      stream((news) => {
        take(news)
        others.postMessage(news)
      }),
    )
  // where pages are not from this machine, browsers have no locks: each window reads by itself
  void (navigator.locks ? navigator.locks.request('hamper-follow', read) : read())
}

function stream(tell: (news: News) => void) {
  const events = new EventSource('/api/events')
  const on = (name: string, news: (data: string, id: string) => News) =>
    events.addEventListener(name, ({ data, lastEventId }) => tell(news(data, lastEventId)))
  on('hello', (data) => ({ type: 'hello', ...JSON.parse(data) }))
  on('delta', (text, id) => {
    const [display, version] = id.split(' ')
    return { type: 'delta', display, version: Number(version), text }
  })
  on('output', (data) => ({ type: 'output', output: JSON.parse(data) }))
  on('handover', (data) => ({ type: 'handover', ...JSON.parse(data) }))
  on('door', () => ({ type: 'door' }))
  on('lost', () => ({ type: 'lost' }))
  events.addEventListener('error', () => {
    // after a break a browser asks again by itself, but not after a refusal
    if (events.readyState === EventSource.CLOSED) {
      window.setTimeout(() => stream(tell), AGAIN)
    }
  })
}
