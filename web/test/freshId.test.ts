import { expect, test } from 'vitest'
import { freshId } from '../src/state/freshId'

test('an id is made of plain letters, and of a number where it is taken', () => {
  expect(freshId('Hafenmöwe № 3', [])).toBe('hafenmowe-no-3'.replace('-no', ''))
  expect(freshId('Star', ['star', 'star-2'])).toBe('star-3')
  expect(freshId('★', [])).toBe('new')
})
