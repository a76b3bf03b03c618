import type { Controller } from '../../api/types'

type Range = NonNullable<Controller['inputs']>[number]

/** Universes by hand as they are typed: "1-14", "1-4:510, 20". */
export function rangesTold(ranges: Range[] = []): string {
  return ranges
    .map(({ firstUniverse: first, count, size }) => {
      const last = first + count - 1
      return `${first}${count > 1 ? `-${last}` : ''}:${size}`
    })
    .join(', ')
}

/** The same read; channels are those of the controller's universes where none are said. */
export function rangesOf(text: string, size: number): Range[] {
  return [...text.matchAll(/(\d+)(?:-(\d+))?(?::(\d+))?/g)].map(([, first, last, channels]) => ({
    firstUniverse: Number(first),
    count: Math.max(1, Number(last ?? first) - Number(first) + 1),
    size: channels === undefined ? size : Number(channels),
  }))
}
