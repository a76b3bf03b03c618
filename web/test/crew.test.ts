import { describe, expect, test } from 'vitest'
import type { StringAt } from '../src/crew/types'
import { ago, claimOf, foreseen, rank, socketOf, STAGES, type Waiting } from '../src/crew/waiting'

const RIDGE: StringAt = {
  piece: 'a',
  title: 'Ridge left',
  zone: 'Boathouse',
  port: { controller: 'k1', kind: 'PIXEL', port: 7 },
  written: 'K1-7',
  stage: 'HUNG',
  by: 'Bo',
  elsewhere: false,
}
let count = 0
const said = (what: Partial<Waiting>): Waiting => ({
  id: `w${count++}`,
  display: 'd',
  piece: 'a',
  by: 'Ada',
  at: 1_000_000,
  kind: 'REACHED',
  ...what,
})

describe('what waits on a phone', () => {
  test('is shown as if it were taken', () => {
    const up = said({ stage: 'POWERED' })
    const now = foreseen(RIDGE, [up])
    expect([now.stage, now.by, now.since]).toEqual(['POWERED', 'Ada', '1970-01-01T00:16:40.000Z'])
    expect(foreseen(RIDGE, [up, said({ kind: 'TAKEN_BACK', stage: 'TESTED' })]).stage).toBe(
      'TESTED',
    )
  })
  test('never lowers by a tick, and never raises by taking back', () => {
    expect(foreseen(RIDGE, [said({ stage: 'TESTED' })])).toBe(RIDGE)
    expect(foreseen(RIDGE, [said({ kind: 'TAKEN_BACK', stage: 'POWERED' })])).toBe(RIDGE)
  })
  test('of another string, or refused, changes nothing', () => {
    expect(foreseen(RIDGE, [said({ piece: 'b', stage: 'POWERED' })])).toBe(RIDGE)
    expect(foreseen(RIDGE, [said({ stage: 'POWERED', refused: 'no' })])).toBe(RIDGE)
  })
  test('trouble comes, and is over', () => {
    const dark = said({ kind: 'TROUBLE', text: 'dark', urgency: 'TONIGHT' })
    expect(foreseen(RIDGE, [dark]).trouble).toEqual({
      reason: 'dark',
      urgency: 'TONIGHT',
      owner: '',
    })
    expect(foreseen(RIDGE, [dark, said({ kind: 'SETTLED' })]).trouble).toBeUndefined()
    expect(foreseen(RIDGE, [said({ kind: 'NOTED', text: 'behind' })]).note?.text).toBe('behind')
  })
  test('is sent with how long ago, whatever the clock of the phone says', () => {
    const one = said({ stage: 'HUNG', socket: socketOf(RIDGE.port) })
    expect(claimOf(one, 1_090_400)).toMatchObject({
      millisAgo: 90_400,
      kind: 'REACHED',
      socket: 'k1/PIXEL/7',
    })
    expect(claimOf(one, 900_000).millisAgo).toBe(0)
    expect(claimOf(one, 1_000_000, 'p1').photo).toBe('p1')
  })
})

test('stages are in the order of the work', () => {
  expect(STAGES.map((one) => rank(one.stage))).toEqual([0, 1, 2, 3, 4, 5])
})

test('a moment is told in words', () => {
  const minute = 60_000
  const now = 1_000_000_000
  const told = [0, 1, 5, 49, 55, 120, 60 * 26, 60 * 24 * 4].map((m) => ago(now - m * minute, now))
  expect(told).toEqual([
    'just now',
    'a minute ago',
    '5 minutes ago',
    '49 minutes ago',
    'an hour ago',
    '2 hours ago',
    'yesterday',
    '4 days ago',
  ])
})
