import { answer, at, client, named, of, sent } from './asking'
import type { Edit, Header, Located, Aim, ArrangeRequest, PortRef, Question } from './types'

/** Displays, edits, what follows from a plan. */
export const plan = {
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
  missing: (id: string, aim: Aim, pieces: string[]) =>
    answer(client.POST('/api/displays/{id}/arrange/missing', { ...of(id), body: { aim, pieces } })),
  arrange: (id: string, body: ArrangeRequest, signal: AbortSignal) =>
    answer(client.POST('/api/displays/{id}/arrange', { ...of(id), body, signal })),
  arranging: (id: string, name: string) =>
    answer(client.GET('/api/displays/{id}/arrange/running/{name}', named(id, name))),
  stopArranging: (id: string, name: string) =>
    client.POST('/api/displays/{id}/arrange/running/{name}/stop', named(id, name)),
}
