import { expect, test } from 'vitest'
import { rangesOf, rangesTold } from '../src/places/controllers/inputRanges'

test('universes are typed as people write them, and told the same way', () => {
  expect(rangesOf('1-4:510, 20', 512)).toEqual([
    { firstUniverse: 1, count: 4, size: 510 },
    { firstUniverse: 20, count: 1, size: 512 },
  ])
  expect(rangesTold(rangesOf('1-4:510, 20', 512))).toBe('1-4:510, 20:512')
  expect(rangesOf('', 512)).toEqual([])
  expect(rangesOf('9-5', 512)[0].count).toBe(1)
})
