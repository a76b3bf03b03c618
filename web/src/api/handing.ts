import { answer, answerOnce, at, client, of, ofController, ofMilestone } from './asking'
import type { GiveRequest, HandoverNow } from './types'

/** Handing over, taking over, milestones, the log. */
export const handing = {
  handover: (id: string) => answer(client.GET('/api/displays/{id}/handover', of(id))),
  handoverNow: (id: string) =>
    answerOnce<HandoverNow>(
      'handover now',
      client.GET('/api/displays/{id}/handover/now', { ...of(id), parseAs: 'text' }),
    ),
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
}
