import { answer, answerOnce, at, client, of } from './asking'
import type {
  CrewOpening,
  NewCrewKey,
  Condition,
  PaperSize,
  ProgressView,
  Stage,
  TroubleRequest,
} from './types'

/** Paper, units, where each string is, the crew. */
export const site = {
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
  units: (id: string) => answer(client.GET('/api/displays/{id}/paper/units', of(id))),
  putUnit: (id: string, serial: string, place: string) =>
    answer(client.PUT('/api/displays/{id}/paper/units', { ...of(id), body: { serial, place } })),
  shopping: (id: string) => answer(client.GET('/api/displays/{id}/paper/shopping', of(id))),
  progress: (id: string) =>
    answerOnce<ProgressView>(
      'progress',
      client.GET('/api/displays/{id}/progress', { ...of(id), parseAs: 'text' }),
    ),
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
