import type { EnclosureView, Link, NetworkView } from '../../api/types'

/** An enclosure where its cable leads, as the trunk and branches of a tree. */
export interface Branch {
  view: EnclosureView
  /** From the enclosure that it hangs on; none for one that others hang on. */
  link?: Link
  depth: number
  /** Links to enclosures that stand in the tree already: they close a circle. */
  closing: Link[]
}

/**
 * Enclosures in the order in which cables lead to them: first those that hold a sender, then what
 * hangs on each; what nothing leads to begins a tree of its own.
 */
export function branches(
  enclosures: EnclosureView[],
  links: Link[],
  sends: (view: EnclosureView) => boolean,
): Branch[] {
  const byId = new Map(enclosures.map((view) => [view.enclosure.id, view]))
  const touching = new Map<string, Link[]>()
  for (const link of links) {
    for (const end of [link.from, link.to]) {
      touching.set(end, [...(touching.get(end) ?? []), link])
    }
  }
  const placed = new Map<string, Branch>()
  const used = new Set<string>()
  const made: Branch[] = []
  function place(view: EnclosureView, depth: number, link?: Link) {
    const branch: Branch = { view, link, depth, closing: [] }
    placed.set(view.enclosure.id, branch)
    made.push(branch)
    for (const next of touching.get(view.enclosure.id) ?? []) {
      if (used.has(next.id)) {
        continue
      }
      used.add(next.id)
      const other = next.from === view.enclosure.id ? next.to : next.from
      if (placed.has(other)) {
        branch.closing.push(next)
      } else {
        place(byId.get(other)!, depth + 1, next)
      }
    }
  }
  const roots = [...enclosures].sort((a, b) => Number(sends(b)) - Number(sends(a)))
  roots
    .filter((view) => !placed.has(view.enclosure.id))
    .forEach((view) => placed.has(view.enclosure.id) || place(view, 0))
  return made
}

/** How a length stands to what copper carries, and what is planned. */
export function lengthState(
  link: Link,
  copper: Pick<NetworkView, 'plannedCopperMetres' | 'mostCopperMetres'>,
): 'over' | 'near' | '' {
  const metres = link.kind === 'COPPER' ? (link.metres ?? 0) : 0
  return metres > copper.mostCopperMetres
    ? 'over'
    : metres > copper.plannedCopperMetres
      ? 'near'
      : ''
}

/** "8 + 5": the ports of each switch; nothing for none. */
export function switchesTold(ports: number[]): string {
  return ports.join(' + ')
}

export const SWITCHES = /^\d{1,3}(\s*[+, ]\s*\d{1,3})*$/

/** What somebody wrote about switches; each has 2 to 512 ports, or it is refused by the server. */
export function switchesOf(text: string): number[] {
  return (text.match(/\d+/g) ?? []).map(Number)
}
