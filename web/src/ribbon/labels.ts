/** A ribbon on a wire, as it is drawn. */
export interface Drawn {
  title: string
  count: string
  /** Where it begins and how wide it is (px). */
  left: number
  width: number
  /** What else stands on it: the catch of a held start, the letter of a box. */
  catch?: boolean
  box?: string
}

/** What is written on a ribbon. */
export interface Label {
  name: string
  count: string
  /** A name that runs over the free wire before the next ribbon. */
  over?: string
}

/** Of a letter of a name, and of a digit of a count (px): the widths that their type has on average. */
const LETTER = 6.6
const DIGIT = 6.7
/** What edges and paddings take of a ribbon, and what stands between name and count (px). */
const EDGES = 19
const BETWEEN = 6

/** What a catch takes, and a box's letter beside its frame, with what stands between (px). */
const CATCH = 7 + BETWEEN
const FRAME = 11 + BETWEEN

/** What a ribbon has left for words (px). */
const roomOn = ({ width, catch: held, box }: Drawn) =>
  width - EDGES - (held ? CATCH : 0) - (box ? FRAME + box.length * DIGIT : 0)

const letters = (room: number) => Math.max(0, Math.floor(room / LETTER))

/** The number, or the last word, by which names of one kind differ. */
function ending(title: string): string {
  return /(\d+\S*|\S+)$/.exec(title)?.[0] ?? ''
}

/**
 * A name cut to so many letters: at its end, or in the middle where others on the wire begin the
 * same and only its end tells it from them; nothing where not even two letters fit.
 */
export function shortened(title: string, most: number, others: string[]): string {
  if (title.length <= most) {
    return title
  }
  if (most < 2) {
    return ''
  }
  const head = title.slice(0, most - 1)
  if (!others.some((other) => other !== title && other.startsWith(head))) {
    return `${head.trimEnd()}…`
  }
  const end = ending(title)
  if (others.some((other) => other !== title && ending(other) === end)) {
    return `${head.trimEnd()}…`
  }
  if (end.length > most) {
    return ''
  }
  return end.length + 2 > most ? end : `${title.slice(0, most - 1 - end.length).trimEnd()}…${end}`
}

/** Names in their order, those that only count on as one: "Bollard 1 … 12, Anchor". */
export function summed(titles: string[]): string {
  const parts: { stem: string; from: string; to: string; last: number }[] = []
  for (const title of titles) {
    const number = /^(.*?)(\d+)$/.exec(title)
    const before = parts.at(-1)
    if (number && before?.stem === number[1] && before.last + 1 === Number(number[2])) {
      before.to = number[2]
      before.last++
    } else {
      const last = number ? Number(number[2]) : NaN
      parts.push({ stem: number?.[1] ?? '', from: title, to: '', last })
    }
  }
  return parts.map(({ from, to }) => (to ? `${from} … ${to}` : from)).join(', ')
}

/**
 * What is written on each ribbon of a wire, and on the free wire behind the last one: a name that
 * has no room on its ribbon runs over the free wire next to it, or stands behind the last.
 *
 * @param end of what is in view of the wire (px)
 */
export function labels(ribbons: Drawn[], end: number): { on: Label[]; behind: string } {
  const titles = ribbons.map((ribbon) => ribbon.title)
  const on: Label[] = []
  /** Those whose names have no room, up to the last ribbon: they may be named behind it. */
  let left: number[] = []
  for (const [i, ribbon] of ribbons.entries()) {
    const { title, count, width, left: at } = ribbon
    const room = roomOn(ribbon)
    const counted = count.length * DIGIT + BETWEEN
    const whole = title.length * LETTER
    const next = ribbons[i + 1]?.left
    if (whole <= room) {
      on.push({ name: title, count: whole + counted <= room ? count : '' })
      left = []
    } else if (next !== undefined && whole + 3 * BETWEEN <= next - at - width) {
      on.push({ name: '', count: '', over: title })
      left = []
    } else {
      on.push({ name: shortened(title, letters(room), titles), count: '' })
      left.push(i)
    }
  }
  const last = ribbons.at(-1)
  const free = last ? end - last.left - last.width - 3 * BETWEEN : 0
  const all = summed(left.map((i) => titles[i]))
  const behind = left.length ? shortened(all, letters(free), []) : ''
  if (behind === all) {
    // what is told behind is not told again on the ribbon, but for the number that tells which
    for (const i of left) {
      const { title, count } = ribbons[i]
      const room = roomOn(ribbons[i])
      const ends = ending(title)
      const name = /^\d/.test(ends) && ends.length * LETTER <= room ? ends : ''
      const counted = !name && count.length * DIGIT <= room
      on[i] = { name, count: counted ? count : '' }
    }
  }
  return { on, behind }
}
