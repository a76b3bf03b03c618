import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { DisplayView } from '../../src/api/types'

const server = vi.hoisted(() => ({
  marks: vi.fn(),
  mark: vi.fn(),
  progress: vi.fn(),
  reachStage: vi.fn(),
  handoverNow: vi.fn(),
  shadows: vi.fn(),
  give: vi.fn(),
  stopGiving: vi.fn(),
}))
vi.mock('../../src/api/client', async () => ({
  ...(await vi.importActual<object>('../../src/api/asking')),
  api: server,
}))
vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined })
vi.stubGlobal('window', globalThis)

const { Problem } = await import('../../src/api/asking')
const { useDisplay } = await import('../../src/state/display')
const { useBeside } = await import('../../src/state/beside')
const { useMarks } = await import('../../src/state/marks')
const { useProgress } = await import('../../src/state/progress')
const { useHandover } = await import('../../src/state/handover')

const view = (id: string, version = 1, more: object = {}) =>
  ({ id, version, controllers: [], props: [], findings: [], ...more }) as unknown as DisplayView
const step = (version: number, more: object = {}) => {
  const display = useDisplay()
  display.view = view(display.view!.id, version, more)
}
/** Until whatever was gathered has been asked, and answered. */
async function later() {
  await nextTick()
  await vi.advanceTimersByTimeAsync(200)
}

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  Object.values(server).forEach((door) => door.mockReset())
  useDisplay().view = view('a')
})

describe('what is known beside a plan', () => {
  it('is asked for once for changes that come close together', async () => {
    const ask = vi.fn().mockResolvedValue('first')
    const { known } = useBeside(ask)
    expect(known.value).toBeUndefined()
    await later()
    expect(known.value).toBe('first')
    for (let version = 2; version < 9; version++) {
      step(version)
      await nextTick()
      await vi.advanceTimersByTimeAsync(20)
    }
    useDisplay().besides++
    await later()
    expect(ask.mock.calls).toEqual([['a'], ['a']])
  })

  it('stays where it cannot be asked, and goes with its display', async () => {
    const learned: unknown[] = []
    const ask = vi.fn().mockResolvedValueOnce('of a').mockRejectedValueOnce(new Error('gone'))
    const { known } = useBeside(ask, (answer) => learned.push(answer))
    await later()
    step(2)
    await later()
    expect(known.value).toBe('of a')
    ask.mockResolvedValueOnce('of b')
    useDisplay().view = view('b')
    await nextTick()
    expect(known.value).toBeUndefined()
    await later()
    expect(known.value).toBe('of b')
    expect(learned).toEqual([undefined, 'of a', undefined, 'of b'])
  })

  it('is not taken from an answer about a display that was left', async () => {
    let answer: (what: string) => void = () => undefined
    const ask = vi.fn(() => new Promise<string>((done) => (answer = done)))
    const { known } = useBeside(ask)
    await later()
    useDisplay().view = view('b')
    answer('of a')
    await nextTick()
    await Promise.resolve()
    expect(known.value).toBeUndefined()
  })
})

describe('what was seen right', () => {
  const seen = (piece: string) => ({ piece, by: 'Ada' })
  it('is known by piece, and counted', async () => {
    server.marks.mockResolvedValue({ seen: [seen('p')], strings: 7 })
    const marks = useMarks()
    expect([marks.begun, marks.strings]).toEqual([false, 0])
    await later()
    expect(marks.seen.get('p')).toEqual(seen('p'))
    expect([marks.begun, marks.strings]).toEqual([true, 7])
  })

  it('is as the answer to a mark says', async () => {
    server.marks.mockResolvedValue({ seen: [], strings: 2 })
    server.mark
      .mockResolvedValueOnce({ seen: [seen('p')], strings: 2 })
      .mockRejectedValueOnce(new Problem(409, { title: 'Moved on' }))
    const marks = useMarks()
    await later()
    await marks.mark(['p'], true)
    expect(server.mark).toHaveBeenCalledWith('a', ['p'], true)
    expect(marks.begun).toBe(true)
    await marks.mark(['p'], false)
    expect(marks.begun, 'what was refused changes nothing').toBe(true)
    expect(useDisplay().problem?.title).toBe('Moved on')
  })

  it('of the whole plan on stand-ins is clean, not clean, or of another plan', async () => {
    const checked = (version: number, wrong: number, refused: number) =>
      server.marks.mockResolvedValueOnce({
        seen: [],
        strings: 1,
        checked: { version, wrong, refused },
      })
    const marks = useMarks()
    expect(marks.check).toBe('NONE')
    for (const [wrong, refused, state] of [
      [0, 0, 'CLEAN'],
      [2, 0, 'NOT_CLEAN'],
      [0, 1, 'NOT_CLEAN'],
    ] as const) {
      checked(1, wrong, refused)
      await marks.look()
      expect(marks.check).toBe(state)
    }
    checked(1, 0, 0)
    await marks.look()
    step(2)
    expect(marks.check).toBe('CHANGED')
  })
})

describe('where strings are', () => {
  it('has begun once one is anywhere else than planned, in trouble or put away', async () => {
    const progress = useProgress()
    for (const [one, begun] of [
      [{ piece: 'p', stage: 'PLANNED' }, false],
      [{ piece: 'p', stage: 'HUNG' }, true],
      [{ piece: 'p', stage: 'PLANNED', trouble: { reason: 'dark' } }, true],
      [{ piece: 'p', stage: 'PLANNED', stored: { place: 'loft' } }, true],
    ] as const) {
      server.progress.mockResolvedValueOnce({ strings: [one] })
      await progress.look()
      expect(progress.begun, JSON.stringify(one)).toBe(begun)
      expect(progress.byPiece.get('p')).toEqual(one)
    }
  })

  it('is as the answer says; a refusal changes nothing, and is told', async () => {
    server.reachStage
      .mockResolvedValueOnce({ strings: [{ piece: 'p', stage: 'HUNG' }] })
      .mockRejectedValueOnce(new Problem(400, { title: 'No such string' }))
    const progress = useProgress()
    expect(await progress.reach(['p'], 'HUNG')).toBe(true)
    expect(await progress.reach(['q'], 'HUNG')).toBe(false)
    expect(progress.strings).toHaveLength(1)
    expect(useDisplay().problem?.title).toBe('No such string')
  })
})

describe('changes that follow one another quickly', () => {
  const after = <T>(millis: number, what: T) =>
    new Promise<T>((done) => setTimeout(() => done(what), millis))
  const hung = (...pieces: string[]) => ({
    strings: pieces.map((piece) => ({ piece, stage: 'HUNG' })),
  })

  it('are told one after the other, and the last answer holds', async () => {
    server.reachStage
      .mockImplementationOnce(() => after(90, hung('p')))
      .mockImplementationOnce(() => after(10, hung('p', 'q')))
    const progress = useProgress()
    const both = Promise.all([progress.reach(['p'], 'HUNG'), progress.reach(['q'], 'HUNG')])
    await vi.advanceTimersByTimeAsync(50)
    expect(server.reachStage).toHaveBeenCalledTimes(1)
    await vi.advanceTimersByTimeAsync(80)
    expect(await both).toEqual([true, true])
    expect(progress.strings).toHaveLength(2)
  })

  it('are not taken back by what was asked for before them', async () => {
    server.progress.mockImplementationOnce(() => after(90, hung()))
    server.reachStage.mockResolvedValueOnce(hung('p'))
    const progress = useProgress()
    const looked = progress.look()
    await progress.reach(['p'], 'HUNG')
    await vi.advanceTimersByTimeAsync(100)
    await looked
    expect(progress.strings).toHaveLength(1)
  })

  it('go to the display that they were meant for', async () => {
    server.reachStage.mockImplementation(() => after(50, hung('p')))
    const progress = useProgress()
    void progress.reach(['p'], 'HUNG')
    const second = progress.reach(['q'], 'HUNG')
    useDisplay().view = view('b')
    await vi.advanceTimersByTimeAsync(120)
    expect(await second).toBe(true)
    expect(server.reachStage.mock.calls.map(([id]) => id as string)).toEqual(['a', 'a'])
    expect(progress.strings).toHaveLength(0)
  })
})

describe('how devices stand to the plan', () => {
  const now = (version: number, ...states: string[]) => ({
    version,
    findings: [{ code: 'stale' }],
    accepted: [],
    controllers: states.map((state, i) => ({ controller: `k${i + 1}`, state })),
  })

  it('is counted, and its findings come into those of the plan', async () => {
    server.handoverNow.mockResolvedValue(now(1, 'GIVEN', 'STALE', 'NEVER', 'STALE'))
    const handover = useHandover()
    expect(handover.begun).toBe(false)
    await later()
    expect([handover.begun, handover.stale, handover.open]).toEqual([true, 2, 3])
    expect(handover.states.get('k2')?.state).toBe('STALE')
    expect(useDisplay().view?.findings).toEqual([{ code: 'stale' }])
  })

  it('brings no findings of a plan that is not the one that is shown', async () => {
    server.handoverNow.mockResolvedValue(now(1, 'GIVEN'))
    const handover = useHandover()
    step(2)
    await handover.look()
    expect(useDisplay().view?.findings).toEqual([])
  })

  it('is asked about before it gives while the show is on', async () => {
    server.give.mockRejectedValueOnce(
      new Problem(409, { title: 'The show is on', detail: 'until 22:00' }),
    )
    const handover = useHandover()
    await handover.give({ which: 'STALE' } as never)
    expect(handover.showIsOn).toMatchObject({
      words: 'until 22:00',
      request: { which: 'STALE', readBack: false, back: false, inShowHours: false },
    })
    expect(useDisplay().problem).toBeUndefined()
    server.give.mockResolvedValueOnce(undefined)
    server.handoverNow.mockResolvedValue(now(1, 'GIVEN'))
    await handover.give({ ...handover.showIsOn!.request, inShowHours: true })
    expect(server.give.mock.calls[1][1]).toMatchObject({ inShowHours: true })
    expect(handover.showIsOn).toBeUndefined()
    expect(handover.begun).toBe(true)
  })

  it('is told where it cannot be given', async () => {
    server.give.mockRejectedValueOnce(new Problem(400, { title: 'Nobody is there' }))
    await useHandover().give({ which: 'STALE' } as never)
    expect(useDisplay().problem?.title).toBe('Nobody is there')
  })

  it('shows what hung elsewhere at a milestone, until another display is opened', async () => {
    const lane = (written: string, piece: string, start: string) => ({
      port: { controller: 'k1', kind: 'PIXEL', port: Number(written.slice(-1)) },
      written,
      legs: [{ piece, sections: [{ start }] }],
    })
    step(2, {
      controllers: [
        { controller: { id: 'k1' }, lanes: [lane('K1-1', 'p', '1:1'), lane('K1-2', 'q', '2:1')] },
      ],
    })
    server.shadows.mockResolvedValue({
      name: 'Handed over',
      legs: [
        { piece: 'p', written: 'K1-1', start: '1:1' },
        { piece: 'q', written: 'K1-2', start: '2:31' },
        { piece: 'gone', written: 'K1-2', start: '2:61' },
      ],
    })
    const handover = useHandover()
    await handover.showShadows('m')
    expect(handover.shadowsAt.get('K1-2')).toHaveLength(2)
    expect([...handover.movedPieces]).toEqual(['q', 'gone'])
    useDisplay().view = view('b')
    await nextTick()
    expect(handover.shadows).toBeUndefined()
  })
})
