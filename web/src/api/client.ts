import createClient from 'openapi-fetch'
import type { paths } from './generated/schema'
import type {
  AskLine,
  CaptureView,
  CrewOpening,
  NewCrewKey,
  Edit,
  GuideAnswer,
  GuideKind,
  GiveRequest,
  Header,
  Located,
  Moving,
  OutputRequest,
  Aim,
  ArrangeRequest,
  Condition,
  PaperSize,
  Stage,
  TroubleRequest,
  PortRef,
  Question,
} from './types'

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

const client = createClient<paths>({ fetch: reach })

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
async function answer<T>(
  asked: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  const { data, error, response } = await asked
  if (!response.ok) {
    throw new Problem(response.status, typeof error === 'object' ? { ...error } : {})
  }
  return data as T
}

/** Most bytes of a display file; the server refuses more. */
export const MOST_FILE_BYTES = 20 * 1024 * 1024

/** A file as it is; one that the server would not read to its end is refused here. */
function sent(file: Blob) {
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

/** Most bytes of a capture; the server refuses more. */
const MOST_CAPTURE_BYTES = 2 ** 30

/** Sends a capture, with how far it is: what fetch does not tell. */
function sendCapture(
  id: string,
  file: File,
  sent: (share: number) => void,
  signal: AbortSignal,
): Promise<CaptureView> {
  return new Promise((done, failed) => {
    if (file.size > MOST_CAPTURE_BYTES) {
      const size = file.size.toLocaleString('en')
      const most = MOST_CAPTURE_BYTES.toLocaleString('en')
      failed(
        new Problem(422, {
          detail: `${file.name}: ${size} bytes; a capture has at most ${most}. Capture a shorter time`,
        }),
      )
      return
    }
    const request = new XMLHttpRequest()
    request.open('POST', `/api/displays/${id}/capture?name=${encodeURIComponent(file.name)}`)
    request.setRequestHeader('content-type', 'application/octet-stream')
    request.responseType = 'json'
    request.upload.onprogress = (event) => sent(event.loaded / Math.max(1, event.total))
    request.onload = () =>
      request.status === 200
        ? done(request.response as CaptureView)
        : failed(new Problem(request.status, { ...(request.response as object) }))
    request.onerror = () => failed(new Problem(0, { detail: 'Hamper does not answer' }))
    request.onabort = () => failed(new Problem(0, { detail: 'It was stopped' }))
    signal.addEventListener('abort', () => request.abort())
    request.send(file)
  })
}

/** A display's id, in its path. */
const at = (id: string) => ({ path: { id } })
const of = (id: string) => ({ params: at(id) })
const ofMilestone = (id: string, milestone: string) => ({ params: { path: { id, milestone } } })
const onLine = (id: string, { controller, kind, port }: PortRef) => ({
  params: { path: { id, controller, kind, port } },
})
const named = (id: string, name: string) => ({ params: { path: { id, name } } })
const ofController = (id: string, controller: string) => ({
  params: { path: { id, controller } },
})

export const api = {
  displays: () => answer(client.GET('/api/displays')),
  create: (name: string, copyOf?: string, nextYear?: boolean) =>
    answer(client.POST('/api/displays', { body: { name, copyOf, nextYear } })),
  removeDisplay: (id: string) => answer(client.DELETE('/api/displays/{id}', of(id))),
  removedDisplays: () => answer(client.GET('/api/displays/removed')),
  bringBack: (id: string) => answer(client.POST('/api/displays/{id}/back', of(id))),
  demo: () => answer(client.POST('/api/displays/demo')),
  display: (id: string) => answer(client.GET('/api/displays/{id}', of(id))),
  edit: (id: string, version: number, edit: Edit, moveStarts = false) =>
    answer(
      client.POST('/api/displays/{id}/edits', { ...of(id), body: { version, edit, moveStarts } }),
    ),
  undo: (id: string, version: number) =>
    answer(client.POST('/api/displays/{id}/undo', { ...of(id), body: { version } })),
  redo: (id: string, version: number) =>
    answer(client.POST('/api/displays/{id}/redo', { ...of(id), body: { version } })),
  preview: (id: string, edit: Edit, signal?: AbortSignal) =>
    answer(client.POST('/api/displays/{id}/preview', { ...of(id), body: { edit }, signal })),
  handover: (id: string) => answer(client.GET('/api/displays/{id}/handover', of(id))),
  handoverNow: (id: string) => answer(client.GET('/api/displays/{id}/handover/now', of(id))),
  sheet: (id: string, controller: string) =>
    answer(
      client.GET(
        '/api/displays/{id}/handover/controllers/{controller}',
        ofController(id, controller),
      ),
    ),
  give: (id: string, body: GiveRequest) =>
    answer(client.POST('/api/displays/{id}/handover/giving', { ...of(id), body })),
  stopGiving: (id: string) => answer(client.DELETE('/api/displays/{id}/handover/giving', of(id))),
  typed: (id: string, controller: string, cells: Record<string, string | null>) =>
    answer(
      client.PUT('/api/displays/{id}/handover/controllers/{controller}/typed', {
        ...ofController(id, controller),
        body: { cells: cells as Record<string, string> },
      }),
    ),
  byHand: (id: string, controller: string, shown: Record<string, string>) =>
    answer(
      client.POST('/api/displays/{id}/handover/controllers/{controller}/by-hand', {
        ...ofController(id, controller),
        body: { shown },
      }),
    ),
  byCard: (id: string, controller: string) =>
    answer(
      client.POST(
        '/api/displays/{id}/handover/controllers/{controller}/card',
        ofController(id, controller),
      ),
    ),
  device: (id: string, controller: string) =>
    answer(
      client.GET(
        '/api/displays/{id}/handover/controllers/{controller}/device',
        ofController(id, controller),
      ),
    ),
  takeOver: (id: string, controller: string, version: number, keys: string[]) =>
    answer(
      client.POST('/api/displays/{id}/handover/controllers/{controller}/taking', {
        ...ofController(id, controller),
        body: { version, keys },
      }),
    ),
  rescue: (id: string, controller: string) =>
    answer(client.POST('/api/displays/{id}/rescue/{controller}', ofController(id, controller))),
  milestones: (id: string) => answer(client.GET('/api/displays/{id}/milestones', of(id))),
  addMilestone: (id: string, name: string) =>
    answer(client.POST('/api/displays/{id}/milestones', { ...of(id), body: { name } })),
  removeMilestone: (id: string, milestone: string) =>
    answer(client.DELETE('/api/displays/{id}/milestones/{milestone}', ofMilestone(id, milestone))),
  shadows: (id: string, milestone: string) =>
    answer(
      client.GET('/api/displays/{id}/milestones/{milestone}/shadows', ofMilestone(id, milestone)),
    ),
  compare: (id: string, from: string, to: string) =>
    answer(
      client.GET('/api/displays/{id}/milestones/comparison', {
        params: { ...at(id), query: { from, to } },
      }),
    ),
  restore: (id: string, version: number, milestone: string) =>
    answer(
      client.POST('/api/displays/{id}/milestones/{milestone}/restoring', {
        ...ofMilestone(id, milestone),
        body: { version },
      }),
    ),
  log: (id: string, query: { before?: number; controller?: string; prop?: string }) =>
    answer(client.GET('/api/displays/{id}/log', { params: { ...at(id), query } })),
  history: (id: string) => answer(client.GET('/api/displays/{id}/log/history', of(id))),
  then: (id: string, version: number) =>
    answer(client.GET('/api/displays/{id}/log/{version}', { params: { path: { id, version } } })),
  handList: (id: string, source: string) =>
    answer(
      client.POST('/api/displays/{id}/handover/lists/{source}', {
        params: { path: { id, source } },
      }),
    ),
  importFile: async (file: File) => answer(client.POST('/api/displays/import', sent(file))),
  catalogue: (id: string) => answer(client.GET('/api/displays/{id}/catalogue', of(id))),
  addToCatalogue: async (id: string, version: number, file: File) =>
    answer(
      client.POST('/api/displays/{id}/catalogue', {
        params: { ...at(id), query: { version } },
        ...sent(file),
      }),
    ),
  readRows: async (id: string, rows: Blob, header: Header, signal?: AbortSignal) =>
    answer(
      client.POST('/api/displays/{id}/props/rows/preview', {
        params: { ...at(id), query: { header } },
        ...sent(rows),
        signal,
      }),
    ),
  addRows: async (id: string, version: number, rows: Blob, header: Header) =>
    answer(
      client.POST('/api/displays/{id}/props/rows', {
        params: { ...at(id), query: { header, version } },
        ...sent(rows),
      }),
    ),
  grid: (id: string, signal?: AbortSignal) =>
    answer(client.GET('/api/displays/{id}/addresses/grid', { ...of(id), signal })),
  slots: (id: string, row: number) =>
    answer(
      client.GET('/api/displays/{id}/addresses/slots', { params: { ...at(id), query: { row } } }),
    ),
  locate: (id: string, query: Located, signal?: AbortSignal) =>
    answer(client.GET('/api/displays/{id}/locate', { params: { ...at(id), query }, signal })),
  seen: (id: string, format: 'CSV' | 'XLSX', table: { heads: string[]; rows: string[][] }) =>
    answer(
      client.POST('/api/displays/{id}/addresses/seen', {
        params: { ...at(id), query: { format } },
        body: table,
        parseAs: 'blob',
      }),
    ) as unknown as Promise<Blob>,
  why: (id: string, question: Question) =>
    answer(client.POST('/api/displays/{id}/why', { ...of(id), body: question })),
  readSheet: async (id: string, sheet: Blob, means?: string) =>
    answer(
      client.POST('/api/displays/{id}/plan-sheet/preview', {
        params: { ...at(id), query: { means } },
        ...sent(sheet),
      }),
    ),
  takeSheet: async (
    id: string,
    version: number,
    sheet: Blob,
    starts: 'FLOW' | 'HOLD',
    means?: string,
  ) =>
    answer(
      client.POST('/api/displays/{id}/plan-sheet', {
        params: { ...at(id), query: { version, starts, means, moveStarts: true } },
        ...sent(sheet),
      }),
    ),
  remedies: (id: string, identity: string, signal?: AbortSignal) =>
    answer(client.POST('/api/displays/{id}/remedies', { ...of(id), body: { identity }, signal })),
  runPower: (id: string, where: PortRef, edit?: Edit, signal?: AbortSignal) =>
    answer(
      client.POST('/api/displays/{id}/power/run', {
        ...of(id),
        body: { port: where, edit },
        signal,
      }),
    ),
  feedPlan: (id: string) => answer(client.POST('/api/displays/{id}/power/feeds', of(id))),
  outputGround: () => answer(client.GET('/api/output/ground')),
  output: () => answer(client.GET('/api/output')),
  patterns: () => answer(client.GET('/api/output/patterns')),
  light: (body: OutputRequest) => answer(client.POST('/api/output', { body })),
  leaveLight: (name: string) =>
    answer(client.DELETE('/api/output/holders', { params: { query: { who: name } } })),
  holdMover: (piece: string, by: string, levels: number[]) =>
    answer(client.PUT('/api/output/held', { body: { piece, who: by, levels } })),
  trial: (id: string) => answer(client.GET('/api/displays/{id}/trial', of(id))),
  misbehaviours: (id: string) =>
    answer(client.GET('/api/displays/{id}/trial/misbehaviours', of(id))),
  misbehave: (id: string, controller: string, misbehaviour: string, on: boolean) =>
    answer(
      client.PUT('/api/displays/{id}/trial/misbehaviour', {
        ...of(id),
        body: { controller, misbehaviour, on },
      }),
    ),
  ownTest: (id: string, controller: string, on: boolean) =>
    answer(client.PUT('/api/displays/{id}/trial/test', { ...of(id), body: { controller, on } })),
  marks: (id: string) => answer(client.GET('/api/displays/{id}/trial/marks', of(id))),
  mark: (id: string, pieces: string[], seen: boolean) =>
    answer(client.PUT('/api/displays/{id}/trial/marks', { ...of(id), body: { pieces, seen } })),
  restartDevice: (id: string, controller: string) =>
    answer(client.POST('/api/displays/{id}/trial/restart', { ...of(id), body: { controller } })),
  silence: () => answer(client.POST('/api/output/silence')),
  guides: (id: string) => answer(client.GET('/api/displays/{id}/trial/guides', of(id))),
  walkGuide: (id: string, kind: GuideKind, piece: string, answers: GuideAnswer[]) =>
    answer(
      client.POST('/api/displays/{id}/trial/guides/{kind}', {
        params: { path: { id, kind } },
        body: { piece, answers },
      }),
    ),
  readGuide: (id: string, kind: GuideKind, question: string, piece: string) =>
    answer(
      client.POST('/api/displays/{id}/trial/guides/{kind}/questions/{question}/reading', {
        params: { path: { id, kind, question } },
        body: { piece, answers: [] },
      }),
    ),
  stopOutput: () => answer(client.DELETE('/api/output')),
  proof: (id: string) => answer(client.GET('/api/displays/{id}/proof', of(id))),
  startProof: (id: string) => answer(client.POST('/api/displays/{id}/proof', of(id))),
  stopProof: (id: string) => answer(client.DELETE('/api/displays/{id}/proof', of(id))),
  askWho: (id: string) => answer(client.POST('/api/displays/{id}/who', of(id))),
  who: (id: string) => answer(client.GET('/api/displays/{id}/who', of(id))),
  stopWho: (id: string) => answer(client.DELETE('/api/displays/{id}/who', of(id))),
  strangers: (id: string, models: string[]) =>
    answer(client.PUT('/api/displays/{id}/strangers', { ...of(id), body: { models } })),
  startListening: (id: string) => answer(client.POST('/api/displays/{id}/listening', of(id))),
  listening: (id: string) => answer(client.GET('/api/displays/{id}/listening', of(id))),
  stopListening: (id: string) => answer(client.DELETE('/api/displays/{id}/listening', of(id))),
  capture: (id: string) => answer(client.GET('/api/displays/{id}/capture', of(id))),
  captureMoment: (id: string, micros: number) =>
    answer(
      client.GET('/api/displays/{id}/capture/moment', { params: { ...at(id), query: { micros } } }),
    ),
  dropCapture: (id: string) => answer(client.DELETE('/api/displays/{id}/capture', of(id))),
  sendCapture,
  askLine: (id: string, line: PortRef, body: AskLine) =>
    answer(
      client.POST('/api/displays/{id}/lines/{controller}/{kind}/{port}', {
        ...onLine(id, line),
        body,
      }),
    ),
  line: (id: string, line: PortRef) =>
    answer(client.GET('/api/displays/{id}/lines/{controller}/{kind}/{port}', onLine(id, line))),
  stopLine: (id: string, line: PortRef) =>
    answer(client.DELETE('/api/displays/{id}/lines/{controller}/{kind}/{port}', onLine(id, line))),
  previewSlot: (id: string, line: PortRef, uid: string, slot: number) =>
    answer(
      client.POST('/api/displays/{id}/lines/{controller}/{kind}/{port}/slot/preview', {
        ...onLine(id, line),
        body: { uid, slot },
      }),
    ),
  setSlot: (id: string, line: PortRef, uid: string, slot: number) =>
    answer(
      client.PUT('/api/displays/{id}/lines/{controller}/{kind}/{port}/slot', {
        ...onLine(id, line),
        body: { uid, slot },
      }),
    ),
  identify: (id: string, line: PortRef, uid: string, on: boolean) =>
    answer(
      client.PUT('/api/displays/{id}/lines/{controller}/{kind}/{port}/identify', {
        ...onLine(id, line),
        body: { uid, on },
      }),
    ),
  serialPorts: () => answer(client.GET('/api/machine/serial-ports')),
  paper: (id: string, size: PaperSize, sheet?: string) =>
    answer(
      client.GET('/api/displays/{id}/paper', {
        params: { ...at(id), query: { size, sheet } },
      }),
    ),
  paperSheet: (id: string, sheet: string) =>
    answer(
      client.GET('/api/displays/{id}/paper/sheets/{sheet}', {
        params: { path: { id, sheet } },
      }),
    ),
  tags: (id: string) => answer(client.GET('/api/displays/{id}/paper/tags', of(id))),
  missing: (id: string, aim: Aim, pieces: string[]) =>
    answer(client.POST('/api/displays/{id}/arrange/missing', { ...of(id), body: { aim, pieces } })),
  arrange: (id: string, body: ArrangeRequest, signal: AbortSignal) =>
    answer(client.POST('/api/displays/{id}/arrange', { ...of(id), body, signal })),
  arranging: (id: string, name: string) =>
    answer(client.GET('/api/displays/{id}/arrange/running/{name}', named(id, name))),
  stopArranging: (id: string, name: string) =>
    client.POST('/api/displays/{id}/arrange/running/{name}/stop', named(id, name)),
  units: (id: string) => answer(client.GET('/api/displays/{id}/paper/units', of(id))),
  putUnit: (id: string, serial: string, place: string) =>
    answer(client.PUT('/api/displays/{id}/paper/units', { ...of(id), body: { serial, place } })),
  shopping: (id: string) => answer(client.GET('/api/displays/{id}/paper/shopping', of(id))),
  progress: (id: string) => answer(client.GET('/api/displays/{id}/progress', of(id))),
  reachStage: (id: string, pieces: string[], stage: Stage) =>
    answer(client.PUT('/api/displays/{id}/progress/stage', { ...of(id), body: { pieces, stage } })),
  trouble: (id: string, body: TroubleRequest) =>
    answer(client.PUT('/api/displays/{id}/progress/trouble', { ...of(id), body })),
  settled: (id: string, pieces: string[]) =>
    answer(client.PUT('/api/displays/{id}/progress/settled', { ...of(id), body: { pieces } })),
  stored: (id: string, pieces: string[], condition: Condition, place: string) =>
    answer(
      client.PUT('/api/displays/{id}/progress/stored', {
        ...of(id),
        body: { pieces, condition, place },
      }),
    ),
  stringHistory: (id: string, piece: string) =>
    answer(
      client.GET('/api/displays/{id}/progress/{piece}/history', {
        params: { path: { id, piece } },
      }),
    ),
  addPhoto: (id: string, file: Blob) =>
    answer(
      client.POST('/api/displays/{id}/progress/photos', {
        ...of(id),
        body: file as unknown as string,
        bodySerializer: () => file,
        headers: { 'content-type': 'application/octet-stream' },
      }),
    ),
  machineAdapters: () => answer(client.GET('/api/machine/adapters')),
  door: () => answer(client.GET('/api/door')),
  openDoor: (body: CrewOpening) => answer(client.PUT('/api/door', { body })),
  closeDoor: () => answer(client.DELETE('/api/door')),
  crewKeys: (id: string) =>
    answer(client.GET('/api/displays/{id}/crew-keys', { params: { path: { id } } })),
  makeCrewKey: (id: string, body: NewCrewKey) =>
    answer(client.POST('/api/displays/{id}/crew-keys', { params: { path: { id } }, body })),
  withdrawCrewKey: (id: string, key: string) =>
    answer(client.DELETE('/api/displays/{id}/crew-keys/{key}', { params: { path: { id, key } } })),
}
