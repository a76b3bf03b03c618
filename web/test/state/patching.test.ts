import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import type { ControllerView, DisplayView, LaneView, Preview } from '../../src/api/types'

const server = vi.hoisted(() => ({ preview: vi.fn(), edit: vi.fn() }))
vi.mock('../../src/api/client', async () => ({
  ...(await vi.importActual<object>('../../src/api/asking')),
  api: server,
}))
vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined })

const { useDisplay } = await import('../../src/state/display')
const { usePatching } = await import('../../src/state/patching')
const { useFolding } = await import('../../src/places/patch/folding')

const port = (number: number) => ({ controller: 'k', kind: 'PIXEL' as const, port: number })
const lane = (number: number, ...legs: { piece: string; mirrorOf?: string }[]) =>
  ({ port: port(number), legs }) as unknown as LaneView
const piece = (id: string, kind: string) => ({ piece: { id, kind }, title: id })
const view = {
  id: 'd',
  version: 1,
  controllers: [
    {
      controller: { id: 'k' },
      lanes: [lane(1, { piece: 'a' }), lane(2, { piece: 'b', mirrorOf: 'a' }), lane(3)],
    },
  ],
  props: [
    {
      prop: { id: 'p' },
      pieces: [piece('a', 'string'), piece('b', 'string'), piece('w', 'wall')],
    },
  ],
  findings: [],
} as unknown as DisplayView

beforeEach(() => {
  setActivePinia(createPinia())
  useDisplay().view = view
  server.preview.mockReset()
  server.edit.mockReset()
})

describe('what is selected', () => {
  it('is one, or more in the order in which they were taken', () => {
    const patching = usePatching()
    patching.select('a')
    patching.select('b', true)
    expect(patching.selected).toEqual(['a', 'b'])
    patching.select('a', true)
    expect(patching.selected).toEqual(['b'])
    patching.select('w')
    expect(patching.selected).toEqual(['w'])
    patching.select(undefined)
    expect(patching.selected).toEqual([])
  })
  it('ties what shows the same, from either end', () => {
    const patching = usePatching()
    patching.pointed = 'b'
    expect([...patching.tied]).toEqual(['a', 'b'])
    patching.pointed = 'a'
    expect([...patching.tied]).toEqual(['a', 'b'])
    patching.pointed = 'w'
    expect(patching.tied.size).toBe(0)
  })
  it('fits only ports of its kind, all of it', () => {
    const patching = usePatching()
    expect(patching.fits(['a', 'b'], 'PIXEL')).toBe(true)
    expect(patching.fits(['a', 'w'], 'PIXEL')).toBe(false)
    expect(patching.fits(['w'], 'PANEL')).toBe(true)
    expect(patching.fits(['gone'], 'PIXEL')).toBe(false)
  })
})

describe('a drag', () => {
  it('asks once for each place, and shows the answer of the last', async () => {
    const patching = usePatching()
    const answers: ((answer: Preview) => void)[] = []
    server.preview.mockImplementation(() => new Promise((done) => answers.push(done)))
    patching.dragged = ['a']
    void patching.aim({ port: port(2) })
    void patching.aim({ port: port(2) })
    void patching.aim({ port: port(3) })
    expect(server.preview).toHaveBeenCalledTimes(2)
    answers[1]({ lanes: [lane(3, { piece: 'a' })] } as unknown as Preview)
    answers[0]({ lanes: [lane(2, { piece: 'a' })] } as unknown as Preview)
    await vi.waitFor(() => expect(patching.previewLanes.size).toBe(1))
    expect([...patching.previewLanes.keys()]).toEqual(['k|PIXEL|3'])
    expect(patching.isOver(lane(3))).toBe(true)
    expect(patching.isOver(lane(2))).toBe(false)
    patching.endDrag()
    expect(patching.previewLanes.size).toBe(0)
    expect(patching.isOver(lane(3))).toBe(false)
  })
  it('over a controller is over each port that gets one', async () => {
    const patching = usePatching()
    server.preview.mockResolvedValue({ lanes: [lane(3, { piece: 'a' })] })
    patching.dragged = ['a']
    await patching.aim({ controller: 'k' })
    expect(patching.isOver(lane(3))).toBe(true)
    expect(patching.isOver(lane(2, { piece: 'b' }))).toBe(false)
  })
  it('that is refused shows nothing; letting go says why', async () => {
    const patching = usePatching()
    server.preview.mockRejectedValue(new Error('no'))
    patching.dragged = ['a']
    await patching.aim({ port: port(3) })
    expect(patching.preview).toBeUndefined()
  })
  it('ends as an edit, on a port or one a port', async () => {
    const patching = usePatching()
    server.edit.mockResolvedValue(undefined)
    await patching.patch(['a'], { port: port(3), before: 'b' })
    await patching.patch(['a', 'b'], { controller: 'k', from: 2 })
    expect(server.edit.mock.calls.map((call) => call[2])).toEqual([
      { type: 'PatchPieces', pieces: ['a'], port: port(3), before: 'b' },
      { type: 'PatchAcross', pieces: ['a', 'b'], controller: 'k', from: 2 },
    ])
  })
})

describe('folding', () => {
  const controllers = ref(
    ['k1', 'k2', 'k3'].map((id) => ({ controller: { id } }) as unknown as ControllerView),
  )
  it('folds one, or all but one, or all', () => {
    const { folded, fold, allFolded, foldAll } = useFolding(controllers)
    fold('k1', false)
    expect([...folded]).toEqual(['k1'])
    fold('k1', false)
    expect(folded.size).toBe(0)
    fold('k2', true)
    expect([...folded].sort()).toEqual(['k1', 'k3'])
    expect(allFolded.value).toBe(false)
    foldAll()
    expect(allFolded.value).toBe(true)
    foldAll()
    expect(folded.size).toBe(0)
  })
})
