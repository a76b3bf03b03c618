import { expect, test } from 'vitest'
import type { Preview } from '../src/api/types'
import { consequences, outcome } from '../src/parts/previewWords'

const nothing: Preview = {
  label: '',
  unpatched: [],
  lanes: [],
  controllers: [],
  found: [],
  cleared: [],
  stale: [],
} as unknown as Preview

test('what follows from an edit is told; what it sets itself is not', () => {
  expect(consequences(nothing)).toEqual([])
  expect(outcome(nothing)).toEqual(['no address moves'])
  const much = {
    ...nothing,
    moved: '3 legs moved',
    stale: ['K1', 'K2', 'K3', 'K4', 'K5'],
    still: { movesWith: 1, movesWithout: 4096 },
    lanes: [{ written: 'K1-3' }],
  } as unknown as Preview
  expect(outcome(much)).toEqual([
    '3 legs moved',
    'changes K1-3',
    'keeping still: 1 channel of others moves instead of 4,096',
    'K1, K2, K3, K4 and 1 more would want the configuration anew',
  ])
})
