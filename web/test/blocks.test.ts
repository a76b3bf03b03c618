import { expect, test } from 'vitest'
import { blocksOf } from '../src/parts/blocks'

const rows = (count: number) => Array.from({ length: count }, (_, i) => i)

test('a long list is drawn block by block, its last one shorter', () => {
  const blocks = blocksOf(rows(25), 20, 10)
  expect(blocks.map((block) => block.rows.length)).toEqual([10, 10, 5])
  expect(blocks.flatMap((block) => block.rows)).toEqual(rows(25))
  expect(blocks.some((block) => block.always)).toBe(false)
})

test('a short list is always drawn, and of a long one the block of a row that is held', () => {
  expect(blocksOf(rows(20), 20, 10).every((block) => block.always)).toBe(true)
  expect(blocksOf(rows(25), 20, 10, (row) => row === 12).map((block) => block.always)).toEqual([
    false,
    true,
    false,
  ])
  expect(blocksOf([], 20, 10)).toEqual([])
})
