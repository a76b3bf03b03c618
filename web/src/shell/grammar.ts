import type { DisplayView } from '../api/types'
import { type Command, COMMANDS, type Kind, type Part, type Slot } from './commands'
import type { Found } from './found'
import { allPieces } from './meanings'

const MOST_COMPLETED = 6
const isSlot = (part: Part): part is Slot => typeof part !== 'string'
const quoted = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/ /g, '\\s+')

/** What may stand in a slot, where it is not any words. */
const SLOTS: Partial<Record<Kind, string>> = {
  number: '(\\d[\\d:]*\\s*%?)',
  start: '(\\d[\\d:]*)',
  port: '(\\S+)',
}

function pattern(parts: Part[]): string {
  return parts
    .map((part) => (isSlot(part) ? (SLOTS[part.kind] ?? '(.+?)') : quoted(part)))
    .join('\\s+')
}

/** What a text commands, in the order of the table. */
export function commands(display: DisplayView, text: string): Found[] {
  return COMMANDS.flatMap((command) => {
    const match = new RegExp(`^${pattern(command.parts)}$`, 'i').exec(text.trim())
    return match ? command.mean(display, match.slice(1)) : []
  })
}

/** Names that may stand in a slot, those that begin as it was typed first. */
function candidates(display: DisplayView, kind: Kind, typed: string): string[] {
  const wanted = typed.toLowerCase()
  const tags = display.controllers.map((view) => view.controller.tag)
  const ports = display.controllers.flatMap((view) => view.lanes.map((lane) => lane.written))
  const titles = allPieces(display).map((piece) => piece.title)
  const of: Record<Kind, string[]> = {
    piece: titles,
    port: ports,
    controller: tags,
    where: [...tags, ...ports],
    number: [],
    start: [],
  }
  const names = of[kind].filter((name) => name.toLowerCase().includes(wanted))
  return [
    ...names.filter((name) => name.toLowerCase().startsWith(wanted)),
    ...names.filter((name) => !name.toLowerCase().startsWith(wanted)),
  ]
}

/** A command as the grammar tells it: "hold ⟨piece⟩ at ⟨universe:channel⟩". */
export function written(parts: Part[]): string {
  return parts.map((part) => (isSlot(part) ? `⟨${part.name}⟩` : part)).join(' ')
}

/**
 * How what was typed could go on: the rest of a word that commands, or a name where one is meant.
 * Choosing one fills it in.
 */
export function completions(display: DisplayView, text: string): Found[] {
  const all: Found[] = []
  for (const command of COMMANDS) {
    const { parts } = command
    for (let done = parts.length - 1; done >= 0; done--) {
      const before = done
        ? new RegExp(`^(${pattern(parts.slice(0, done))})\\s+(.*)$`, 'i')
        : /^()(.*)$/
      const match = before.exec(text)
      const rest = match?.at(-1)
      if (rest === undefined) {
        continue
      }
      const next = parts[done]
      const fixed = parts.slice(0, done).some((part) => !isSlot(part))
      const head = done ? `${match![1]} ` : ''
      if (!isSlot(next)) {
        if (rest.trim() && next.toLowerCase().startsWith(rest.trim().toLowerCase())) {
          all.push(complete(command, `${head}${next} `))
        }
      } else if (fixed && next.kind !== 'number' && next.kind !== 'start') {
        candidates(display, next.kind, rest.trim())
          .filter((name) => name.toLowerCase() !== rest.trim().toLowerCase())
          .slice(0, MOST_COMPLETED)
          .forEach((name) =>
            all.push(complete(command, `${head}${name}${done + 1 < parts.length ? ' ' : ''}`)),
          )
      } else if (fixed) {
        all.push(complete(command, text))
      }
      break
    }
  }
  return all.slice(0, MOST_COMPLETED)
}

function complete(command: Command, text: string): Found {
  return {
    key: `complete-${written(command.parts)}-${text}`,
    title: `${text.trim()} …`,
    detail: written(command.parts),
    fills: text,
  }
}

/** The grammar as a page. */
export function page(): string {
  return [
    '# What the finder understands',
    '',
    'Everything is found by its name, `/` goes there. Besides, it reads commands; the first letters are enough, Tab',
    'or Enter fills the rest in, and what a command would do is shown before Enter does it.',
    '',
    '| typed | form | what it does |',
    '|---|---|---|',
    ...COMMANDS.map(({ says, parts, does }) => `| \`${says}\` | ${written(parts)} | ${does} |`),
    '',
    'And to the very pixel: `12:301` (universe:channel), `display 8741`, `byte 4096 of K3`, `K1-7 pixel 88`.',
    '',
  ].join('\n')
}
