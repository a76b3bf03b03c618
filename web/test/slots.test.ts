import { expect, test } from 'vitest'
import { keepingNumbers, useSlots } from '../src/parts/slots'

const row = (key: string) => ({ key })

test('what comes into view takes the place of what left, and nobody else moves', () => {
  const slots = useSlots<{ key: string }>((one) =>
    one.key.startsWith('head') ? undefined : one.key.startsWith('ruler') ? 'ruler' : 'lane',
  )
  const first = slots(['a', 'b', 'head'].map(row))
  expect(new Set(first).size).toBe(3)
  const second = slots(['b', 'head', 'c'].map(row))
  expect(second).toEqual([first[1], 'head', first[0]])
  expect(slots(['d', 'b'].map(row))).toEqual([first[0], first[1]])
})

test('what is of another kind is made anew', () => {
  const slots = useSlots<{ key: string }>((one) => (one.key < 'm' ? 'lane' : 'ruler'))
  const first = slots(['a', 'x'].map(row))
  const second = slots(['y', 'z'].map(row))
  expect(second[0]).toBe(first[1])
  expect(first).not.toContain(second[1])
})

test('each keeps its number, and who comes takes the smallest that is free', () => {
  const numbers = keepingNumbers()
  expect(numbers(['a', 'b', 'c'])).toEqual([0, 1, 2])
  expect(numbers(['c'])).toEqual([2])
  expect(numbers(['c', 'd', 'e', 'f'])).toEqual([2, 0, 1, 3])
  expect(numbers([])).toEqual([])
  expect(numbers(['c'])).toEqual([0])
})
