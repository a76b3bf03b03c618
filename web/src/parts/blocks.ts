/** Rows of a long list that are drawn and left out together, by NearOnly. */
export interface Block<T> {
  rows: T[]
  /** Of a short list all is drawn: so a browser's own search finds it. */
  always: boolean
}

/**
 * A list in blocks.
 *
 * @param short so many rows at most are short
 * @param size rows of a block, but the last
 * @param held whether a row is drawn wherever it is, with its block
 */
export function blocksOf<T>(
  all: T[],
  short: number,
  size: number,
  held: (row: T) => boolean = () => false,
): Block<T>[] {
  return Array.from({ length: Math.ceil(all.length / size) }, (_, block) => {
    const rows = all.slice(block * size, (block + 1) * size)
    return { rows, always: all.length <= short || rows.some(held) }
  })
}
