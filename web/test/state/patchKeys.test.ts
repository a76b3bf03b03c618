import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { computed } from 'vue'
import { pressed } from '../pressed'
import type { DisplayView, Edit, LaneView } from '../../src/api/types'

const server = vi.hoisted(() => ({ edit: vi.fn(), preview: vi.fn() }))
vi.mock('../../src/api/client', async () => ({
  ...(await vi.importActual<object>('../../src/api/asking')),
  api: server,
}))
vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined })

const { useDisplay } = await import('../../src/state/display')
const { usePatching } = await import('../../src/state/patching')
const { usePatchKeys } = await import('../../src/places/patch/keys')

const port = (number: number, kind = 'PIXEL') => ({ controller: 'k', kind, port: number })
const lane = (at: object, present: boolean, ...pieces: string[]) => ({
  port: at,
  present,
  legs: pieces.map((piece) => ({ piece })),
})
const view = (version: number, ...lanes: object[]) =>
  ({
    id: 'd',
    version,
    controllers: [{ controller: { id: 'k' }, lanes }],
    props: [
      {
        prop: { id: 'p' },
        pieces: ['a', 'b', 'c', 'd', 'loose'].map((id) => ({
          piece: { id, kind: 'string' },
          title: id,
        })),
      },
    ],
    findings: [],
  }) as unknown as DisplayView
const DMX = lane(port(1, 'DMX'), true)
const BEFORE = view(
  1,
  lane(port(1), true, 'a', 'b', 'c'),
  lane(port(2), false),
  DMX,
  lane(port(3), true, 'd'),
)

/** The keyboard on a lane of Patch; what is asked for comes back as the given view. */
function standing(number: number, index: number) {
  const display = useDisplay()
  const went: { lane: string; index: number }[] = []
  const lanes = computed(() => display.lanes as LaneView[])
  const { cell, onKey } = usePatchKeys(lanes, (to) => went.push(to))
  cell.value = { lane: `k|PIXEL|${number}`, index }
  const press = (key: string, more: object = {}) => {
    const one = pressed(key, more)
    onKey(one.event)
    return one.taken()
  }
  return { cell, press, went, patching: usePatching(), display }
}
const ALT = { altKey: true }
const SHIFT = { shiftKey: true }
const CTRL = { ctrlKey: true }
const edits = () => server.edit.mock.calls.map((call) => call[2] as Edit)
const settled = () => new Promise((done) => setTimeout(done))
/** The next edit answers with lanes that are others. */
const answers = (...lanes: object[]) =>
  server.edit.mockResolvedValueOnce({
    ...view(2, ...lanes),
    fromVersion: 1,
    label: 'moved',
    props: [],
  })

beforeEach(() => {
  setActivePinia(createPinia())
  useDisplay().view = BEFORE
  server.edit.mockReset().mockResolvedValue(undefined)
})

describe('walking', () => {
  it('goes along a wire to its free end, and stays at both ends', () => {
    const { cell, press, patching } = standing(1, 0)
    press('ArrowLeft')
    expect(cell.value?.index).toBe(0)
    for (let i = 0; i < 5; i++) {
      press('ArrowRight')
    }
    expect(cell.value?.index).toBe(3)
    expect(patching.selected, 'nothing hangs at the free end').toEqual([])
    press('Home')
    expect(patching.selected).toEqual(['a'])
    press('End')
    expect(cell.value?.index).toBe(3)
  })
  it('goes from port to port, as near as there are legs', () => {
    const { cell, press, went } = standing(1, 2)
    press('ArrowDown')
    expect(cell.value).toEqual({ lane: 'k|PIXEL|2', index: 0 })
    press('ArrowDown')
    press('ArrowDown')
    press('ArrowDown')
    expect(went.at(-1)).toEqual({ lane: 'k|PIXEL|3', index: 0 })
    press('ArrowUp')
    expect(cell.value?.lane).toBe('k|DMX|1')
  })
  it('takes what it passes with Shift, and all of a wire at once', () => {
    const { press, patching } = standing(1, 0)
    press('ArrowRight', SHIFT)
    press('ArrowRight', SHIFT)
    press('ArrowLeft', SHIFT)
    expect(patching.selected).toEqual(['b', 'c'])
    press('a', CTRL)
    expect(patching.selected).toEqual(['a', 'b', 'c'])
    press(' ')
    expect(patching.selected).toEqual(['a', 'c'])
    press('Escape')
    expect(patching.selected).toEqual([])
  })
  it('takes the glass along while it is open', () => {
    const { press, patching } = standing(1, 0)
    press('Enter')
    expect(patching.glass).toBe('a')
    press('ArrowRight')
    expect(patching.glass).toBe('b')
    press('Enter')
    expect(patching.glass).toBeUndefined()
  })
  it('is nobody’s while somebody types, or stands nowhere', () => {
    const { cell, press } = standing(1, 0)
    cell.value = undefined
    expect(press('ArrowRight')).toBe(false)
  })
})

describe('moving', () => {
  it('goes before the leg in front, and behind the one after', async () => {
    const { press } = standing(1, 1)
    press('ArrowLeft', ALT)
    press('ArrowRight', ALT)
    await settled()
    expect(edits()).toMatchObject([
      { type: 'PatchPieces', pieces: ['b'], port: port(1), before: 'a' },
      { type: 'PatchPieces', pieces: ['b'], port: port(1), before: undefined },
    ])
  })
  it('asks for nothing at the end of the wire', async () => {
    const first = standing(1, 0)
    expect(first.press('ArrowLeft', ALT)).toBe(true)
    const last = standing(1, 2)
    last.press('ArrowRight', ALT)
    standing(1, 3).press('ArrowRight', ALT)
    await settled()
    expect(server.edit).not.toHaveBeenCalled()
  })
  it('takes all that are taken on its wire along, in their order on it', async () => {
    const { press, patching } = standing(1, 2)
    patching.selected = ['c', 'b', 'd']
    press('ArrowLeft', ALT)
    await settled()
    expect(edits()).toMatchObject([{ pieces: ['b', 'c'], before: 'a' }])
  })
  it('goes to the next port that takes it, past those that do not', async () => {
    const { press } = standing(1, 0)
    press('ArrowDown', ALT)
    await settled()
    expect(edits()).toMatchObject([{ pieces: ['a'], port: port(3), before: 'd' }])
    standing(1, 0).press('ArrowUp', ALT)
    await settled()
    expect(server.edit, 'there is none above').toHaveBeenCalledTimes(1)
  })
  it('keeps the keyboard on what moved, where it hangs then', async () => {
    const { cell, press, patching, went } = standing(1, 0)
    answers(lane(port(1), true, 'b', 'c'), lane(port(2), false), DMX, lane(port(3), true, 'd', 'a'))
    press('ArrowDown', ALT)
    await settled()
    expect(cell.value).toEqual({ lane: 'k|PIXEL|3', index: 1 })
    expect(went.at(-1)).toEqual(cell.value)
    expect(patching.selected).toEqual(['a'])
  })
})

describe('what is in hand', () => {
  it('hangs where the keyboard stands, before the leg there', async () => {
    const { press, patching } = standing(3, 0)
    patching.selected = ['b', 'loose']
    press('x', CTRL)
    expect(patching.cut).toEqual(['b', 'loose'])
    press('v', CTRL)
    await settled()
    expect(edits()).toMatchObject([{ pieces: ['b', 'loose'], port: port(3), before: 'd' }])
    expect(patching.cut).toEqual([])
    expect(press('v', CTRL), 'nothing is in hand any more').toBe(false)
  })
  it('is put away by Escape', () => {
    const { press, patching } = standing(1, 0)
    press('x', CTRL)
    expect(patching.cut).toEqual(['a'])
    press('Escape')
    expect(patching.cut).toEqual([])
  })
})

describe('taking off and mirroring', () => {
  it('takes off all that is taken and hangs, or what the keyboard stands on', async () => {
    const { press, patching } = standing(1, 0)
    patching.selected = ['b', 'loose', 'd']
    press('Delete')
    await settled()
    expect(edits()).toEqual([{ type: 'UnpatchPieces', pieces: ['b', 'd'] }])
    expect(patching.selected).toEqual([])
    press('Backspace')
    await settled()
    expect(edits()[1]).toEqual({ type: 'UnpatchPieces', pieces: ['a'] })
  })
  it('lets the others show what the first shows', async () => {
    const { press, patching } = standing(1, 0)
    patching.selected = ['d', 'loose', 'a', 'b']
    press('m')
    await settled()
    expect(edits()).toEqual([{ type: 'SetLegs', pieces: ['a', 'b'], set: { mirrorOf: 'd' } }])
    patching.selected = ['d']
    expect(press('m'), 'one alone mirrors nothing').toBe(false)
  })
  it('leaves other keys to whoever wants them', () => {
    expect(standing(1, 0).press('F5')).toBe(false)
    expect(server.edit).not.toHaveBeenCalled()
  })
})
