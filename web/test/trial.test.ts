import { describe, expect, it } from 'vitest'
import type { DisplayView, TrialPort } from '../src/api/types'
import { colourOf, decoded, differs, rates } from '../src/places/trial/pixels'
import { asked, choices, longest, piecesOf, typedSlot } from '../src/state/targets'
import { halved } from '../src/parts/halved'

const string = (id: string, ...pixels: number[]) => ({
  piece: { kind: 'string', id, name: id, sections: pixels.map((one) => ({ pixels: one })) },
  title: `string ${id}`,
  port: { kind: 'PIXEL', port: 1, controller: 'k one' },
})
const display = {
  zones: [{ id: 'z', name: 'Yard' }],
  controllers: [
    {
      host: false,
      controller: { id: 'k one', tag: 'K1', name: 'Shed' },
      lanes: [
        {
          port: { kind: 'PIXEL', port: 1, controller: 'k one' },
          written: 'K1-1',
          legs: [{ piece: 'a' }],
        },
        { port: { kind: 'PIXEL', port: 2, controller: 'k one' }, written: 'K1-2', legs: [] },
      ],
    },
    { host: true, controller: { id: 'h', tag: 'H1', name: 'Host' }, lanes: [] },
  ],
  props: [
    { prop: { id: 'p', name: 'Bow', zone: 'z' }, pieces: [string('a', 10, 5), string('b', 7)] },
    { prop: { id: 'q', name: 'Loose' }, pieces: [{ ...string('c', 3), port: undefined }] },
  ],
} as unknown as DisplayView

describe('what can be lit', () => {
  it('is all that hangs somewhere, from large to small', () => {
    expect(choices(display).map((one) => one.title)).toEqual([
      'Yard',
      'K1 Shed',
      'K1-1',
      'Bow',
      'string a',
      'string b',
      'string a, section 1',
      'string a, section 2',
    ])
  })

  it('is asked for by what it is', () => {
    const all = choices(display)
    const want = asked([...all, typedSlot('12:301', display)!, typedSlot('k1 BYTE 40', display)!])
    expect(want.zones).toEqual(['z'])
    expect(want.ports).toEqual([{ kind: 'PIXEL', port: 1, controller: 'k one' }])
    expect(want.sections).toEqual([
      { section: 1, piece: 'a' },
      { section: 2, piece: 'a' },
    ])
    expect(want.slots).toEqual([
      { universe: 12, channel: 301 },
      { channel: 40, controller: 'k one' },
    ])
    expect(typedSlot('12', display)).toBeUndefined()
    expect(typedSlot('K9 byte 1', display)).toBeUndefined()
  })

  it('hits pieces by every name that they have', () => {
    const ids = (title: string) =>
      piecesOf(
        choices(display).filter((one) => one.title === title),
        display,
      ).map((one) => one.piece.id)
    expect(piecesOf([], display)).toHaveLength(2)
    expect(ids('Yard')).toEqual(['a', 'b'])
    expect(ids('K1-1')).toEqual(['a', 'b'])
    expect(ids('Bow')).toEqual(['a', 'b'])
    expect(ids('string b')).toEqual(['b'])
    expect(ids('string a, section 2')).toEqual(['a'])
    expect(longest(piecesOf([], display))).toBe(15)
  })
})

describe('a part', () => {
  it('is halved until one pixel is left, wherever the dark spot is', () => {
    for (let spot = 1; spot <= 100; spot++) {
      let part: [number, number] = [1, 100]
      let steps = 0
      while (part[0] < part[1]) {
        const first = halved(...part, 'first')
        part = spot <= first[1] ? first : halved(...part, 'second')
        steps++
      }
      expect(part).toEqual([spot, spot])
      expect(steps).toBeLessThanOrEqual(7)
    }
  })
})

describe('pixels', () => {
  const port = (meant: number[], shown?: number[]) =>
    decoded({
      port: { kind: 'PIXEL', port: 1, controller: 'k' },
      width: 3,
      meant: btoa(String.fromCharCode(...meant)),
      shown: shown && btoa(String.fromCharCode(...shown)),
      differing: 0,
      planned: true,
    } as TrialPort)

  it('differ where a byte does, also where there are fewer', () => {
    expect(differs(port([1, 2, 3, 4, 5, 6], [1, 2, 3, 4, 5, 7]), 0, 1)).toBe(false)
    expect(differs(port([1, 2, 3, 4, 5, 6], [1, 2, 3, 4, 5, 7]), 1, 2)).toBe(true)
    expect(differs(port([1, 2, 3, 4, 5, 6], [1, 2, 3]), 1, 2)).toBe(true)
    expect(differs(port([1, 2, 3]), 0, 1)).toBe(false)
  })

  it('are drawn as the brightest of a stretch, low light well seen', () => {
    const both = Uint8Array.from([255, 0, 0, 0, 64, 0])
    expect(colourOf(both, 3, 0, 2)).toEqual([255, 128, 0])
    expect(colourOf(Uint8Array.from([0, 0, 0, 255]), 4, 0, 1)).toEqual([255, 255, 255])
    expect(colourOf(Uint8Array.from([0]), 1, 0, 1)).toEqual([0, 0, 0])
  })
})

describe('packets a second', () => {
  it('are told by sender and universe, and only of those that send', () => {
    const one = (sender: string, packets: number) => ({ sender, own: true, universe: 1, packets })
    const before = { streams: [one('a', 10), one('b', 5)] }
    const now = { streams: [one('a', 30), one('b', 5), one('c', 7)] }
    expect(rates(before, now, 0.5)).toEqual([
      { sender: 'a', own: true, universe: 1, perSecond: 40 },
    ])
    expect(rates(undefined, now, 0.5)).toEqual([])
  })
})
