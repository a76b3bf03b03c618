/** What a filter may ask of a thing. */
export interface Known {
  /** Names, zone, model, pixel type, address, port: whatever it is called by. */
  texts: (string | undefined)[]
  /** Pixels, or channels where it has none. */
  count?: number
  /** Whether any finding is about it. */
  wrong?: boolean
}

const COMPARED = /([<>])\s*(\d+)/g

/**
 * The same words in every list: each has to stand somewhere in what a thing is called by; "> 100"
 * and "< 50" ask for its pixels, "wrong" for what findings are about.
 */
export function fits(typed: string | null, known: Known): boolean {
  const text = known.texts.join(' ').toLowerCase()
  const asked = (typed ?? '').toLowerCase()
  const count = known.count
  for (const [, sign, number] of asked.matchAll(COMPARED)) {
    const over = count !== undefined && (sign === '>' ? count > +number : count < +number)
    if (!over) {
      return false
    }
  }
  return asked
    .replace(COMPARED, ' ')
    .split(/\s+/)
    .every((word) => text.includes(word) || (word === 'wrong' && known.wrong === true))
}

/** Of a thing that is only called by texts. */
export function matches(typed: string | null, ...texts: (string | undefined)[]): boolean {
  return fits(typed, { texts })
}
