import { expect, test } from 'vitest'
import { latestOf } from '../src/state/latest'

function later<T>() {
  let answer!: (value: T) => void
  let fail!: (why: unknown) => void
  const promise = new Promise<T>((resolve, reject) => {
    answer = resolve
    fail = reject
  })
  return { promise, answer, fail }
}

test('an old answer that arrives last does not win', async () => {
  const kept: (string | undefined)[] = []
  const ask = latestOf<string>((answer) => kept.push(answer))
  const first = later<string>()
  const second = later<string>()
  const both = [ask(() => first.promise), ask(() => second.promise)]
  second.answer('new')
  await both[1]
  first.answer('old')
  await both[0]
  expect(kept).toEqual(['new'])
})

test('a question that fails is answered by nothing, unless a later one was asked', async () => {
  const kept: (string | undefined)[] = []
  const ask = latestOf<string>((answer) => kept.push(answer))
  await ask(() => Promise.reject(new Error('gone')))
  expect(kept).toEqual([undefined])
})
