import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, shallowRef, type EffectScope } from 'vue'
import { pressed } from '../pressed'
import type { DisplayView, Edit, LaneView, Preview } from '../../src/api/types'

const server = vi.hoisted(() => ({
  preview: vi.fn(),
  edit: vi.fn(),
  undo: vi.fn(),
  redo: vi.fn(),
  runPower: vi.fn(),
  stopOutput: vi.fn(),
  who: vi.fn(),
  askWho: vi.fn(),
  stopWho: vi.fn(),
  locate: vi.fn(),
}))
vi.mock('../../src/api/client', async () => ({
  ...(await vi.importActual<object>('../../src/api/asking')),
  api: server,
  who: { get: () => 'Ada' },
}))
const told = new Map<string, (event: KeyboardEvent) => void>()
vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined })
vi.stubGlobal('window', {
  setTimeout: (does: () => void, after: number) => setTimeout(does, after),
  clearTimeout: (timer: number) => clearTimeout(timer),
  addEventListener: (what: string, does: (event: KeyboardEvent) => void) => told.set(what, does),
  removeEventListener: (what: string) => told.delete(what),
})

const { Problem } = await import('../../src/api/asking')
const { useDisplay } = await import('../../src/state/display')
const { useTrial } = await import('../../src/state/trial')
const { useRunPower } = await import('../../src/state/runPower')
const { useLooking } = await import('../../src/state/looking')
const { useUndoKeys } = await import('../../src/shell/undoKeys')
const { useForecast } = await import('../../src/shell/forecast')
const { usePointedPixel } = await import('../../src/places/patch/pointedPixel')

const lane = (places: number, kind = 'PIXEL') =>
  ({
    port: { controller: 'k', kind, port: 1 },
    written: 'K-1',
    legs: [{ piece: 'p', before: 0, nullPixels: 2, places: places - 2, sections: [] }],
  }) as unknown as LaneView
const view = (id = 'd', version = 1, undo: object = {}) =>
  ({
    id,
    version,
    controllers: [{ controller: { id: 'k' }, lanes: [lane(52)] }],
    props: [],
    findings: [],
    undo,
  }) as unknown as DisplayView
const edit = (name: string) => ({ type: 'SetDisplay', name }) as Edit
const preview = (moved?: string) =>
  ({ moved, lanes: [], found: [], gone: [] }) as unknown as Preview
/** An answer that a test gives when it wants to. */
function later<T>() {
  let give: (what: T) => void = () => undefined
  let refuse: (why: Error) => void = () => undefined
  const answer = new Promise<T>((done, fail) => ([give, refuse] = [done, fail]))
  return { answer, give, refuse }
}
const settled = () => new Promise((done) => setTimeout(done))

let scope: EffectScope
beforeEach(() => {
  scope = effectScope()
  told.clear()
  setActivePinia(createPinia())
  Object.values(server).forEach((door) => door.mockReset())
  useDisplay().view = view()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

describe('an edit that is tried', () => {
  it('is asked for once, and then made as it was tried', async () => {
    server.preview.mockResolvedValue(preview('2 legs move'))
    const trial = useTrial()
    await trial.aim(edit('x'))
    await trial.aim(edit('x'))
    expect(server.preview).toHaveBeenCalledTimes(1)
    expect(trial.preview.value?.moved).toBe('2 legs move')
    await trial.apply()
    expect(server.edit.mock.calls[0][2]).toEqual(edit('x'))
    expect([trial.edit.value, trial.preview.value]).toEqual([undefined, undefined])
  })
  it('says why it cannot be made, until another is tried', async () => {
    server.preview.mockRejectedValueOnce(new Problem(400, { title: 'No', detail: 'Too long' }))
    server.preview.mockResolvedValueOnce(preview())
    const trial = useTrial()
    await trial.aim(edit('x'))
    expect([trial.refused.value, trial.preview.value]).toEqual(['Too long', undefined])
    await trial.aim(edit('y'))
    expect(trial.refused.value).toBeUndefined()
    expect(trial.preview.value).toBeDefined()
  })
  it('gives way to a newer one: an answer that comes too late counts for nothing', async () => {
    const [first, second] = [later<Preview>(), later<Preview>()]
    server.preview.mockReturnValueOnce(first.answer).mockReturnValueOnce(second.answer)
    const trial = useTrial()
    void trial.aim(edit('x'))
    void trial.aim(edit('y'))
    expect((server.preview.mock.calls[0][2] as AbortSignal).aborted).toBe(true)
    second.give(preview('newer'))
    await settled()
    first.give(preview('older'))
    await settled()
    expect(trial.preview.value?.moved).toBe('newer')
    void trial.aim(undefined)
    expect(trial.preview.value).toBeUndefined()
  })
  it('that was left makes nothing, and refuses nothing any more', async () => {
    const asked = later<Preview>()
    server.preview.mockReturnValueOnce(asked.answer)
    const trial = useTrial()
    void trial.aim(edit('x'))
    trial.leave()
    asked.refuse(new Problem(400, { title: 'No' }))
    await settled()
    expect(trial.refused.value).toBeUndefined()
    await trial.apply()
    expect(server.edit).not.toHaveBeenCalled()
  })
})

describe('what a typed value would do', () => {
  it('is told of the edit that it would make, and nothing is made', async () => {
    server.preview.mockRejectedValueOnce(new Problem(400, { title: 'No', detail: 'Too long' }))
    const forecast = useForecast()
    forecast.of(() => void useDisplay().edit(edit('x')))
    await settled()
    expect(server.preview.mock.calls[0][1]).toEqual(edit('x'))
    expect(forecast.told).toBe('This cannot be: Too long')
    expect(server.edit).not.toHaveBeenCalled()
    forecast.of()
    expect(forecast.told).toBe('')
  })
  it('is not foreseen where it would be several edits, or none', async () => {
    const forecast = useForecast()
    forecast.of(() => {
      void useDisplay().edit(edit('x'))
      void useDisplay().edit(edit('y'))
    })
    forecast.of(() => undefined)
    await settled()
    expect(server.preview).not.toHaveBeenCalled()
  })
})

describe('voltages of a run', () => {
  it('are asked for one after another: while a feed is dragged the newest counts', async () => {
    const first = later<object>()
    server.runPower.mockReturnValueOnce(first.answer).mockResolvedValue({ volts: 'newest' })
    const tried = shallowRef<Edit>()
    const power = scope.run(() =>
      useRunPower(
        () => lane(52),
        () => tried.value,
      ),
    )!
    for (const name of ['a', 'b', 'c']) {
      tried.value = edit(name)
      await nextTick()
    }
    expect(server.runPower).toHaveBeenCalledTimes(1)
    first.give({ volts: 'oldest' })
    await settled()
    expect(server.runPower).toHaveBeenCalledTimes(2)
    expect(server.runPower.mock.calls[1][2]).toEqual(edit('c'))
    expect(power.run.value).toEqual({ volts: 'newest' })
  })
  it('say why they cannot be, and nothing once they are left', async () => {
    server.runPower.mockRejectedValueOnce(new Problem(400, { title: 'No', detail: 'No feed' }))
    const power = scope.run(() =>
      useRunPower(
        () => lane(52),
        () => undefined,
      ),
    )!
    await settled()
    expect(power.refused.value).toBe('No feed')
    const asked = later<object>()
    server.runPower.mockReturnValueOnce(asked.answer)
    useDisplay().view = view('d', 2)
    await nextTick()
    scope.stop()
    asked.refuse(new Problem(400, { title: 'No', detail: 'It was left' }))
    await settled()
    expect(power.refused.value).toBe('No feed')
  })
})

describe('who is there', () => {
  const run = (running: boolean, ...present: object[]) => ({ running, present })
  it('is looked at until all have answered, or their time is over', async () => {
    vi.useFakeTimers()
    server.who.mockResolvedValueOnce(run(false))
    const looking = useLooking()
    await vi.advanceTimersByTimeAsync(0)
    server.askWho.mockResolvedValueOnce(run(true))
    server.who
      .mockResolvedValueOnce(run(true, { controller: 'k', state: 'AS_PLANNED' }))
      .mockResolvedValue(
        run(
          false,
          { controller: 'k', state: 'AS_PLANNED' },
          { controller: 'j', state: 'CANNOT_BE_ASKED' },
          { at: '10.0.0.9', state: 'UNKNOWN' },
        ),
      )
    await looking.ask()
    expect(looking.run?.running).toBe(true)
    await vi.advanceTimersByTimeAsync(2_000)
    expect(server.who, 'and no more once it is over').toHaveBeenCalledTimes(3)
    expect(looking.byController.get('k')?.state).toBe('AS_PLANNED')
    expect(looking.byController.size).toBe(2)
    expect(looking.differing.map((one) => one.state)).toEqual(['UNKNOWN'])
  })
  it('is held beside the plan as it is now, and nothing of another display', async () => {
    server.who.mockResolvedValue(run(false))
    const looking = useLooking()
    await settled()
    useDisplay().view = view('d', 2)
    await settled()
    expect(server.who).toHaveBeenCalledTimes(2)
    const asked = later<object>()
    server.who.mockReturnValueOnce(asked.answer)
    useDisplay().view = view('e')
    await nextTick()
    expect(looking.run).toBeUndefined()
    useDisplay().view = view('f')
    asked.give(run(false, { controller: 'of e', state: 'MISSING' }))
    await settled()
    expect(looking.differing).toEqual([])
  })
})

describe('undo and redo by keys', () => {
  const step = { label: 'x' }
  const press = (key: string, more: object = {}, typing = false) => {
    const field = { closest: () => ({ matches: () => false }) }
    const one = pressed(key, { ctrlKey: true, ...more, ...(typing && { target: field }) })
    told.get('keydown')!(one.event)
    return one.taken()
  }
  beforeEach(() => {
    server.undo.mockResolvedValue(undefined)
    server.redo.mockResolvedValue(undefined)
    scope.run(useUndoKeys)
  })
  it('take back, and make again, what there is to', async () => {
    expect([press('z'), press('y')]).toEqual([false, false])
    useDisplay().view = view('d', 1, { undo: step, redo: step })
    expect([press('z'), press('y'), press('Z', { shiftKey: true })]).toEqual([true, true, true])
    await settled()
    expect(server.undo).toHaveBeenCalledTimes(1)
    expect(server.redo).toHaveBeenCalledTimes(2)
  })
  it('are of the field while somebody types in one', () => {
    useDisplay().view = view('d', 1, { undo: step })
    expect(press('z', {}, true)).toBe(false)
    expect(server.undo).not.toHaveBeenCalled()
  })
  it('stop what is lit, from a field too, and only where something is', async () => {
    expect(press('.', {}, true)).toBe(false)
    useDisplay().output = { display: 'd', holders: [] } as never
    server.stopOutput.mockResolvedValue(undefined)
    expect(press('.', {}, true)).toBe(true)
    await settled()
    expect(server.stopOutput).toHaveBeenCalledTimes(1)
  })
  it('are nobody’s once the window is closed', () => {
    scope.stop()
    expect(told.size).toBe(0)
  })
})

describe('the very pixel under the pointer', () => {
  const over = (x: number, key = 'k|PIXEL|1', buttons = 0) => {
    const row = { dataset: { lane: key } }
    const wire = { closest: () => row, getBoundingClientRect: () => ({ left: 100 }) }
    return {
      clientX: x,
      buttons,
      target: { closest: () => (key === '' ? null : wire) },
    } as unknown as MouseEvent
  }
  beforeEach(() => vi.useFakeTimers())
  it('is asked once the pointer rests, by its place on the wire', async () => {
    server.locate.mockResolvedValue([])
    const pixel = scope.run(() => usePointedPixel(shallowRef(4)))!
    for (const x of [101, 109, 128]) {
      pixel.point(over(x))
      await vi.advanceTimersByTimeAsync(50)
    }
    await vi.advanceTimersByTimeAsync(200)
    expect(server.locate.mock.calls.map((call) => call[1])).toEqual([
      { controller: 'k', kind: 'PIXEL', port: 1, pixel: 8 },
    ])
    pixel.point(over(129))
    await vi.advanceTimersByTimeAsync(200)
    expect(server.locate, 'the same pixel').toHaveBeenCalledTimes(1)
  })
  it('is none before the wire, behind what hangs there, beside it, and while one drags', async () => {
    const pixel = scope.run(() => usePointedPixel(shallowRef(4)))!
    for (const event of [over(99), over(100 + 52 * 4), over(120, ''), over(120, 'k|DMX|9')]) {
      pixel.point(event)
      await vi.advanceTimersByTimeAsync(200)
    }
    pixel.point(over(120, 'k|PIXEL|1', 1))
    await vi.advanceTimersByTimeAsync(200)
    expect(server.locate).not.toHaveBeenCalled()
    expect(pixel.told.value).toBe('')
  })
  it('is not told of a plan that has changed since', async () => {
    const asked = later<object[]>()
    server.locate.mockReturnValueOnce(asked.answer)
    const pixel = scope.run(() => usePointedPixel(shallowRef(4)))!
    pixel.point(over(120))
    await vi.advanceTimersByTimeAsync(200)
    useDisplay().view = view('d', 2)
    await nextTick()
    expect((server.locate.mock.calls[0][2] as AbortSignal).aborted).toBe(true)
    asked.refuse(new Error('aborted'))
    await vi.advanceTimersByTimeAsync(0)
    expect(pixel.told.value).toBe('')
  })
})
