import createClient from 'openapi-fetch'
import { beforeEach, expect, it, vi } from 'vitest'

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined })
const answers: Response[] = []

const { answerOnce, Problem } = await import('../src/api/asking')
type Paths = { '/what': { get: { responses: { 200: { content: { 'text/plain': string } } } } } }
const client = createClient<Paths>({
  baseUrl: 'http://localhost',
  fetch: () => Promise.resolve(answers.shift()!),
})
const ask = (what: string) =>
  answerOnce<{ n: number }>(what, client.GET('/what', { parseAs: 'text' }))
const said = (text: string, status = 200) => answers.push(new Response(text, { status }))

beforeEach(() => void answers.splice(0))

it('what comes again is not read again, and is the very same', async () => {
  said('{"n":1}')
  said('{"n":1}')
  said('{"n":2}')
  said('{"n":1}')
  const first = await ask('a')
  expect(first).toEqual({ n: 1 })
  expect(await ask('a')).toBe(first)
  expect(await ask('a')).toEqual({ n: 2 })
  expect(await ask('a')).toEqual({ n: 1 })
})

it('each thing that is asked for has its own last answer, and a refusal is no answer', async () => {
  said('{"n":5}')
  said('{"n":6}')
  said('{"title":"Not now","detail":"later"}', 503)
  said('{"n":5}')
  const first = await ask('b')
  expect(await ask('c')).toEqual({ n: 6 })
  await expect(ask('b')).rejects.toEqual(new Problem(503, { title: 'Not now', detail: 'later' }))
  expect(await ask('b')).toBe(first)
})
