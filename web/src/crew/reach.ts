import createClient from 'openapi-fetch'
import type { paths } from '../api/generated/schema'

/** Nobody answered: the phone is out of reach, or the door is closed. */
export class OutOfReach extends Error {}

/** An answer that refuses, as it words it. */
export class Refused extends Error {
  readonly status: number

  constructor(status: number, body: unknown) {
    super(String((body as { detail?: string })?.detail ?? `The computer answered ${status}`))
    this.status = status
  }
}

const NAME = 'hamper.name'
/** Who holds the phone; each tick carries it. */
export const name = {
  get: () => localStorage.getItem(NAME) ?? '',
  set: (said: string) => localStorage.setItem(NAME, said.trim().slice(0, 40)),
}

/** No answer for so long, and the phone is out of reach (ms). */
const PATIENCE = 12_000

const client = createClient<paths>({
  fetch: async (request: Request) => {
    try {
      return await fetch(request, { signal: AbortSignal.timeout(PATIENCE) })
    } catch (cause) {
      throw new OutOfReach(String(cause))
    }
  },
})
client.use({
  onRequest({ request }) {
    request.headers.set('Hamper-Who', encodeURIComponent(name.get()))
    return request
  },
})

async function answer<T>(
  asked: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  const { data, error, response } = await asked
  if (!response.ok) {
    throw new Refused(response.status, error)
  }
  return data as T
}

type Body<P extends keyof paths, M extends 'put' | 'post'> = paths[P] extends {
  [K in M]: { requestBody: { content: { 'application/json': infer B } } }
}
  ? B
  : never

/** What may be asked at the crew door. */
export const reach = {
  enter: (key: string) => answer(client.POST('/crew/api/enter', { body: { key } })),
  yard: () => answer(client.GET('/crew/api/yard')),
  strings: () => answer(client.GET('/crew/api/strings')),
  controller: (controller: string) =>
    answer(client.GET('/crew/api/controllers/{controller}', { params: { path: { controller } } })),
  moves: (since: number) => answer(client.GET('/crew/api/moves', { params: { query: { since } } })),
  history: (piece: string) =>
    answer(client.GET('/crew/api/strings/{piece}/history', { params: { path: { piece } } })),
  claim: (body: Body<'/crew/api/claims', 'post'>) =>
    answer(client.POST('/crew/api/claims', { body })),
  photo: (photo: Blob) =>
    answer(
      client.POST('/crew/api/photos', {
        body: photo as never,
        bodySerializer: (body: unknown) => body as Blob,
        headers: { 'Content-Type': 'application/octet-stream' },
      }),
    ),
  light: (body: Body<'/crew/api/light', 'put'>) => answer(client.PUT('/crew/api/light', { body })),
  dark: () => answer(client.DELETE('/crew/api/light')),
  stopAll: () => answer(client.DELETE('/crew/api/light/all')),
  hold: (piece: string, on: boolean) =>
    answer(client.PUT('/crew/api/held', { body: { piece, on } })),
  guides: () => answer(client.GET('/crew/api/guides')),
  guide: (
    kind: paths['/crew/api/guides/{kind}']['post']['parameters']['path']['kind'],
    body: Body<'/crew/api/guides/{kind}', 'post'>,
  ) => answer(client.POST('/crew/api/guides/{kind}', { params: { path: { kind } }, body })),
  rescue: (controller: string) =>
    answer(client.GET('/crew/api/rescue/{controller}', { params: { path: { controller } } })),
  rescued: (controller: string, body: Body<'/crew/api/rescue/{controller}', 'post'>) =>
    answer(
      client.POST('/crew/api/rescue/{controller}', { params: { path: { controller } }, body }),
    ),
}
