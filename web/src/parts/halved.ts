/** The half of a part that is lit next: the dark spot is in the one that somebody names. */
export function halved(from: number, to: number, lit: 'first' | 'second'): [number, number] {
  const middle = Math.floor((from + to) / 2)
  return lit === 'first' ? [from, middle] : [Math.min(middle + 1, to), to]
}
