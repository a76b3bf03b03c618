import { beforeEach, describe, expect, it, vi } from 'vitest'

const door = vi.hoisted(() => ({
  light: vi.fn(),
  dark: vi.fn(),
  stopAll: vi.fn(),
  hold: vi.fn(),
}))
const errors = vi.hoisted(() => ({ OutOfReach: class extends Error {} }))
vi.mock('../../src/crew/reach', () => ({ reach: door, ...errors }))
vi.stubGlobal('window', {
  setTimeout: (does: () => void, after: number) => setTimeout(does, after),
  clearTimeout: (timer: number) => clearTimeout(timer),
})

const { dark, held, hold, letGo, light, lit, stopAll, unlit } =
  await import('../../src/crew/lights')
const WHITE = { piece: 'p', kind: 'WHITE' } as const

beforeEach(async () => {
  vi.useFakeTimers()
  Object.values(door).forEach((one) => one.mockReset().mockResolvedValue({ pieces: 1 }))
  letGo()
  await dark()
  Object.values(door).forEach((one) => one.mockClear())
})

describe('what a phone lights', () => {
  it('is said again and again, for without a word it ends by itself', async () => {
    await light(WHITE)
    expect(lit.value).toEqual(WHITE)
    await vi.advanceTimersByTimeAsync(6_000)
    expect(door.light.mock.calls.length).toBeGreaterThanOrEqual(5)
    await dark()
    const words = door.light.mock.calls.length
    await vi.advanceTimersByTimeAsync(6_000)
    expect(door.light).toHaveBeenCalledTimes(words)
    expect(door.dark).toHaveBeenCalledTimes(1)
    expect(lit.value).toBeUndefined()
  })
  it('is the newest: of two nobody goes on with the first', async () => {
    let answer: (what: object) => void = () => undefined
    door.light.mockReturnValueOnce(new Promise((done) => (answer = done)))
    const first = light(WHITE)
    await light({ ...WHITE, piece: 'q' })
    answer({ pieces: 1 })
    await first
    door.light.mockClear()
    await vi.advanceTimersByTimeAsync(1_600)
    expect(door.light.mock.calls.map(([one]) => one.piece)).toEqual(['q'])
  })
  it('is told where nothing of it is sent to, where it is refused, and out of reach', async () => {
    door.light.mockResolvedValueOnce({ pieces: 0 })
    await light(WHITE)
    expect(unlit.value).toContain('plays by itself')
    door.light.mockRejectedValueOnce(new Error('The show is on'))
    await vi.advanceTimersByTimeAsync(1_600)
    expect(unlit.value).toBe('The show is on')
    door.light.mockRejectedValueOnce(new errors.OutOfReach())
    await vi.advanceTimersByTimeAsync(1_600)
    expect(unlit.value).toContain('goes dark after five seconds')
    await vi.advanceTimersByTimeAsync(1_600)
    expect(unlit.value, 'it is in reach again').toBe('')
  })
  it('goes dark here at once, whether the computer hears it or not', async () => {
    await light(WHITE)
    door.dark.mockRejectedValueOnce(new errors.OutOfReach())
    await dark()
    expect([lit.value, unlit.value]).toEqual([undefined, ''])
  })
  it('is stopped with all that others light; where that cannot be it is told', async () => {
    await light(WHITE)
    door.stopAll.mockRejectedValueOnce(new Error('Nobody answered'))
    await stopAll()
    expect(lit.value).toBeUndefined()
    expect(unlit.value).toBe('Nobody answered')
    await stopAll()
    expect(unlit.value).toBe('')
  })
})

describe('what is switched', () => {
  it('is held by words as long as the thumb is on it, and let go with it', async () => {
    hold('pump')
    await vi.advanceTimersByTimeAsync(1_000)
    expect(door.hold.mock.calls.length).toBeGreaterThanOrEqual(4)
    expect(door.hold.mock.calls.every(([piece, on]) => piece === 'pump' && on)).toBe(true)
    letGo()
    const words = door.hold.mock.calls.length
    expect(door.hold.mock.lastCall).toEqual(['pump', false])
    await vi.advanceTimersByTimeAsync(1_000)
    expect(door.hold).toHaveBeenCalledTimes(words)
    expect(held.value).toBeUndefined()
  })
  it('is not held on by an answer that comes after the thumb has gone', async () => {
    let answer: (what: object) => void = () => undefined
    door.hold.mockReturnValueOnce(new Promise((done) => (answer = done)))
    hold('pump')
    letGo()
    answer({})
    await vi.advanceTimersByTimeAsync(1_000)
    expect(door.hold.mock.calls).toEqual([
      ['pump', true],
      ['pump', false],
    ])
  })
  it('is tried again where a word was lost, and that is told', async () => {
    door.hold.mockRejectedValueOnce(new Error('Say it again'))
    hold('pump')
    await vi.advanceTimersByTimeAsync(0)
    expect(unlit.value).toBe('Say it again')
    await vi.advanceTimersByTimeAsync(350)
    expect(unlit.value).toBe('')
    letGo()
    letGo()
    expect(door.hold.mock.calls.filter(([, on]) => !on)).toHaveLength(1)
  })
})
