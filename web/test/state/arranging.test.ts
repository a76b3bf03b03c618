import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { effectScope, nextTick, type EffectScope } from 'vue'
import type { DisplayView } from '../../src/api/types'

const server = vi.hoisted(() => ({
  arrange: vi.fn(),
  arranging: vi.fn(),
  stopArranging: vi.fn(),
  missing: vi.fn(),
  preview: vi.fn(),
}))
vi.mock('../../src/api/client', async () => ({
  ...(await vi.importActual<object>('../../src/api/asking')),
  api: server,
}))
vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined })
vi.stubGlobal('window', globalThis)

const { Problem } = await import('../../src/api/asking')
const { useDisplay } = await import('../../src/state/display')
const { useArranging } = await import('../../src/state/arranging')

const loose = (id: string) => ({ piece: { id, kind: 'string' }, title: id })
const view = {
  id: 'd',
  version: 1,
  controllers: [],
  props: [{ prop: { id: 'p' }, pieces: [loose('a'), loose('b')] }],
  findings: [],
} as unknown as DisplayView
const proposal = (aim: string) => ({ aim, proposal: { hung: [], left: [], stopped: false } })

let scope: EffectScope
beforeEach(() => {
  setActivePinia(createPinia())
  useDisplay().view = view
  Object.values(server).forEach((one) => one.mockReset())
  scope = effectScope()
})
afterEach(() => scope.stop())

const settled = async () => {
  for (let i = 0; i < 10; i++) {
    await nextTick()
  }
}

it('asks for one aim after the other, about all that hangs nowhere', async () => {
  server.arrange.mockImplementation(async (_, asked) => proposal(asked.aim))
  const arranging = scope.run(() => useArranging(undefined))!
  await settled()
  expect(server.arrange.mock.calls.map(([, asked]) => asked.aim)).toEqual([
    'EASIEST',
    'SHORTEST',
    'FEWEST',
  ])
  expect(server.arrange.mock.calls[0][1].pieces).toEqual([])
  expect(arranging.shown.value).toEqual(proposal('EASIEST'))
  expect(arranging.failed.value).toBe('')
})

it('says why nothing was worked out, in the words of the server, until it is asked again', async () => {
  const why = '12000 that hang is refused; at most 10000 may move at once'
  server.arrange.mockRejectedValue(new Problem(422, { detail: why }))
  const arranging = scope.run(() => useArranging(undefined))!
  await settled()
  expect(arranging.failed.value).toBe(why)
  expect(arranging.shown.value).toBeUndefined()
  server.arrange.mockImplementation(async (_, asked) => proposal(asked.aim))
  arranging.move.value = true
  await settled()
  expect(arranging.failed.value).toBe('')
  expect(arranging.shown.value).toBeDefined()
})

it('says at least that nothing was worked out where the server does not answer', async () => {
  server.arrange.mockRejectedValue(new TypeError('network'))
  const arranging = scope.run(() => useArranging(undefined))!
  await settled()
  expect(arranging.failed.value).toBe('It could not be worked out.')
})
