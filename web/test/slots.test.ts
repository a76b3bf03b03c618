import { expect, test } from 'vitest'
import { unmoved, useSlots } from '../src/parts/slots'

const row = (key: string) => ({ key })

test('what comes into view takes the place of what left, and nobody else moves', () => {
  const slots = useSlots<{ key: string }>((one) =>
    one.key.startsWith('head') ? undefined : one.key.startsWith('ruler') ? 'ruler' : 'lane',
  )
  const first = slots(['a', 'b', 'head'].map(row))
  expect(new Set(first.map((one) => one.key)).size).toBe(3)
  const second = slots(['b', 'head', 'c'].map(row))
  expect(second).toEqual([first[1], { key: 'head' }, first[0]])
  expect(slots(['d', 'b'].map(row))).toEqual([first[0], first[1]])
})

test('what is of another kind is made anew', () => {
  const slots = useSlots<{ key: string }>((one) => (one.key < 'm' ? 'lane' : 'ruler'))
  const first = slots(['a', 'x'].map(row))
  const second = slots(['y', 'z'].map(row))
  expect(second[0]).toEqual(first[1])
  expect(first).not.toContainEqual(second[1])
})

test('no element is moved for what is used again, and what keeps its own stays in its order', () => {
  const slots = useSlots<{ key: string }>((one) => (one.key < 'm' ? 'lane' : undefined))
  const order = (keys: string[]) => {
    const given = slots(keys.map(row))
    const all = keys.map((key, i) => ({ key, slot: given[i] }))
    return unmoved(all, ({ key }) => key === 'z').map((one) => one.key)
  }
  expect(order(['x', 'a', 'z', 'b', 'y', 'c'])).toEqual(['x', 'y', 'a', 'b', 'c', 'z'])
  // d has the element of a, which stands first still
  expect(order(['z', 'b', 'y', 'c', 'd'])).toEqual(['y', 'd', 'b', 'c', 'z'])
})
