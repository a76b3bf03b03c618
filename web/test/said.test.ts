import { expect, test } from 'vitest'
import { said } from '../src/api/said'

test('a field that is named without a value is to have none, others stay', () => {
  expect(said({ hold: undefined, pixels: 5 })).toEqual({ hold: null, pixels: 5 })
  expect(JSON.stringify(said({ fold: undefined }))).toBe('{"fold":null}')
  expect(said({ brightness: 0, backward: false })).toEqual({ brightness: 0, backward: false })
})
