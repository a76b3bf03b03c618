import type { CrewClaim, Stage, StringAt } from './types'

/** Stages in their order; each has those before it behind it. */
export const STAGES: { stage: Stage; title: string }[] = [
  { stage: 'PLANNED', title: 'planned' },
  { stage: 'TESTED', title: 'tested' },
  { stage: 'HUNG', title: 'hung' },
  { stage: 'PLUGGED_IN', title: 'plugged in' },
  { stage: 'POWERED', title: 'powered' },
  { stage: 'SEEN_RIGHT', title: 'seen right' },
]
export const rank = (stage: Stage) => STAGES.findIndex((one) => one.stage === stage)
export const titleOf = (stage: Stage) => STAGES[rank(stage)].title

/** What was said on this phone and has not been taken yet: it keeps it until it is. */
export interface Waiting {
  id: string
  /** The id of the display that it was said of. */
  display: string
  piece: string
  by: string
  /** By the clock of this phone (ms). */
  at: number
  kind: CrewClaim['kind']
  stage?: Stage
  socket?: string
  print?: string
  text?: string
  urgency?: CrewClaim['urgency']
  owner?: string
  /** A photo that was not sent yet, by the name under which this phone keeps it. */
  picture?: string
  /** Why it was refused, once it was. */
  refused?: string
}

/** Where a string is when what waits has been taken. */
export function foreseen(string: StringAt, waiting: Waiting[]): StringAt {
  let now = string
  for (const one of waiting) {
    if (one.piece !== string.piece || one.refused) {
      continue
    }
    const since = new Date(one.at).toISOString()
    if (one.kind === 'REACHED' && rank(now.stage) < rank(one.stage!)) {
      now = { ...now, stage: one.stage!, since, by: one.by, elsewhere: false, stored: undefined }
    } else if (one.kind === 'TAKEN_BACK' && rank(now.stage) > rank(one.stage!)) {
      now = { ...now, stage: one.stage!, since, by: one.by, elsewhere: false }
    } else if (one.kind === 'TROUBLE') {
      const trouble = { reason: one.text!, urgency: one.urgency!, owner: one.owner ?? '' }
      now = { ...now, trouble }
    } else if (one.kind === 'SETTLED') {
      now = { ...now, trouble: undefined }
    } else if (one.kind === 'NOTED') {
      now = { ...now, note: { text: one.text ?? '' } }
    }
  }
  return now
}

/** As it is sent: how long ago, for the clocks of phones differ. */
export function claimOf(one: Waiting, now: number, photo?: string): CrewClaim {
  return {
    id: one.id,
    piece: one.piece,
    by: one.by,
    millisAgo: Math.max(0, now - one.at),
    kind: one.kind,
    stage: one.stage,
    socket: one.socket,
    print: one.print,
    text: one.text,
    urgency: one.urgency,
    owner: one.owner,
    photo,
  }
}

/** A moment in words, such as "an hour ago". */
export function ago(at: string | number, now: number): string {
  const minutes = Math.round((now - new Date(at).getTime()) / 60_000)
  if (minutes < 1) {
    return 'just now'
  } else if (minutes < 50) {
    return minutes === 1 ? 'a minute ago' : `${minutes} minutes ago`
  }
  const hours = Math.round(minutes / 60)
  if (hours < 24) {
    return hours <= 1 ? 'an hour ago' : `${hours} hours ago`
  }
  const days = Math.round(hours / 24)
  return days <= 1 ? 'yesterday' : `${days} days ago`
}

/** How a port is kept with what was ticked there. */
export function socketOf(port: StringAt['port']): string | undefined {
  return port && `${port.controller}/${port.kind}/${port.port}`
}
