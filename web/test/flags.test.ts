import { describe, expect, it } from 'vitest'
import type { Occupant } from '../src/api/types'
import { flagsOf } from '../src/places/network/flags'
import { bitsOf } from '../src/places/network/ip'

const FROM = bitsOf('198.51.100.0')
const at = (...ends: number[]) => ends.map((end) => ({ address: `198.51.100.${end}` }) as Occupant)
/** Of a row of 32 addresses, 10 px each. */
const told = (...ends: number[]) => {
  const { made, levels } = flagsOf(at(...ends), FROM, 10, 320)
  return [levels, ...made.map(({ bits, x, level, turned }) => [bits - FROM, x, level, turned])]
}

describe('flags of a row', () => {
  it('stand beside each other where there is room, else above', () => {
    expect(told(1, 5, 7)).toEqual([2, [1, 15, 0, false], [5, 55, 0, false], [7, 75, 1, false]])
    expect(told()).toEqual([1])
  })
  it('of one address stand together', () => {
    const { made } = flagsOf(at(3, 3, 7), FROM, 10, 320)
    expect(made.map((one) => [one.occupants.length, one.level])).toEqual([
      [2, 0],
      [1, 1],
    ])
  })
  it('at the end of the row are turned, and cover nothing before them', () => {
    expect(told(24, 31)).toEqual([2, [24, 245, 0, false], [31, 315, 1, true]])
    expect(told(20, 31)).toEqual([1, [20, 205, 0, false], [31, 315, 0, true]])
  })
})
