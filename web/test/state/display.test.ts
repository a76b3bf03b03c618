import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { watch } from 'vue'
import type { Delta, DisplayView, Edit } from '../../src/api/types'
import type { News } from '../../src/api/follow'

const server = vi.hoisted(() => ({
  displays: vi.fn(),
  display: vi.fn(),
  edit: vi.fn(),
  undo: vi.fn(),
  redo: vi.fn(),
  create: vi.fn(),
  removeDisplay: vi.fn(),
}))
const stream = vi.hoisted(() => ({ tell: (() => undefined) as (news: News) => void }))
vi.mock('../../src/api/client', async () => ({
  ...(await vi.importActual<object>('../../src/api/asking')),
  api: server,
}))
vi.mock('../../src/api/follow', () => ({
  follow: (take: (news: News) => void) => (stream.tell = take),
}))

const { Problem } = await import('../../src/api/asking')
const { useDisplay } = await import('../../src/state/display')

const view = (id: string, version: number, name = id) =>
  ({
    id,
    version,
    name,
    controllers: [],
    props: [],
    findings: [],
    zones: [],
  }) as unknown as DisplayView
const delta = (fromVersion: number, version: number, more: Partial<Delta> = {}) =>
  ({
    fromVersion,
    version,
    label: `step ${version}`,
    name: 'a',
    controllers: [],
    props: [],
    ...more,
  }) as unknown as Delta
const edit = (name: string): Edit => ({ type: 'SetDisplay', name }) as Edit

/** A step as the stream tells it. */
const step = (display: string, of: Delta): News => ({
  type: 'delta',
  display,
  version: of.version,
  text: JSON.stringify({ display, delta: of }),
})

let stored: Map<string, string>
beforeEach(() => {
  stored = new Map()
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => stored.get(key) ?? null,
    setItem: (key: string, value: string) => stored.set(key, value),
  })
  Object.values(server).forEach((door) => door.mockReset())
  server.displays.mockResolvedValue([{ id: 'a' }, { id: 'b' }])
  server.display.mockImplementation((id: string) => Promise.resolve(view(id, 1)))
  setActivePinia(createPinia())
})
async function started(wanted?: string) {
  const display = useDisplay()
  await display.start(wanted)
  return display
}

describe('which display is open', () => {
  it('is the one that is wanted, or that was open last, or the first', async () => {
    expect((await started('b')).view?.id).toBe('b')
    setActivePinia(createPinia())
    expect((await started()).view?.id).toBe('b')
    setActivePinia(createPinia())
    stored.clear()
    expect((await started()).view?.id).toBe('a')
  })
  it('is told where the one that is wanted is not there any more', async () => {
    const display = await started('gone')
    expect(display.view?.id).toBe('a')
    expect(display.problem?.message).toContain('is not here any more')
  })
  it('is the next one after it was removed, and its line says how it comes back', async () => {
    const display = await started('a')
    server.removeDisplay.mockResolvedValue(undefined)
    server.displays.mockResolvedValue([{ id: 'b' }])
    await display.remove()
    expect(display.view?.id).toBe('b')
    expect(display.said?.text).toContain('its menu brings it back')
  })
})

describe('an edit', () => {
  it('is made on the version before it, one after another, and its line offers undo', async () => {
    const display = await started('a')
    server.edit
      .mockResolvedValueOnce(delta(1, 2, { moved: '3 legs moved' }))
      .mockResolvedValueOnce(delta(2, 3))
    const both = [display.edit(edit('x')), display.edit(edit('y'))]
    await both[0]
    expect(display.said).toEqual({ text: 'step 2 — 3 legs moved', canUndo: true })
    await both[1]
    expect(server.edit.mock.calls.map((call) => call[1])).toEqual([1, 2])
    expect(display.view?.version).toBe(3)
  })
  it('that is made of what is there is made when its turn has come', async () => {
    const display = await started('a')
    server.edit.mockResolvedValueOnce(delta(1, 2)).mockResolvedValueOnce(delta(2, 3))
    const seen: number[] = []
    const step = () => {
      seen.push(display.view!.version)
      return edit('x')
    }
    await Promise.all([display.edit(step), display.edit(step)])
    expect(seen).toEqual([1, 2])
  })
  it('is not done to another display that was opened meanwhile', async () => {
    const display = await started('a')
    let let_go: (answer: Delta) => void = () => undefined
    server.edit.mockReturnValueOnce(new Promise<Delta>((done) => (let_go = done)))
    const first = display.edit(edit('x'))
    const opening = display.open('b')
    const second = display.edit(edit('y'))
    await vi.waitFor(() => expect(server.edit).toHaveBeenCalledTimes(1))
    let_go(delta(1, 2))
    await Promise.all([first, opening, second])
    expect(display.view?.id).toBe('b')
    expect(display.said, 'the line of the other display is gone').toBeUndefined()
    expect(server.edit.mock.calls.every((call) => call[0] === 'a')).toBe(true)
  })
  it('that is refused since the display has moved on shows what is so now', async () => {
    const display = await started('a')
    server.edit.mockRejectedValueOnce(new Problem(409, { title: 'Moved on' }))
    server.display.mockResolvedValueOnce(view('a', 7))
    await display.edit(edit('x'))
    expect(display.view?.version).toBe(7)
    expect(display.problem?.title).toBe('Moved on')
  })
  it('of which nobody knows whether it was stored is looked for', async () => {
    const display = await started('a')
    server.edit.mockRejectedValueOnce(new Problem(503, { title: 'Unknown' }))
    server.display.mockResolvedValueOnce(view('a', 2))
    await display.edit(edit('x'))
    expect(display.view?.version).toBe(2)
  })
  it('that is only refused leaves everything as it is', async () => {
    const display = await started('a')
    const before = display.view
    server.edit.mockRejectedValueOnce(new Problem(422, { title: 'No', detail: '5000 is too many' }))
    await display.edit(edit('x'))
    expect(display.view).toBe(before)
    expect(display.problem?.message).toBe('5000 is too many')
    expect(server.display).toHaveBeenCalledTimes(1)
  })
  it('that would move starts is asked about, and made when somebody says so', async () => {
    const display = await started('a')
    const moving = [{ title: 'Bow rail', from: '1:1', to: '1:4' }]
    server.edit.mockRejectedValueOnce(new Problem(409, { detail: '1 start moves', moving }))
    await display.edit(edit('x'))
    expect(display.problem).toBeUndefined()
    expect(display.startsMove).toMatchObject({ told: '1 start moves', moving })
    server.edit.mockResolvedValueOnce(delta(1, 2))
    await display.moveStarts()
    expect(server.edit).toHaveBeenLastCalledWith('a', 1, edit('x'), true)
    expect(display.startsMove).toBeUndefined()
  })
  it('is foreseen without being made, where it is one', async () => {
    const display = await started('a')
    expect(display.foreseen(() => void display.edit(edit('x')))).toEqual(edit('x'))
    expect(
      display.foreseen(() => {
        void display.edit(edit('x'))
        void display.edit(edit('y'))
      }),
    ).toBeUndefined()
    expect(server.edit).not.toHaveBeenCalled()
  })
  it('that is taken back has a line that offers no undo', async () => {
    const display = await started('a')
    server.undo.mockResolvedValueOnce(delta(1, 2))
    await display.undo()
    expect(display.said).toEqual({ text: 'Undone: step 2', canUndo: false })
    server.redo.mockResolvedValueOnce(delta(2, 3))
    await display.redo()
    expect(display.said?.canUndo).toBe(true)
  })
})

describe('what other windows do', () => {
  it('is taken step by step', async () => {
    const display = await started('a')
    stream.tell(step('a', delta(1, 2, { name: 'Quay' })))
    expect(display.view).toMatchObject({ version: 2, name: 'Quay' })
    stream.tell(step('a', delta(0, 1)))
    expect(display.view?.version, 'an old step again').toBe(2)
    stream.tell(step('b', delta(2, 3)))
    expect(display.view?.version, 'of another display').toBe(2)
  })
  it('is taken before an answer that is made on it, and the answer is read once', async () => {
    const display = await started('a')
    const names: (string | undefined)[] = []
    watch(
      () => display.view?.name,
      (name) => names.push(name),
      { flush: 'sync' },
    )
    const read = vi.spyOn(JSON, 'parse')
    server.edit.mockImplementationOnce(() => {
      stream.tell(step('a', delta(1, 2, { name: 'theirs' })))
      stream.tell(step('a', delta(2, 3, { name: 'mine' })))
      stream.tell(step('a', delta(3, 4, { name: 'theirs again' })))
      stream.tell(step('b', delta(1, 2)))
      return Promise.resolve(delta(2, 3, { name: 'mine' }))
    })
    await display.edit(edit('x'))
    expect(names).toEqual(['theirs', 'mine', 'theirs again'])
    expect(read, 'neither its own step, nor that of another display').toHaveBeenCalledTimes(2)
    expect(server.display, 'nothing is looked at anew').toHaveBeenCalledTimes(1)
    read.mockRestore()
  })
  it('is taken after an edit that was refused', async () => {
    const display = await started('a')
    server.edit.mockImplementationOnce(() => {
      stream.tell(step('a', delta(1, 2)))
      return Promise.reject(new Problem(422, { title: 'No' }))
    })
    await display.edit(edit('x'))
    expect(display.view?.version).toBe(2)
  })
  it('leaves lanes that did not change the very same', async () => {
    const port = (number: number) => ({ controller: 'k', kind: 'PIXEL', port: number })
    const lane = (number: number, ...pieces: string[]) => ({
      port: port(number),
      legs: pieces.map((piece) => ({ piece })),
    })
    const k = (...lanes: object[]) => [{ controller: { id: 'k' }, lanes }] as never
    const display = await started('a')
    display.view = { ...view('a', 1), controllers: k(lane(1, 'p'), lane(2, 'q')) }
    const before = display.lanes
    stream.tell(step('a', delta(1, 2, { controllers: k(lane(1, 'p'), lane(2, 'q', 'r')) })))
    expect(display.lanes[0]).toBe(before[0])
    expect(display.lanes[1]).not.toBe(before[1])
    expect(display.legs.get('r')?.index).toBe(1)
  })
  it('is looked at anew where a step is missing', async () => {
    const display = await started('a')
    server.display.mockResolvedValueOnce(view('a', 5))
    stream.tell(step('a', delta(4, 5)))
    await vi.waitFor(() => expect(display.view?.version).toBe(5))
  })
  it('is looked at anew after a break, but not where nothing happened', async () => {
    const display = await started('a')
    stream.tell({ type: 'hello', versions: { a: 1 } })
    expect(server.display).toHaveBeenCalledTimes(1)
    server.display.mockResolvedValueOnce(view('a', 4))
    stream.tell({ type: 'hello', versions: { a: 4 } })
    await vi.waitFor(() => expect(display.view?.version).toBe(4))
  })
  it('that comes while the whole is on its way is not lost', async () => {
    const display = await started('a')
    server.display
      .mockImplementationOnce(() => {
        stream.tell(step('b', delta(1, 2)))
        return Promise.resolve(view('b', 1))
      })
      .mockResolvedValueOnce(view('b', 2))
    await display.open('b')
    expect(display.view).toMatchObject({ id: 'b', version: 2 })
  })
  it('beside the plan goes up for the open display only', async () => {
    const display = await started('a')
    stream.tell({ type: 'handover', display: 'b' })
    expect(display.besides).toBe(0)
    stream.tell({ type: 'handover', display: 'a' })
    expect(display.besides).toBe(1)
    stream.tell({ type: 'door' })
    expect(display.doorTold).toBe(1)
  })
})

describe('findings that were asked for anew', () => {
  it('count for their version only, and draw nothing anew where they are the same', async () => {
    const display = await started('a')
    const before = display.view
    display.takeFindings(1, [], undefined as never)
    expect(display.view).toBe(before)
    display.takeFindings(9, [{ code: 'x' } as never], [])
    expect(display.view).toBe(before)
    display.takeFindings(1, [{ code: 'x', subjects: [] } as never], [])
    expect(display.view?.findings).toHaveLength(1)
  })
})
