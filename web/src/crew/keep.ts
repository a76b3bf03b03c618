import { createStore, del, entries, get, set } from 'idb-keyval'

/** What the phone keeps for itself, so that it goes on without a connection. */
const store = createStore('hamper-crew', 'kept')

/** A phone whose browser keeps nothing goes on as well, for as long as the page is open. */
async function kept<T>(work: Promise<T>): Promise<T | undefined> {
  try {
    return await work
  } catch {
    return undefined
  }
}

/** Reactive values and those that were made by the network are kept as plain ones. */
const plain = <T>(value: T): T =>
  value instanceof Blob ? value : (JSON.parse(JSON.stringify(value)) as T)

export const keep = {
  get: <T>(what: string) => kept(get<T>(what, store)),
  set: <T>(what: string, value: T) => kept(set(what, plain(value), store)),
  forget: (what: string) => kept(del(what, store)),
  all: async () => (await kept(entries<string, unknown>(store))) ?? [],
}
