import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, ref, type EffectScope } from 'vue'
import type { DisplayView, Edit } from '../../src/api/types'

const server = vi.hoisted(() => ({ preview: vi.fn(), edit: vi.fn() }))
vi.mock('../../src/api/client', async () => ({
  ...(await vi.importActual<object>('../../src/api/asking')),
  api: server,
}))
vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined })

/** What lies under the pointer, and what the window is asked to tell. */
let under: Element[] = []
const told = new Map<string, (event: unknown) => void>()
const frames: (() => void)[] = []
vi.stubGlobal('window', {
  addEventListener: (what: string, does: (event: unknown) => void) => told.set(what, does),
  removeEventListener: (what: string) => told.delete(what),
})
vi.stubGlobal('document', { elementsFromPoint: () => under, createElement: () => ({}) })
vi.stubGlobal('requestAnimationFrame', (does: () => void) => frames.push(does))

const { useDisplay } = await import('../../src/state/display')
const { usePatching } = await import('../../src/state/patching')
const { useDrag } = await import('../../src/places/patch/drag')
const { LABEL } = await import('../../src/places/patch/scale')

const port = (number: number, kind = 'PIXEL') => ({ controller: 'k', kind, port: number })
const leg = (piece: string, before: number, places: number) => ({
  piece,
  before,
  nullPixels: 0,
  places,
  sections: [],
})
const lane = (number: number, more: object = {}, ...legs: object[]) => ({
  port: port(number),
  written: `K-${number}`,
  present: true,
  legs,
  ...more,
})
const view = {
  id: 'd',
  version: 1,
  controllers: [
    {
      controller: { id: 'k' },
      lanes: [
        lane(1, {}, leg('a', 0, 50), leg('b', 50, 30)),
        lane(2, { bank: { bank: 1 } }, leg('c', 0, 10)),
        lane(3, { bank: { bank: 1 } }),
        lane(4, { present: false }),
        { ...lane(5), port: port(5, 'DMX') },
      ],
    },
  ],
  props: [
    {
      prop: { id: 'p' },
      pieces: ['a', 'b', 'c', 'loose'].map((id) => ({ piece: { id, kind: 'string' }, title: id })),
    },
  ],
  findings: [],
} as unknown as DisplayView

/** An element that is found by one attribute; its wire begins 100 px from the left. */
function element(attribute: string, dataset: Record<string, string> = {}): Element {
  const self = {
    dataset,
    closest: (wanted: string) => (wanted === `[${attribute}]` ? self : null),
    getBoundingClientRect: () => ({ left: 100 - LABEL }),
  }
  return self as unknown as Element
}
const laneAt = (number: number, kind = 'PIXEL') =>
  element('data-lane', { lane: `k|${kind}|${number}` })

let scope: EffectScope
let scrollTop = 0
const box = { left: 0, top: 100, bottom: 500 }
function dragging(scale = 2) {
  const scroller = ref({
    getBoundingClientRect: () => box,
    get scrollTop() {
      return scrollTop
    },
    set scrollTop(to: number) {
      scrollTop = to
    },
  })
  return scope.run(() => useDrag(ref(scale), scroller as never))!
}
const press = (more: object = {}) =>
  ({ button: 0, clientX: 300, clientY: 300, ...more }) as unknown as PointerEvent
const move = (x: number, y: number, ...what: Element[]) => {
  under = what
  told.get('pointermove')!({ clientX: x, clientY: y })
}
const edits = () => server.edit.mock.calls.map((call) => call[2] as Edit)
const settled = () => vi.waitFor(() => expect(server.edit).toHaveBeenCalled())

beforeEach(() => {
  scope = effectScope()
  setActivePinia(createPinia())
  useDisplay().view = view
  told.clear()
  frames.length = 0
  under = []
  scrollTop = 50
  server.preview.mockReset().mockResolvedValue({ lanes: [], found: [] })
  server.edit.mockReset().mockResolvedValue(undefined)
})
afterEach(() => scope.stop())

describe('a press', () => {
  it('is a drag only once the pointer has gone some way', () => {
    const drag = dragging()
    drag.press(press(), 'a')
    move(303, 300)
    expect(usePatching().dragged).toEqual([])
    move(305, 300)
    expect(usePatching().dragged).toEqual(['a'])
  })
  it('that is meant to take more, or is of another button, drags nothing', () => {
    const drag = dragging()
    for (const more of [{ button: 2 }, { shiftKey: true }, { ctrlKey: true }]) {
      drag.press(press(more), 'a')
      expect(told.size, JSON.stringify(more)).toBe(0)
    }
  })
  it('on one of several that are taken drags them all, in the order in which they were', () => {
    const drag = dragging()
    const patching = usePatching()
    patching.selected = ['b', 'a']
    drag.press(press(), 'a')
    move(350, 300)
    expect(patching.dragged).toEqual(['b', 'a'])
    drag.press(press(), 'c')
    told.get('pointerup')!({})
    drag.press(press(), 'c')
    move(350, 300)
    expect(patching.dragged).toEqual(['c'])
  })
})

describe('letting go', () => {
  it('hangs it before the first leg whose middle lies behind the pointer', async () => {
    const drag = dragging()
    drag.press(press(), 'loose')
    // 40 px behind the beginning of the wire: pixel 20 of the 50 of the first leg
    move(140, 300, laneAt(1))
    told.get('pointerup')!({})
    await settled()
    expect(edits()).toMatchObject([{ pieces: ['loose'], port: port(1), before: 'a' }])
    expect(drag.clickIsMeant(), 'the click that ends a drag').toBe(false)
    expect(drag.clickIsMeant(), 'the next one').toBe(true)
    expect(usePatching().selected).toEqual(['loose'])
  })
  it('hangs it at the end behind the middle of the last, what is dragged not counted', async () => {
    const drag = dragging()
    drag.press(press(), 'a')
    move(160, 300, laneAt(1))
    expect(usePatching().target).toMatchObject({ before: 'b' })
    move(300, 300, laneAt(1))
    expect(usePatching().target).toMatchObject({ port: port(1), before: undefined })
  })
  it('over a head spreads it over the controller, over a bank from its first free port', () => {
    const drag = dragging()
    drag.press(press(), 'loose')
    move(200, 300, element('data-controller', { controller: 'k' }))
    expect(usePatching().target).toEqual({ controller: 'k' })
    move(200, 310, element('data-bank', { bank: 'k', from: '2' }))
    expect(usePatching().target).toEqual({ controller: 'k', from: 3 })
  })
  it('over a port that is not there, or takes no such thing, hangs nothing and says so', () => {
    const drag = dragging()
    for (const where of [laneAt(4), laneAt(5, 'DMX'), element('data-nothing')]) {
      drag.press(press(), 'loose')
      move(200, 300, where)
      expect(usePatching().target).toBeUndefined()
      told.get('pointerup')!({})
      expect(useDisplay().said?.text).toContain('Nothing was hung')
    }
    expect(server.edit).not.toHaveBeenCalled()
  })
  it('over the tray takes off what hangs, and leaves alone what lies there', async () => {
    const drag = dragging()
    drag.press(press(), 'loose')
    move(200, 600, element('data-tray'))
    expect(drag.overTray.value).toBe(true)
    told.get('pointerup')!({})
    expect(server.edit).not.toHaveBeenCalled()
    expect(useDisplay().said).toBeUndefined()
    drag.press(press(), 'c')
    move(200, 600, element('data-tray'))
    told.get('pointerup')!({})
    await settled()
    expect(edits()).toEqual([{ type: 'UnpatchPieces', pieces: ['c'] }])
    expect(drag.overTray.value).toBe(false)
  })
  it('does nothing after Escape, nor once the place is left', () => {
    const drag = dragging()
    drag.press(press(), 'loose')
    move(140, 300, laneAt(1))
    told.get('keydown')!({ key: 'Enter' })
    expect(usePatching().dragged).toEqual(['loose'])
    told.get('keydown')!({ key: 'Escape' })
    expect(usePatching().dragged).toEqual([])
    expect(told.size).toBe(0)
    expect(drag.clickIsMeant()).toBe(false)
    drag.press(press(), 'loose')
    move(140, 300, laneAt(1))
    scope.stop()
    expect([usePatching().dragged, told.size]).toEqual([[], 0])
    expect(server.edit).not.toHaveBeenCalled()
  })
})

describe('near an edge', () => {
  const frame = () => frames.shift()!()
  it('the lanes scroll, but not before the pointer has been inside', () => {
    const drag = dragging()
    drag.press(press({ clientY: 510 }), 'loose')
    move(300, 495)
    frame()
    expect(scrollTop, 'coming in from the tray').toBe(50)
    move(300, 300)
    frame()
    move(300, 495)
    frame()
    expect(scrollTop).toBe(60)
    move(300, 105)
    frame()
    frame()
    expect(scrollTop).toBe(40)
    told.get('pointerup')!({})
    frame()
    expect([scrollTop, frames.length], 'and no more once it is over').toEqual([40, 0])
  })
})
