import { expect, test } from 'vitest'
import type { ControllerView } from '../src/api/types'
import { blockTold, usedTold } from '../src/parts/blockTold'

function view(block: Partial<ControllerView['block']>): ControllerView {
  return { block: { usedChannels: 0, dmxUniverses: [], ...block } } as unknown as ControllerView
}

test('a bridge of DMX lines tells their universes, not nothing', () => {
  expect(blockTold(view({ dmxUniverses: [201, 202] }))).toBe('universe 201, 202')
  expect(usedTold(view({ dmxUniverses: [201] }))).toBe('1 DMX line')
})

test('what flows comes first', () => {
  const one = view({ from: '1:1', to: '2:510', usedChannels: 1020, dmxUniverses: [9] })
  expect(blockTold(one)).toBe('1:1 – 2:510 · universe 9')
  expect(usedTold(one)).toBe('1,020 used, 1 DMX line')
  expect(usedTold(view({}))).toBe('0 used')
})
