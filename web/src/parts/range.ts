/** All from one to another in a list, both included, whichever comes first. */
export function range(order: string[], from: string | undefined, to: string): string[] {
  const a = from === undefined ? -1 : order.indexOf(from)
  const b = order.indexOf(to)
  return a < 0 ? [to] : order.slice(Math.min(a, b), Math.max(a, b) + 1)
}
