import type { Delta, OutputState } from './types'

/** What a stream tells: versions of all displays when it begins, each step, how sending goes. */
export type News =
  | { type: 'hello'; versions: Record<string, number> }
  | { type: 'delta'; display: string; delta: Delta }
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
  const on = (name: string, news: (data: string) => News) =>
    events.addEventListener(name, (event) => tell(news((event as MessageEvent).data)))
  on('hello', (data) => ({ type: 'hello', ...JSON.parse(data) }))
  on('delta', (data) => ({ type: 'delta', ...JSON.parse(data) }))
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
