import { describe, expect, it } from 'vitest'
import type { DisplayView, Edit, PieceView } from '../src/api/types'
import {
  arrange,
  brightness,
  cut,
  hold,
  laneOf,
  letGo,
  meant,
  mirrorOn,
  mirrors,
  moveController,
  nextAddress,
  order,
  patch,
  sized,
  unpatch,
} from '../src/shell/meanings'

const at = (controller: string, number: number, kind = 'PIXEL') => ({
  controller,
  kind,
  port: number,
})
const leg = (piece: string, title: string) => ({ piece, title })
const lane = (written: string, where: object, label: string, ...legs: object[]) => ({
  written,
  port: where,
  label,
  legs,
})
const controller = (id: string, name: string, address: string | undefined, ...lanes: object[]) => ({
  controller: { id, tag: id.toUpperCase(), name, settings: { address } },
  lanes,
})
const string = (id: string, title: string, written?: string, ...counts: number[]) =>
  ({
    piece: { id, kind: 'string', sections: counts.map((pixels) => ({ pixels })) },
    title,
    written,
    pixels: counts.reduce((sum, one) => sum + one, 0),
  }) as unknown as PieceView
const circuit = (id: string, title: string) =>
  ({ piece: { id, kind: 'circuit' }, title, written: 'K5-R1', pixels: 0 }) as unknown as PieceView
const held = (piece: PieceView, ...which: number[]): PieceView => {
  const one = piece.piece as Extract<PieceView['piece'], { kind: 'string' }>
  const sections = one.sections.map((section, index) =>
    which.includes(index) ? { ...section, hold: { channel: 1 } } : section,
  )
  return { ...piece, piece: { ...one, sections } as PieceView['piece'] }
}
const line = (id: string, name: string, free: string[], ...controllers: string[]) => ({
  subnet: { id, name },
  free,
  occupants: controllers.map((one) => ({ controller: one })),
})

const display = {
  controllers: [
    controller(
      'k1',
      'Quay',
      '10.0.0.9',
      lane('K1-1', at('k1', 1), '1', leg('rail', 'Bow rail')),
      lane('K1-2', at('k1', 2), 'D4', leg('mast', 'Mast'), leg('left', 'Lantern 1')),
      lane('K1-3', at('k1', 3), '3'),
    ),
    controller('k2', 'Gate', undefined, lane('K2-1', at('k2', 1), '1')),
    controller(
      'k5',
      'Hut',
      undefined,
      lane('K5-R1', at('k5', 1, 'RELAY'), '1', leg('pump', 'Pump')),
      lane('K5-R2', at('k5', 2, 'RELAY'), '2'),
    ),
    controller(
      'k6',
      'Barn',
      undefined,
      lane('K6-1', at('k6', 1), '1'),
      lane('K6-DMX1', at('k6', 1, 'DMX'), '1'),
    ),
  ],
  props: [
    {
      prop: { id: 'p1', name: 'Rails' },
      pieces: [held(string('rail', 'Bow rail', 'K1-1', 50), 0)],
    },
    {
      prop: { id: 'p2', name: 'Ship' },
      pieces: [
        held(string('mast', 'Mast', 'K1-2', 30, 20, 10), 1, 2),
        string('left', 'Lantern 1', 'K1-2', 7),
        string('right', 'Lantern 2', undefined, 8),
        string('all', 'Lantern', undefined, 9),
      ],
    },
    { prop: { id: 'p3', name: 'Fountain' }, pieces: [circuit('pump', 'Pump')] },
  ],
  zones: [{ id: 'z1', name: 'Pier' }],
  settings: { universeStride: 4 },
  network: {
    lines: [
      line('s1', 'Show', ['10.0.0.20'], 'k2'),
      line('s2', 'Full', []),
      line('s3', 'Yard', ['10.1.0.2', '10.1.0.3'], 'k1'),
    ],
  },
} as unknown as DisplayView

const titles = (found: { title: string }[]) => found.map((one) => one.title)
const edits = (found: { act?: { edit: Edit } }[]) => found.map((one) => one.act?.edit)

describe('a name', () => {
  it('means those that have exactly it, or all that have it in them', () => {
    expect(titles(meant(display, 'lantern'))).toEqual(['Lantern'])
    expect(titles(meant(display, 'lantern '))).toEqual(['Lantern 1', 'Lantern 2'])
    expect(titles(meant(display, 'RAIL'))).toEqual(['Bow rail'])
    expect(meant(display, 'zeppelin')).toEqual([])
  })
})

describe('a port', () => {
  const written = (where: string) => laneOf(display, where)?.written
  it('is meant by its tag, or by the name on the board', () => {
    expect(written('k1-2')).toBe('K1-2')
    expect(written('d4')).toBe('K1-2')
  })
  it('is not meant by the number alone that every board has', () => {
    expect(written('1')).toBeUndefined()
  })
  it('needs no kind where a controller has one kind only', () => {
    expect(written('k5-2')).toBe('K5-R2')
    expect(written('k6-1')).toBe('K6-1')
    expect(written('k5-9')).toBeUndefined()
    expect(written('k9-1')).toBeUndefined()
  })
})

describe('brightness', () => {
  it('is of a controller by tag or name, of a port, else of props', () => {
    expect(edits(brightness(display, ['gate', '30']))).toEqual([
      { type: 'SetControllers', controllers: ['k2'], set: { settings: { brightness: 30 } } },
    ])
    expect(edits(brightness(display, ['k1-3', '100 %']))).toEqual([
      { type: 'SetPort', port: at('k1', 3), set: { brightness: 100 } },
    ])
    expect(edits(brightness(display, ['S', '0']))).toEqual([
      { type: 'SetProps', props: ['p1'], set: { brightness: 0 } },
      { type: 'SetProps', props: ['p2'], set: { brightness: 0 } },
    ])
  })
  it('is a whole number from 0 to 100', () => {
    for (const wrong of ['101', '-1', '1.5', 'half']) {
      expect(brightness(display, ['k1', wrong]), wrong).toEqual([])
    }
  })
})

describe('what is taken off', () => {
  it('is all of a port, all of a controller, or what hangs and is called that', () => {
    expect(edits(unpatch(display, ['k1-2']))).toEqual([
      { type: 'UnpatchPieces', pieces: ['mast', 'left'] },
    ])
    expect(edits(unpatch(display, ['quay']))).toEqual([
      { type: 'UnpatchPieces', pieces: ['rail', 'mast', 'left'] },
    ])
    expect(titles(unpatch(display, ['lantern 1']))).toEqual(['Unpatch Lantern 1'])
  })
  it('is nothing where nothing hangs', () => {
    expect(unpatch(display, ['k2'])).toEqual([])
    expect(unpatch(display, ['k1-3'])).toEqual([])
    expect(unpatch(display, ['lantern 2'])).toEqual([])
  })
})

describe('a string that is cut', () => {
  it('is two of it, and the second has an id that nothing has', () => {
    expect(edits(cut(display, ['bow rail', '20']))).toEqual([
      { type: 'CutString', piece: 'rail', after: 20, rest: 'rail-2' },
    ])
    expect(cut(display, ['bow rail', '20'])[0].title).toBe('Cut Bow rail after pixel 20')
  })
  it('leaves both something, and is a string', () => {
    expect(cut(display, ['bow rail', '50'])).toEqual([])
    expect(cut(display, ['bow rail', '0'])).toEqual([])
    expect(cut(display, ['pump', '1'])).toEqual([])
  })
})

describe('another place in the list', () => {
  const by = (what: string, where: string, behind: boolean) =>
    moveController(display, what, where, behind).map((one) => (one.act!.edit as { by: number }).by)
  it('is told by how many steps', () => {
    expect(by('k1', 'k5', false)).toEqual([1])
    expect(by('k1', 'k5', true)).toEqual([2])
    expect(by('k6', 'k1', false)).toEqual([-3])
    expect(by('k6', 'k1', true)).toEqual([-2])
  })
  it('is nothing where it is there already, or is not known', () => {
    expect(by('k1', 'k2', false)).toEqual([])
    expect(by('k2', 'k1', true)).toEqual([])
    expect(by('k1', 'k1', true)).toEqual([])
    expect(by('k1', 'k7', true)).toEqual([])
    expect(by('k7', 'k1', true)).toEqual([])
  })
})

describe('the next free address', () => {
  it('comes from the subnet that it is in first, and never from a full one', () => {
    const found = nextAddress(display, ['K1'])
    expect(titles(found)).toEqual(['K1 gets 10.1.0.2', 'K1 gets 10.0.0.20'])
    expect(found[0].detail).toBe('Yard, now 10.0.0.9')
    expect(nextAddress(display, ['k2']).map((one) => one.detail)).toEqual(['Show', 'Yard'])
  })
  it('is for nobody who is not there', () => {
    expect(nextAddress(display, ['k9'])).toEqual([])
  })
})

describe('sizes and starts', () => {
  it('a string of one section gets so many pixels; of several it is not known which', () => {
    expect(edits(sized(display, ['bow rail', '90']))).toEqual([
      { type: 'SetSections', sections: [{ piece: 'rail', index: 0 }], set: { pixels: 90 } },
    ])
    expect(sized(display, ['mast', '90'])).toEqual([])
    expect(sized(display, ['pump', '90'])).toEqual([])
    expect(sized(display, ['bow rail', '0'])).toEqual([])
    expect(sized(display, ['bow rail', '100001'])).toEqual([])
  })
  it('what hangs is held at a channel, of a universe where one is said', () => {
    const start = (at: string) =>
      hold(display, ['mast', at]).map(
        (one) => (one.act!.edit as unknown as { set: { hold: object } }).set.hold,
      )
    expect(start('12:301')).toEqual([{ universe: 12, channel: 301 }])
    expect(start('301')).toEqual([{ channel: 301 }])
    expect(start('12:')).toEqual([])
    expect(hold(display, ['lantern 2', '3'])).toEqual([])
  })
  it('is let go in every section where it is held', () => {
    expect(edits(letGo(display, ['mast']))).toEqual([
      {
        type: 'SetSections',
        sections: [
          { piece: 'mast', index: 1 },
          { piece: 'mast', index: 2 },
        ],
        set: { hold: null },
      },
    ])
    expect(letGo(display, ['lantern 1'])).toEqual([])
    expect(letGo(display, ['pump'])).toEqual([])
  })
})

describe('mirrors', () => {
  it('on a port show what a piece of another port shows', () => {
    const [first] = mirrorOn(display, ['bow rail', 'k1-2'])
    expect(first.act!.edit).toEqual({
      type: 'SetLegs',
      pieces: ['mast', 'left'],
      set: { mirrorOf: 'rail' },
    })
    expect(first.detail).toBe('Mast, Lantern 1')
    expect(mirrorOn(display, ['mast', 'k1-2'])).toEqual([])
    expect(mirrorOn(display, ['bow rail', 'k1-3'])).toEqual([])
    expect(mirrorOn(display, ['lantern 2', 'k1-2'])).toEqual([])
  })
  it('of what is named like several is offered for each, never of itself', () => {
    expect(titles(mirrors(display, ['lantern 1', 'a']))).toEqual([
      'Lantern 1 mirrors Bow rail',
      'Lantern 1 mirrors Mast',
    ])
    expect(mirrors(display, ['lantern 2', 'mast'])).toEqual([])
  })
})

describe('what is patched', () => {
  it('goes to a port as it is called; what has the name in it, and all of them, are offered', () => {
    expect(titles(patch(display, ['lantern', 'k2-1']))).toEqual([
      'Patch Lantern to K2-1',
      'Patch 3 pieces to K2-1',
      'Patch Lantern 1 to K2-1',
      'Patch Lantern 2 to K2-1',
    ])
  })
  it('is spread over the ports of a controller', () => {
    expect(edits(patch(display, ['lantern 2', 'gate']))).toEqual([
      { type: 'PatchAcross', pieces: ['right'], controller: 'k2' },
    ])
  })
  it('is a list, in its order and each once, or nothing where one of it is not there', () => {
    expect(edits(patch(display, ['mast, lantern 2, mast', 'k2-1']))).toEqual([
      { type: 'PatchPieces', pieces: ['mast', 'right'], port: at('k2', 1) },
    ])
    expect(patch(display, ['mast, zeppelin', 'k2-1'])).toEqual([])
  })
  it('goes nowhere where the place is not known', () => {
    expect(patch(display, ['mast', 'k9-9'])).toEqual([])
  })
})

describe('the whole', () => {
  it('is arranged, or what of a zone hangs nowhere', () => {
    expect(arrange(display, ['all'])[0].to).toMatchObject({ params: { piece: 'arrange' } })
    expect(arrange(display, ['pier'])[0].to).toMatchObject({ params: { piece: 'arrange-z1' } })
    expect(arrange(display, ['moon'])).toEqual([])
  })
  it('is put in order at the stride of the display', () => {
    const [found] = order(display, 'ZONE', 'Zone by zone')
    expect(found).toMatchObject({ title: 'Zone by zone', detail: 'every 4' })
    expect(found.act!.edit).toEqual({ type: 'OrderUniverses', by: 'ZONE', stride: 4, letGo: false })
  })
})
