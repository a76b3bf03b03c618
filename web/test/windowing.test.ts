import { describe, expect, it } from 'vitest'
import { firstAbove } from '../src/parts/windowing'

describe('the rows in view', () => {
  it('are found among their places', () => {
    const tops = [0, 40, 75, 110]
    expect(firstAbove(tops, -1)).toBe(0)
    expect(firstAbove(tops, 0)).toBe(1)
    expect(firstAbove(tops, 74)).toBe(2)
    expect(firstAbove(tops, 75)).toBe(3)
    expect(firstAbove(tops, 200)).toBe(4)
    expect(firstAbove([], 5)).toBe(0)
  })
  it('are the same as by looking at each', () => {
    for (let n = 0; n < 200; n++) {
      const tops = Array.from({ length: n % 17 }, (_, i) => i * 7 + (i % 3))
      const value = (n * 31) % 130
      expect(firstAbove(tops, value)).toBe(tops.filter((top) => top <= value).length)
    }
  })
})
