import type { Condition, Stage, StringAt } from '../../api/types'

/** Stages in their order, as they are said; before the first a string is only planned. */
export const STAGES: { stage: Stage; title: string }[] = [
  { stage: 'TESTED', title: 'tested' },
  { stage: 'HUNG', title: 'hung' },
  { stage: 'PLUGGED_IN', title: 'plugged in' },
  { stage: 'POWERED', title: 'powered' },
  { stage: 'SEEN_RIGHT', title: 'seen right' },
]

/** What a string that was put away is good for. */
export const CONDITIONS: { value: Condition; title: string }[] = [
  { value: 'GOOD', title: 'good' },
  { value: 'REPAIR', title: 'to repair' },
  { value: 'SCRAP', title: 'scrap' },
]

/** What of all strings is looked at. */
export const SHOWN = [
  { value: 'left', title: 'left tonight' },
  { value: 'trouble', title: 'in trouble' },
  { value: 'stored', title: 'put away' },
  { value: 'all', title: 'all' },
] as const
export type Shown = (typeof SHOWN)[number]['value']

const place = (stage: Stage) => STAGES.findIndex((one) => one.stage === stage)

/** Whether a string has reached a stage, or one after it. */
export const reached = (one: StringAt, stage: Stage) => place(one.stage) >= place(stage)

/** What a click on a stage means: to it, or, where it is the last one reached, back behind it. */
export function toggled(one: StringAt, stage: Stage): Stage {
  return one.stage === stage ? (STAGES[place(stage) - 1]?.stage ?? 'PLANNED') : stage
}

/** Whether anything is still to be done with it tonight. */
export const isLeft = (one: StringAt) =>
  !one.stored && (one.trouble !== undefined || one.stage !== 'SEEN_RIGHT')

const URGENCIES = ['TONIGHT', 'SOON', 'LATER']

/** Those that are looked at; trouble first, the most urgent before the rest. */
export function shownOf(
  strings: StringAt[],
  what: Shown,
  zone: string | undefined,
  matches: (one: StringAt) => boolean,
): StringAt[] {
  const kept = strings.filter(
    (one) =>
      (zone === undefined || one.zone === zone) &&
      matches(one) &&
      (what === 'all' ||
        (what === 'left' && isLeft(one)) ||
        (what === 'trouble' && one.trouble !== undefined) ||
        (what === 'stored' && one.stored !== undefined)),
  )
  const rank = (one: StringAt) => (one.trouble ? URGENCIES.indexOf(one.trouble.urgency) : 3)
  return kept.sort((a, b) => rank(a) - rank(b))
}

/** Of each zone, by its name: how many strings, how many are left, and how many are in trouble. */
export function leftByZone(strings: StringAt[]) {
  const zones = new Map<string, { all: number; left: number; trouble: number }>()
  for (const one of strings) {
    const zone = zones.get(one.zone) ?? { all: 0, left: 0, trouble: 0 }
    zone.all++
    zone.left += isLeft(one) ? 1 : 0
    zone.trouble += one.trouble ? 1 : 0
    zones.set(one.zone, zone)
  }
  return zones
}
