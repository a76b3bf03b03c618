import createClient from 'openapi-fetch'
import type { paths } from './generated/schema'
import type { Moving, PortRef } from './types'

/** An error as the server words it (RFC 9457). */
export class Problem extends Error {
  readonly status: number
  readonly title: string
  /** Each reason with its place, where a file was refused. */
  readonly reasons: { place: string; message: string }[]
  /** Starts that an edit moves, where they keep still. */
  readonly moving?: Moving[]

  constructor(status: number, body: Record<string, unknown>) {
    super(String(body.detail ?? body.title ?? `The server answered ${status}`))
    this.status = status
    this.title = String(body.title ?? 'Error')
    this.reasons = (body.reasons as Problem['reasons']) ?? []
    this.moving = body.moving as Moving[] | undefined
  }
}

export const client = createClient<paths>({ fetch: reach })

/** Where the name is kept that a window says of whoever sits at it. */
const WHO = 'hamper.who'
export const who = {
  get: () => localStorage.getItem(WHO) ?? '',
  set: (name: string) => localStorage.setItem(WHO, name.trim()),
}
client.use({
  onRequest({ request }) {
    // a header carries plain letters only
    request.headers.set('Hamper-Who', encodeURIComponent(who.get()))
    return request
  },
})

/** As fetch, but words for a server that does not answer. */
async function reach(request: Request): Promise<Response> {
  try {
    return await fetch(request)
  } catch (cause) {
    if (request.signal.aborted) {
      throw cause
    }
    throw new Problem(0, {
      title: 'Hamper does not answer',
      detail:
        'Nothing was changed. Is the program still running? Start it again with ./hamper demo',
    })
  }
}

/** What the server answers, as the contract types it; a refusal is thrown as it words it. */
export async function answer<T>(
  asked: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  const { data, error, response } = await asked
  if (!response.ok) {
    throw new Problem(response.status, typeof error === 'object' ? { ...error } : {})
  }
  return data as T
}

/** What was last read of what is asked for again and again: the text that came, and what it says. */
const lastRead = new Map<string, { text: string; said: unknown }>()

/**
 * As answer, of what is asked for after each step and seldom is another then: where the text is
 * that of the last time it is not read again, and what is told is the very same. On 20,000 strings
 * that is 4 MB.
 *
 * @param what is asked for; the last answer is kept
 * @param asked with the answer as text
 */
export async function answerOnce<T>(
  what: string,
  asked: Promise<{ data?: string; error?: unknown; response: Response }>,
): Promise<T> {
  const text = await answer(asked)
  const last = lastRead.get(what)
  if (last?.text === text) {
    return last.said as T
  }
  const said = JSON.parse(text) as T
  lastRead.set(what, { text, said })
  return said
}

/** Most bytes of a display file; the server refuses more. */
export const MOST_FILE_BYTES = 20 * 1024 * 1024

/** A file as it is; one that the server would not read to its end is refused here. */
export function sent(file: Blob) {
  if (file.size > MOST_FILE_BYTES) {
    const size = file.size.toLocaleString('en')
    const allowed = MOST_FILE_BYTES.toLocaleString('en')
    const message = `${size} bytes; allowed are ${allowed}. Split it, or leave out what is not planned here`
    throw new Problem(422, {
      title: 'This file cannot be used; nothing was stored',
      detail: `file: ${message}`,
      reasons: [{ place: 'file', message }],
    })
  }
  return {
    // the contract has the bytes of a file as text
    body: file as unknown as string,
    bodySerializer: () => file,
    headers: { 'content-type': 'application/octet-stream' },
  }
}

/** A display's id, in its path. */
export const at = (id: string) => ({ path: { id } })
export const of = (id: string) => ({ params: at(id) })
export const ofMilestone = (id: string, milestone: string) => ({
  params: { path: { id, milestone } },
})
export const onLine = (id: string, { controller, kind, port }: PortRef) => ({
  params: { path: { id, controller, kind, port } },
})
export const named = (id: string, name: string) => ({ params: { path: { id, name } } })
export const ofController = (id: string, controller: string) => ({
  params: { path: { id, controller } },
})
