/** Whether every typed word stands somewhere in what is known of a thing. */
export function matches(typed: string | null, ...known: (string | undefined)[]): boolean {
  const text = known.join(' ').toLowerCase()
  return (typed ?? '')
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word))
}
