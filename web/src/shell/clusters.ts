import type { Finding } from '../api/types'

/** Findings of one kind, as one line. */
export interface Cluster {
  key: string
  title: string
  findings: Finding[]
}

/** So many of one kind are one line that opens. */
const MANY = 3

/** Findings in their order; those of one kind, if there are many, where the first of them stands. */
export function clusters(findings: Finding[]): (Finding | Cluster)[] {
  const kinds = new Map<string, Finding[]>()
  for (const finding of findings) {
    kinds.set(finding.code, [...(kinds.get(finding.code) ?? []), finding])
  }
  const told = new Set<string>()
  return findings.flatMap((finding): (Finding | Cluster)[] => {
    const all = kinds.get(finding.code)!
    if (all.length < MANY) {
      return [finding]
    }
    if (told.has(finding.code)) {
      return []
    }
    told.add(finding.code)
    return [{ key: finding.code, title: `${all.length} × ${finding.title}`, findings: all }]
  })
}

export function isCluster(one: Finding | Cluster): one is Cluster {
  return 'findings' in one
}
