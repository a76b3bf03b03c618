import { answer, answerOnce, client, of } from './asking'
import type { GuideAnswer, GuideKind, OutputRequest, TrialMarks } from './types'

/** Light, trials, guides, the proof. */
export const lighting = {
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
  marks: (id: string) =>
    answerOnce<TrialMarks>(
      'marks',
      client.GET('/api/displays/{id}/trial/marks', { ...of(id), parseAs: 'text' }),
    ),
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
}
