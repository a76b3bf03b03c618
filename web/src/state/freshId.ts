/** An id that is not taken: the wanted one, or it with a number. Ids of new things are chosen here. */
export function freshId(wanted: string, taken: Iterable<string>): string {
  const plain =
    wanted
      .normalize('NFD')
      .toLowerCase()
      .replace(/\p{M}/gu, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 40) || 'new'
  const known = new Set(taken)
  let id = plain
  for (let i = 2; known.has(id); i++) {
    id = `${plain}-${i}`
  }
  return id
}
