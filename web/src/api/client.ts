import type {
  CatalogueView,
  Delta,
  DisplayView,
  Edit,
  FeedPlanView,
  HandoverView,
  Header,
  Listed,
  MachineAdapter,
  PortRef,
  Preview,
  RemedyView,
  RowsView,
  RunView,
} from './types'

/** An error as the server words it (RFC 9457). */
export class Problem extends Error {
  readonly status: number
  readonly title: string
  /** Each reason with its place, where a file was refused. */
  readonly reasons: { place: string; message: string }[]

  constructor(status: number, body: Record<string, unknown>) {
    super(String(body.detail ?? body.title ?? `The server answered ${status}`))
    this.status = status
    this.title = String(body.title ?? 'Error')
    this.reasons = (body.reasons as Problem['reasons']) ?? []
  }
}

async function ask<T>(path: string, init?: RequestInit): Promise<T> {
  let answer: Response
  try {
    answer = await fetch(`/api${path}`, init)
  } catch (cause) {
    if (init?.signal?.aborted) {
      throw cause
    }
    throw new Problem(0, {
      title: 'Hamper does not answer',
      detail:
        'Nothing was changed. Is the program still running? Start it again with ./hamper demo',
    })
  }
  const body = answer.headers.get('content-type')?.includes('json') ? await answer.json() : {}
  if (!answer.ok) {
    throw new Problem(answer.status, body)
  }
  return body as T
}

function post<T>(path: string, body: unknown, signal?: AbortSignal): Promise<T> {
  return ask<T>(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    signal,
  })
}

/** Most bytes of a display file; the server refuses more. */
export const MOST_FILE_BYTES = 20 * 1024 * 1024

/** Sends a file as it is; one that the server would not read to its end is refused here. */
function sendFile<T>(path: string, file: Blob, signal?: AbortSignal): Promise<T> {
  if (file.size > MOST_FILE_BYTES) {
    const size = file.size.toLocaleString('en')
    const allowed = MOST_FILE_BYTES.toLocaleString('en')
    const message = `${size} bytes; allowed are ${allowed}. Split it, or leave out what is not planned here`
    return Promise.reject(
      new Problem(422, {
        title: 'This file cannot be used; nothing was stored',
        detail: `file: ${message}`,
        reasons: [{ place: 'file', message }],
      }),
    )
  }
  return ask<T>(path, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: file,
    signal,
  })
}

export const api = {
  displays: () => ask<Listed[]>('/displays'),
  create: (name: string, copyOf?: string) => post<Listed>('/displays', { name, copyOf }),
  demo: () => post<Listed>('/displays/demo', {}),
  display: (id: string) => ask<DisplayView>(`/displays/${id}`),
  edit: (id: string, version: number, edit: Edit) =>
    post<Delta>(`/displays/${id}/edits`, { version, edit }),
  undo: (id: string, version: number) => post<Delta>(`/displays/${id}/undo`, { version }),
  redo: (id: string, version: number) => post<Delta>(`/displays/${id}/redo`, { version }),
  preview: (id: string, edit: Edit, signal?: AbortSignal) =>
    post<Preview>(`/displays/${id}/preview`, { edit }, signal),
  handover: (id: string) => ask<HandoverView>(`/displays/${id}/handover`),
  importFile: (file: File) => sendFile<Listed>('/displays/import', file),
  catalogue: (id: string) => ask<CatalogueView>(`/displays/${id}/catalogue`),
  addToCatalogue: (id: string, version: number, file: File) =>
    sendFile<Delta>(`/displays/${id}/catalogue?version=${version}`, file),
  readRows: (id: string, rows: Blob, header: Header, signal?: AbortSignal) =>
    sendFile<RowsView>(`/displays/${id}/props/rows/preview?header=${header}`, rows, signal),
  addRows: (id: string, version: number, rows: Blob, header: Header) =>
    sendFile<Delta>(`/displays/${id}/props/rows?header=${header}&version=${version}`, rows),
  remedies: (id: string, code: string, message: string, signal?: AbortSignal) =>
    post<RemedyView[]>(`/displays/${id}/remedies`, { code, message }, signal),
  runPower: (id: string, at: PortRef, edit?: Edit, signal?: AbortSignal) =>
    post<RunView>(`/displays/${id}/power/run`, { port: at, edit }, signal),
  feedPlan: (id: string) => post<FeedPlanView>(`/displays/${id}/power/feeds`, {}),
  machineAdapters: () => ask<MachineAdapter[]>('/machine/adapters'),
}
