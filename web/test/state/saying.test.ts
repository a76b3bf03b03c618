import { beforeEach, expect, test, vi } from 'vitest'
import type { CrewYard, StringAt } from '../../src/crew/types'

const kept = vi.hoisted(() => ({
  all: new Map<string, unknown>(),
  forgetting: undefined as Promise<void> | undefined,
  forgets: 0,
}))
const door = vi.hoisted(() => ({ claim: vi.fn() }))
vi.hoisted(() => vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined }))
vi.mock('../../src/crew/keep', () => ({
  keep: {
    get: (what: string) => Promise.resolve(kept.all.get(what)),
    set: (what: string, value: unknown) => Promise.resolve(void kept.all.set(what, value)),
    all: () => Promise.resolve([...kept.all]),
    forget: async (what: string) => {
      kept.forgets++
      await kept.forgetting
      kept.all.delete(what)
    },
  },
}))
vi.mock('../../src/crew/reach', () => ({
  name: { get: () => 'Ada', set: () => undefined },
  reach: { claim: door.claim },
  OutOfReach: class extends Error {},
  Refused: class extends Error {},
}))

const { known, strings, waiting, yard } = await import('../../src/crew/known')
const { rememberWaiting, tick } = await import('../../src/crew/saying')

const takes = (all: { claims: { id: string }[] }) =>
  Promise.resolve(all.claims.map(({ id }) => ({ id, verdict: 'TAKEN' })))
beforeEach(() => {
  kept.all.clear()
  kept.forgetting = undefined
  kept.forgets = 0
  door.claim.mockReset().mockImplementation(takes)
  waiting.value = []
  yard.value = { id: 'd', may: [] } as unknown as CrewYard
  strings.value = ['a', 'b'].map(
    (piece) => ({ piece, title: piece, stage: 'PLANNED' }) as unknown as StringAt,
  )
})

test('what is said while an answer is put away is neither lost nor shown as undone', async () => {
  let put_away: () => void = () => undefined
  kept.forgetting = new Promise((done) => (put_away = done))
  const first = tick('a', 'HUNG')
  await vi.waitFor(() => expect(known.value.get('a')?.stage).toBe('HUNG'))
  await vi.waitFor(() => expect(kept.forgets).toBe(1))
  const second = tick('b', 'HUNG')
  put_away()
  await Promise.all([first, second])
  await vi.waitFor(() => expect(door.claim).toHaveBeenCalledTimes(2))
  expect(door.claim.mock.calls[1][0].claims).toMatchObject([{ piece: 'b' }])
  await vi.waitFor(() => expect(waiting.value).toEqual([]))
  expect(known.value.get('b')?.stage).toBe('HUNG')
  await vi.waitFor(() => expect(kept.all.size).toBe(0))
})

test('what is said while the phone remembers goes on waiting', async () => {
  door.claim.mockRejectedValue(new Error('later'))
  const remembering = rememberWaiting()
  const said = tick('a', 'HUNG')
  await Promise.all([remembering, said])
  expect(waiting.value.map((one) => one.piece)).toEqual(['a'])
})

test('what is refused stays, with the reason, over a restart too', async () => {
  door.claim.mockImplementation((all: { claims: { id: string }[] }) =>
    Promise.resolve(all.claims.map(({ id }) => ({ id, refused: 'it hangs elsewhere' }))),
  )
  await tick('a', 'HUNG')
  expect(waiting.value).toMatchObject([{ piece: 'a', refused: 'it hangs elsewhere' }])
  waiting.value = []
  await rememberWaiting()
  expect(waiting.value).toMatchObject([{ piece: 'a', refused: 'it hangs elsewhere' }])
})
