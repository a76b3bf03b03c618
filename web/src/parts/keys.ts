/** Keys that do one thing: written as a combination, such as "Ctrl+Z" or "Shift+ArrowUp". */
export interface Key {
  on: string[]
  does: string
}
export interface KeyGroup {
  where: string
  keys: Record<string, Key>
}

const key = (on: string, does: string): Key => ({ on: on.split(' '), does })

/**
 * Every key that a place answers to. A handler asks {@link keyOf} which of them was pressed, so what
 * stands here is what works; the sheet of keys and docs/keys.md are drawn from it.
 */
export const KEYS = {
  everywhere: {
    where: 'Everywhere',
    keys: {
      find: key('/', 'go to the finder'),
      keys: key('?', 'this sheet'),
      why: key(
        'W',
        'why a number is what it is: the one pointed at, or those of what has the keyboard, one after another',
      ),
      stop: key('Ctrl+. Pause', 'while anything is lit: stop all of it'),
      undo: key('Ctrl+Z', 'take back the last change'),
      redo: key('Ctrl+Shift+Z Ctrl+Y', 'make it again'),
    },
  },
  props: {
    where: 'Props',
    keys: {
      enter: key('N', 'go to the line where props are entered'),
      up: key('ArrowUp Shift+ArrowUp', 'the one above; with Shift it is taken too'),
      down: key('ArrowDown Shift+ArrowDown', 'the one below; with Shift it is taken too'),
      first: key('Home', 'the first'),
      last: key('End', 'the last'),
      take: key('Space', 'take it, or let it go'),
      all: key('Ctrl+A', 'take all that are shown'),
      open: key('Enter', 'open it, or close it'),
      remove: key('Delete', 'remove those that are taken'),
      letGo: key('Escape', 'let all go'),
    },
  },
  controllers: {
    where: 'Controllers',
    keys: {
      up: key('ArrowUp Shift+ArrowUp', 'the one above; with Shift it is taken too'),
      down: key('ArrowDown Shift+ArrowDown', 'the one below; with Shift it is taken too'),
      earlier: key('Alt+ArrowUp', 'a place earlier in the list'),
      later: key('Alt+ArrowDown', 'a place later in the list'),
      first: key('Home', 'the first'),
      last: key('End', 'the last'),
      take: key('Space', 'take it, or let it go'),
      all: key('Ctrl+A', 'take all that are shown'),
      open: key('Enter', 'put another model in its place'),
      remove: key('Delete', 'remove it'),
      letGo: key('Escape', 'let all go'),
    },
  },
  patch: {
    where: 'Patch, on a port',
    keys: {
      left: key('ArrowLeft Shift+ArrowLeft', 'the leg before; with Shift it is taken too'),
      right: key('ArrowRight Shift+ArrowRight', 'the leg after; with Shift it is taken too'),
      up: key('ArrowUp Shift+ArrowUp', 'the port above; with Shift what hangs there is taken too'),
      down: key(
        'ArrowDown Shift+ArrowDown',
        'the port below; with Shift what hangs there is taken too',
      ),
      first: key('Home', 'the first leg of the port'),
      last: key('End', 'the free end of the wire'),
      moveLeft: key(
        'Alt+ArrowLeft',
        'move the leg, or all that are taken on its wire, before the one in front',
      ),
      moveRight: key(
        'Alt+ArrowRight',
        'move the leg, or all that are taken on its wire, behind the one after',
      ),
      moveUp: key(
        'Alt+ArrowUp',
        'move the leg, or all that are taken on its wire, to the port above that takes them',
      ),
      moveDown: key(
        'Alt+ArrowDown',
        'move the leg, or all that are taken on its wire, to the port below that takes them',
      ),
      take: key('Space', 'take it, or let it go'),
      all: key('Ctrl+A', 'take all that hangs on the port'),
      open: key('Enter', 'lay it under the glass, or put the glass away'),
      cut: key('Ctrl+X', 'take what is taken in hand'),
      paste: key('Ctrl+V', 'hang what is in hand here'),
      mirror: key('M', 'all that are taken show what the first of them shows'),
      remove: key('Delete Backspace', 'unpatch what is taken'),
      letGo: key('Escape', 'let all go, put the glass away'),
    },
  },
  tray: {
    where: 'Patch, not yet patched',
    keys: {
      before: key(
        'ArrowLeft Shift+ArrowLeft ArrowUp Shift+ArrowUp',
        'the piece before; with Shift it is taken too',
      ),
      after: key(
        'ArrowRight Shift+ArrowRight ArrowDown Shift+ArrowDown',
        'the piece after; with Shift it is taken too',
      ),
      take: key('Space', 'take it, or let it go'),
      all: key('Ctrl+A', 'take all that are shown'),
      open: key('Enter Ctrl+X', 'take them in hand and go to the ports; Ctrl+V hangs them'),
      arrange: key('A', 'find places for those that are taken, or for all'),
      letGo: key('Escape', 'let all go'),
    },
  },
  boundary: {
    where: 'The boundary between two sections',
    keys: {
      left: key('ArrowLeft Shift+ArrowLeft', 'a pixel towards the plug; with Shift ten'),
      right: key('ArrowRight Shift+ArrowRight', 'a pixel away from it; with Shift ten'),
      remove: key('Delete Backspace', 'join the sections'),
      cut: key('X', 'cut the string in two'),
    },
  },
  slot: {
    where: 'What hangs on a DMX line',
    keys: {
      left: key('ArrowLeft', 'a slot earlier'),
      right: key('ArrowRight', 'a slot later'),
      farLeft: key('PageUp', 'sixteen slots earlier'),
      farRight: key('PageDown', 'sixteen slots later'),
    },
  },
  feed: {
    where: 'Loads, on a feed',
    keys: {
      left: key('ArrowLeft Shift+ArrowLeft', 'a pixel towards the plug; with Shift ten'),
      right: key('ArrowRight Shift+ArrowRight', 'a pixel away from it; with Shift ten'),
      open: key('Enter', 'leave it where it was walked to'),
      letGo: key('Escape', 'put it back'),
      lose: key('L', 'see what happens when it is lost'),
      remove: key('Delete Backspace', 'remove it'),
    },
  },
  address: {
    where: 'Network, on a device',
    keys: {
      left: key('ArrowLeft', 'the address before'),
      right: key('ArrowRight', 'the address after'),
    },
  },
  grid: {
    where: 'Addresses, on the grid',
    keys: {
      left: key(
        'ArrowLeft Shift+ArrowLeft',
        'a slot before; with Shift the start of what stands there',
      ),
      right: key('ArrowRight Shift+ArrowRight', 'a slot after; with Shift what stands behind it'),
      up: key('ArrowUp', 'the universe above'),
      down: key('ArrowDown', 'the universe below'),
      farUp: key('PageUp', 'twenty universes up'),
      farDown: key('PageDown', 'twenty universes down'),
      first: key('Home', 'the first universe'),
      last: key('End', 'the last universe'),
      open: key('Enter', 'open the universe slot by slot, or close it'),
      patch: key('P', 'show what stands there in Patch'),
      letGo: key('Escape', 'close it'),
    },
  },
  trial: {
    where: 'Trial',
    keys: {
      back: key('ArrowLeft Shift+ArrowLeft', 'the pixel before; with Shift ten before'),
      on: key('ArrowRight Shift+ArrowRight', 'the pixel after; with Shift ten after'),
      first: key('Home', 'the first pixel'),
      last: key('End', 'the last pixel'),
      light: key('L', 'light it, or let it go dark'),
    },
  },
  capture: {
    where: 'Network, a capture',
    keys: {
      back: key('ArrowLeft Shift+ArrowLeft', 'the frame before; with Shift a second before'),
      on: key('ArrowRight Shift+ArrowRight', 'the next frame; with Shift a second later'),
      first: key('Home', 'its first moment'),
      last: key('End', 'its last moment'),
    },
  },
  site: {
    where: 'Site, on a zone',
    keys: {
      left: key('ArrowLeft Shift+ArrowLeft', 'a metre west; with Shift ten'),
      right: key('ArrowRight Shift+ArrowRight', 'a metre east; with Shift ten'),
      up: key('ArrowUp Shift+ArrowUp', 'a metre north; with Shift ten'),
      down: key('ArrowDown Shift+ArrowDown', 'a metre south; with Shift ten'),
    },
  },
} as const satisfies Record<string, KeyGroup>

/** Whether a key belongs to a field that is being typed in. */
export function isTyping(event: KeyboardEvent): boolean {
  const at = event.target as HTMLElement | null
  const field = at?.closest('input, textarea, select, [contenteditable]')
  return !!field && !field.matches('[type=checkbox], [type=range], [type=file]')
}

/** Of a key event what names its combination. */
type Pressed = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>

/** A combination as it is written in the table; Cmd counts as Ctrl. */
export function combination(event: Pressed): string {
  const name = event.key === ' ' ? 'Space' : event.key
  const letter = /^[a-z]$/i.test(name)
  // of other signs Shift is how they are typed
  const shifted = event.shiftKey && (letter || name.length > 1)
  return [
    event.ctrlKey || event.metaKey ? 'Ctrl+' : '',
    event.altKey ? 'Alt+' : '',
    shifted ? 'Shift+' : '',
    letter ? name.toUpperCase() : name,
  ].join('')
}

/** Which key of a group was pressed, by its name there. */
export function keyOf<G extends KeyGroup>(
  group: G,
  event: Pressed,
): (keyof G['keys'] & string) | undefined {
  const pressed = combination(event)
  return Object.keys(group.keys).find((name) => group.keys[name].on.includes(pressed))
}

const SIGNS: [RegExp, string][] = [
  [/ArrowLeft/g, '←'],
  [/ArrowRight/g, '→'],
  [/ArrowUp/g, '↑'],
  [/ArrowDown/g, '↓'],
]

/** A combination for people. */
export function told(on: string): string {
  return SIGNS.reduce((text, [name, sign]) => text.replace(name, sign), on)
}

/** The groups as a page. */
export function page(): string {
  const lines = ['# Keys', '', 'The sheet of keys in the program (`?`) shows the same.']
  for (const group of Object.values<KeyGroup>(KEYS)) {
    lines.push('', `## ${group.where}`, '', '| keys | what they do |', '|---|---|')
    for (const { on, does } of Object.values(group.keys)) {
      lines.push(`| ${on.map((one) => `\`${told(one)}\``).join(' ')} | ${does} |`)
    }
  }
  lines.push(
    '',
    'In the finder: ↓ and ↑ walk, Enter goes there or does it, Shift+Enter does it and stays for the next command, Tab',
    'fills in, Escape leaves; [what it understands](finder.md). In every field: Enter takes what was',
    'typed, Escape puts back what stood there. On a Mac, Cmd is Ctrl. While something is dragged, Escape puts it back.',
    '',
  )
  return lines.join('\n')
}
