import { answer, at, client, of, onLine } from './asking'
import { sendCapture } from './sendCapture'
import type { AskLine, PortRef } from './types'

/** Who is there, what arrives, lines of slots. */
export const network = {
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
  machineAdapters: () => answer(client.GET('/api/machine/adapters')),
}
