import type { DisplayView } from '../api/types'
import type { Found } from './found'
import {
  arrange,
  brightness,
  cut,
  hold,
  letGo,
  light,
  mirrorOn,
  mirrors,
  moveController,
  nextAddress,
  order,
  patch,
  sized,
  unpatch,
} from './meanings'

/** What stands in a command where something of the display is meant. */
export type Kind = 'piece' | 'port' | 'controller' | 'where' | 'number' | 'start'
export interface Slot {
  kind: Kind
  /** As the grammar tells it. */
  name: string
}
export type Part = string | Slot
export interface Command {
  parts: Part[]
  /** An example, as a planner types it. */
  says: string
  does: string
  /** What it means; nothing where something that it names is not there. */
  mean: (display: DisplayView, values: string[]) => Found[]
}

const slot = (kind: Kind, name: string = kind): Slot => ({ kind, name })

/** Every command of the finder: what is read, told and completed is this table. */
export const COMMANDS: Command[] = [
  {
    parts: ['arrange', slot('where', 'all or a zone')],
    says: 'arrange all',
    does: 'find places for what hangs nowhere, and show them before anything is hung',
    mean: arrange,
  },
  // before pieces whose name has "light" in it are patched somewhere
  {
    parts: ['light', slot('where', 'anything')],
    says: 'light bow rail',
    does: 'light it in Trial, with the pattern that is chosen there',
    mean: light,
  },
  {
    parts: [slot('piece'), 'to', slot('where', 'port or controller')],
    says: 'bow rail to K1-7',
    does: 'patch it there; several of one name to a controller spread over its free ports',
    mean: patch,
  },
  {
    parts: [slot('piece', 'pieces'), slot('port', 'port or controller')],
    says: 'bow rail, stern light K1-7',
    does: 'the same in fewer letters; several pieces with commas between them, in this order',
    // a name alone is looked for, and patches nothing
    mean: (display, [what, where]) =>
      / to$/i.test(what) || !/^[a-z]+\d*(-\S+)?$/i.test(where) ? [] : patch(display, [what, where]),
  },
  {
    parts: ['unpatch', slot('piece', 'piece, port or controller')],
    says: 'unpatch slipway',
    does: 'take it back to the tray',
    mean: unpatch,
  },
  {
    parts: [slot('piece'), 'mirrors', slot('piece')],
    says: 'far rail mirrors near rail',
    does: 'the first shows what the second shows',
    mean: mirrors,
  },
  {
    parts: ['mirror', slot('piece'), 'on', slot('port')],
    says: 'mirror stern light on K3-4',
    does: 'what hangs on the port shows what the piece shows',
    mean: mirrorOn,
  },
  {
    parts: [slot('where', 'controller, port or prop'), 'brightness', slot('number', 'percent')],
    says: 'K2 brightness 30',
    does: 'set the planned brightness',
    mean: brightness,
  },
  {
    parts: ['hold', slot('piece'), 'at', slot('start', 'universe:channel')],
    says: 'hold bow rail at 12:301',
    does: 'keep its start there, whatever grows or comes',
    mean: hold,
  },
  {
    parts: ['let go', slot('piece')],
    says: 'let go bow rail',
    does: 'its held starts flow again',
    mean: letGo,
  },
  {
    parts: [slot('controller'), 'before', slot('controller')],
    says: 'K1 before K4',
    does: 'another place in the list; universes follow',
    mean: (display, [what, where]) => moveController(display, what, where, false),
  },
  {
    parts: [slot('controller'), 'after', slot('controller')],
    says: 'K1 after K4',
    does: 'another place in the list; universes follow',
    mean: (display, [what, where]) => moveController(display, what, where, true),
  },
  {
    parts: ['next free address for', slot('controller')],
    says: 'next free address for K5',
    does: 'the first of its subnet that nobody has',
    mean: nextAddress,
  },
  {
    parts: [slot('piece'), slot('number', 'pixels'), 'px'],
    says: 'gangway rail 90 px',
    does: 'so many pixels; a string of several sections is changed on its ribbon',
    mean: sized,
  },
  {
    parts: ['cut', slot('piece', 'string'), 'after', slot('number', 'pixels')],
    says: 'cut gangway rail after 50',
    does: 'two strings of one, so that each can hang on a port of its own',
    mean: cut,
  },
  {
    parts: ['universes by list'],
    says: 'universes by list',
    does: 'number first universes in list order',
    mean: (display) => order(display, 'LIST', 'Universes in list order'),
  },
  {
    parts: ['universes by zone'],
    says: 'universes by zone',
    does: 'number first universes zone by zone',
    mean: (display) => order(display, 'ZONE', 'Universes zone by zone'),
  },
  {
    parts: ['close gaps'],
    says: 'close gaps',
    does: 'close gaps between universes, as they stand',
    mean: (display) => order(display, 'AS_THEY_STAND', 'Universes closed up as they stand'),
  },
]
