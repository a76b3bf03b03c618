import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { CrewYard } from '../../src/crew/types'

const kept = vi.hoisted(() => new Map<string, unknown>())
const door = vi.hoisted(() => ({
  enter: vi.fn(),
  yard: vi.fn(),
  strings: vi.fn(),
  controller: vi.fn(),
  moves: vi.fn(),
  claim: vi.fn(),
}))
const errors = vi.hoisted(() => ({
  OutOfReach: class extends Error {},
  Refused: class extends Error {
    status: number
    constructor(status: number, told: string) {
      super(told)
      this.status = status
    }
  },
}))
vi.mock('../../src/crew/keep', () => ({
  keep: {
    get: (what: string) => Promise.resolve(kept.get(what)),
    set: (what: string, value: unknown) => Promise.resolve(void kept.set(what, value)),
    all: () => Promise.resolve([...kept]),
    forget: (what: string) => Promise.resolve(void kept.delete(what)),
  },
}))
vi.mock('../../src/crew/reach', () => ({
  name: { get: () => 'Ada', set: () => undefined },
  reach: door,
  ...errors,
}))

/** A stream that tells what a test wants it to. */
class Events {
  static readonly CLOSED = 2
  static all: Events[] = []
  readyState = 1
  closed = false
  private readonly told = new Map<string, () => void>()
  constructor() {
    Events.all.push(this)
  }
  addEventListener(name: string, does: () => void) {
    this.told.set(name, does)
  }
  tell(name: string) {
    this.told.get(name)?.()
  }
  close() {
    this.closed = true
  }
}
const heard = new Map<string, () => void>()
const page = {
  hidden: false,
  // Vue makes one when it is loaded, and nothing else
  createElement: () => ({}),
  addEventListener: (what: string, does: () => void) => heard.set(what, does),
}
const address = { hash: '', search: '', pathname: '/crew/' }
const replaced: string[] = []
vi.stubGlobal('window', {
  setTimeout: (does: () => void, after: number) => setTimeout(does, after),
  clearTimeout: (timer: number) => clearTimeout(timer),
  setInterval: (does: () => void, every: number) => setInterval(does, every),
  addEventListener: (what: string, does: () => void) => heard.set(what, does),
})
vi.stubGlobal('document', page)
vi.stubGlobal('location', address)
vi.stubGlobal('history', {
  state: {},
  replaceState: (_: unknown, __: string, to: string) => replaced.push(to),
})
vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined })
vi.stubGlobal('EventSource', Events)

const at = (id: string, version: number, ...controllers: string[]) =>
  ({
    id,
    version,
    now: new Date().toISOString(),
    may: [],
    controllers: controllers.map((one) => ({ id: one })),
  }) as unknown as CrewYard

/** A phone that was just opened: nothing of the page before is left. */
async function opened() {
  vi.resetModules()
  const known = await import('../../src/crew/known')
  const yard = await import('../../src/crew/yard')
  return { known, yard, stream: () => Events.all.at(-1)! }
}
const settled = () => vi.advanceTimersByTimeAsync(0)

beforeEach(() => {
  vi.useFakeTimers({ now: Date.parse('2026-12-01T17:00:00Z') })
  kept.clear()
  heard.clear()
  Events.all = []
  replaced.length = 0
  Object.assign(address, { hash: '', search: '' })
  page.hidden = false
  Object.values(door).forEach((one) => one.mockReset())
  door.yard.mockImplementation(() => Promise.resolve(at('d', 5, 'k1', 'k2')))
  door.strings.mockResolvedValue({ strings: [{ piece: 'p', stage: 'PLANNED' }] })
  door.controller.mockImplementation((id: string) => Promise.resolve({ id, version: 5 }))
  door.moves.mockResolvedValue({ moves: [] })
})
afterEach(() => vi.useRealTimers())

describe('a phone that is opened', () => {
  it('shows what it remembers while it is out of reach, and asks again by itself', async () => {
    kept.set('yard', at('d', 4, 'k1'))
    kept.set('strings', [{ piece: 'old', stage: 'HUNG' }])
    kept.set('page:k1', { id: 'k1', version: 4 })
    kept.set('seen', 3)
    door.yard.mockRejectedValueOnce(new errors.OutOfReach())
    const { known, yard } = await opened()
    await yard.begin(Promise.resolve())
    expect(known.reached.value).toBe(false)
    expect(known.yard.value?.version).toBe(4)
    expect([...known.known.value.keys()]).toEqual(['old'])
    expect([...known.pages.keys()]).toEqual(['k1'])
    await vi.advanceTimersByTimeAsync(3_100)
    expect(known.reached.value).toBe(true)
    expect(known.yard.value?.version).toBe(5)
    expect(kept.get('strings')).toEqual([{ piece: 'p', stage: 'PLANNED' }])
  })

  it('takes every controller along, and forgets those that are gone', async () => {
    kept.set('page:gone', { id: 'gone', version: 5 })
    kept.set('page:k1', { id: 'k1', version: 5 })
    const { known, yard } = await opened()
    await yard.begin(Promise.resolve())
    expect(door.controller.mock.calls).toEqual([['k2']])
    expect([...known.pages.keys()].sort()).toEqual(['k1', 'k2'])
    expect(kept.has('page:gone')).toBe(false)
  })

  it('knows the clock of the computer, whatever its own says', async () => {
    door.yard.mockResolvedValue({ ...at('d', 5), now: '2026-12-01T18:30:00Z' })
    const { known, yard } = await opened()
    await yard.begin(Promise.resolve())
    expect(known.clock.value).toBe(90 * 60_000)
  })

  it('is told where its key does not open any more, and goes on once it does', async () => {
    door.yard.mockRejectedValueOnce(new errors.Refused(401, 'The door was closed'))
    const { known, yard } = await opened()
    await yard.begin(Promise.resolve())
    expect(known.shut.value).toBe('The door was closed')
    heard.get('online')!()
    await settled()
    expect(known.shut.value).toBe('')
  })
})

describe('a link with a key', () => {
  beforeEach(() => {
    address.hash = '#secret'
    door.enter.mockResolvedValue(at('d', 5, 'k1'))
  })
  it('enters, and does not stay in the address', async () => {
    const { known, yard } = await opened()
    await yard.begin(Promise.resolve())
    expect(door.enter).toHaveBeenCalledWith('secret')
    expect(replaced).toEqual(['/crew/'])
    expect(known.yard.value?.id).toBe('d')
  })
  it('of another display keeps nothing of this one but what waits', async () => {
    kept.set('yard', at('other', 9, 'k9'))
    kept.set('strings', [{ piece: 'theirs' }])
    kept.set('page:k9', { id: 'k9' })
    kept.set('seen', 9)
    kept.set('wait:other:1', { id: '1', display: 'other', piece: 'theirs', at: 1 })
    kept.set('picture:1', 'a picture')
    const { known, yard } = await opened()
    await yard.begin(Promise.resolve())
    expect([...kept.keys()].filter((one) => /^(wait|picture):/.test(one))).toHaveLength(2)
    expect(known.waiting.value).toEqual([])
    expect(known.seen.value, 'nothing of before it was first seen is news').toBe(5)
    expect([...known.pages.keys()]).toEqual(['k1', 'k2'])
  })
  it('of the same display keeps what was known', async () => {
    kept.set('yard', at('d', 4, 'k1'))
    kept.set('seen', 4)
    const { known, yard } = await opened()
    await yard.begin(Promise.resolve())
    expect(known.seen.value).toBe(4)
  })
  it('that opens nothing says so', async () => {
    door.enter.mockRejectedValue(new errors.Refused(401, 'That key is of last week'))
    door.yard.mockRejectedValue(new errors.Refused(401, 'That key is of last week'))
    const { known, yard } = await opened()
    await yard.begin(Promise.resolve())
    expect(known.shut.value).toBe('That key is of last week')
    expect(known.yard.value).toBeUndefined()
  })
})

describe('what moved', () => {
  it('is since the version on the sheet that was scanned, never one that is to come', async () => {
    address.search = '?v=3'
    const first = await opened()
    await first.yard.begin(Promise.resolve())
    expect(door.moves).toHaveBeenLastCalledWith(3)
    address.search = '?v=99'
    const second = await opened()
    await second.yard.begin(Promise.resolve())
    expect(second.known.seen.value).toBe(5)
  })
  it('is read once somebody says so', async () => {
    kept.set('seen', 2)
    const { known, yard } = await opened()
    await yard.begin(Promise.resolve())
    expect(door.moves).toHaveBeenLastCalledWith(2)
    await yard.readMoves()
    expect([known.seen.value, kept.get('seen')]).toEqual([5, 5])
    expect(door.moves).toHaveBeenLastCalledWith(5)
  })
})

describe('what the computer tells', () => {
  async function listening() {
    const phone = await opened()
    await phone.yard.begin(Promise.resolve())
    Object.values(door).forEach((one) => one.mockClear())
    return phone
  }
  it('of the plan is looked at once, however many steps come close together', async () => {
    const { stream } = await listening()
    for (let i = 0; i < 9; i++) {
      stream().tell('plan')
      await vi.advanceTimersByTimeAsync(30)
    }
    await vi.advanceTimersByTimeAsync(200)
    expect(door.yard).toHaveBeenCalledTimes(1)
  })
  it('of strings asks for strings alone', async () => {
    const { known, stream } = await listening()
    door.strings.mockResolvedValue({ strings: [{ piece: 'p', stage: 'HUNG' }] })
    stream().tell('strings')
    stream().tell('strings')
    await vi.advanceTimersByTimeAsync(200)
    expect(door.strings).toHaveBeenCalledTimes(1)
    expect(door.yard).not.toHaveBeenCalled()
    expect(known.known.value.get('p')?.stage).toBe('HUNG')
  })
  it('is asked for once more where it was told while it was being looked at', async () => {
    const { stream } = await listening()
    let answer: (yard: CrewYard) => void = () => undefined
    door.yard.mockReturnValueOnce(new Promise((done) => (answer = done)))
    stream().tell('hello')
    stream().tell('hello')
    stream().tell('hello')
    answer(at('d', 6, 'k1'))
    await settled()
    await settled()
    expect(door.yard).toHaveBeenCalledTimes(2)
  })
  it('of two answers counts the one that was asked for later', async () => {
    const { known, stream } = await listening()
    let late: (what: object) => void = () => undefined
    door.strings.mockReturnValueOnce(new Promise((done) => (late = done)))
    stream().tell('strings')
    await vi.advanceTimersByTimeAsync(200)
    door.strings.mockResolvedValueOnce({ strings: [{ piece: 'p', stage: 'TESTED' }] })
    stream().tell('strings')
    await vi.advanceTimersByTimeAsync(200)
    late({ strings: [{ piece: 'p', stage: 'PLANNED' }] })
    await settled()
    expect(known.known.value.get('p')?.stage).toBe('TESTED')
  })
  it('has gone without a word after a silence: then it is listened to anew', async () => {
    const { stream } = await listening()
    const first = stream()
    for (let i = 0; i < 4; i++) {
      await vi.advanceTimersByTimeAsync(5_000)
      first.tell('beat')
    }
    expect(stream()).toBe(first)
    await vi.advanceTimersByTimeAsync(12_100)
    expect(first.closed).toBe(true)
    expect(stream()).not.toBe(first)
    expect(door.yard).toHaveBeenCalled()
  })
  it('is listened to again where the stream was ended', async () => {
    const { stream } = await listening()
    const first = stream()
    first.readyState = Events.CLOSED
    first.tell('error')
    await vi.advanceTimersByTimeAsync(3_100)
    expect(stream()).not.toBe(first)
    expect(door.yard, 'whether the key still opens').toHaveBeenCalled()
  })
  it('is asked for when the phone is looked at again, and not when it is put away', async () => {
    await listening()
    page.hidden = true
    heard.get('visibilitychange')!()
    await settled()
    expect(door.yard).not.toHaveBeenCalled()
    page.hidden = false
    heard.get('visibilitychange')!()
    await settled()
    expect(door.yard).toHaveBeenCalledTimes(1)
  })
})
