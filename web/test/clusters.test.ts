import { expect, test } from 'vitest'
import type { Finding } from '../src/api/types'
import { clusters, isCluster } from '../src/shell/clusters'

function finding(code: string, identity: string): Finding {
  return { code, identity, title: `Title of ${code}` } as Finding
}

test('many of one kind are one line where the first stands; two are two', () => {
  const all = [
    finding('loose', '1'),
    finding('low', '2'),
    finding('loose', '3'),
    finding('low', '4'),
    finding('loose', '5'),
  ]
  const told = clusters(all)
  expect(told.map((one) => (isCluster(one) ? one.title : one.identity))).toEqual([
    '3 × Title of loose',
    '2',
    '4',
  ])
  expect(isCluster(told[0]) && told[0].findings).toHaveLength(3)
})
