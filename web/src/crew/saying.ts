import { shrunk } from '../parts/photo'
import { ask, away } from './asking'
import { keep } from './keep'
import { known, reached, shut, strings, trouble, waiting, yard } from './known'
import { name, OutOfReach, reach } from './reach'
import type { CrewClaim, Stage } from './types'
import { claimOf, foreseen, rank, socketOf, STAGES, type Waiting } from './waiting'

/** So many claims are sent at once. */
const AT_ONCE = 50

/** Each under a name of its own, by its display: two tabs, or two displays, lose nothing of each other. */
const nameOf = (one: Waiting) => `wait:${one.display}:${one.id}`
export async function rememberWaiting() {
  const all = (await keep.all())
    .filter(([what]) => what.startsWith(`wait:${yard.value?.id}:`))
    .map(([, value]) => value as Waiting)
  // what was said while this was read is not there yet
  const said = waiting.value.filter(
    (one) => one.display === yard.value?.id && !all.some((kept) => kept.id === one.id),
  )
  waiting.value = [...all, ...said].sort((a, b) => a.at - b.at)
}

export type Saying = Omit<Waiting, 'id' | 'display' | 'by' | 'at'>

/** Says something of a string: kept here first, then sent, now or when the phone is back. */
export async function say(what: Saying, picture?: File) {
  const one: Waiting = {
    ...what,
    id: crypto.randomUUID?.() ?? randomId(),
    display: yard.value!.id,
    by: name.get(),
    at: Date.now(),
  }
  if (picture) {
    one.picture = one.id
    await keep.set(`picture:${one.id}`, await shrunk(picture))
  }
  waiting.value = [...waiting.value, one]
  await keep.set(nameOf(one), one)
  await send()
}

/** Where a page is not secure a browser makes no ids. */
function randomId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  return [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('')
}

let sending = false
export async function send() {
  if (sending || shut.value) {
    return
  }
  sending = true
  try {
    for (let some = next(); some.length; some = next()) {
      const claims: CrewClaim[] = []
      for (const one of some) {
        const photo = one.picture && (await sendPicture(one))
        if (one.picture && !photo) {
          break
        }
        claims.push(claimOf(one, Date.now(), photo || undefined))
      }
      if (!claims.length) {
        if (some[0].refused) {
          continue
        }
        return
      }
      const answer = await ask(() => reach.claim({ claims }))
      if (!answer) {
        return
      }
      await took(answer)
    }
  } finally {
    sending = false
  }
}
const next = () => waiting.value.filter((one) => !one.refused).slice(0, AT_ONCE)

/** @returns the name of it; nothing where it is not there yet, or was refused */
async function sendPicture(one: Waiting): Promise<string | undefined> {
  const picture = await keep.get<Blob>(`picture:${one.picture}`)
  if (!picture) {
    one.picture = undefined
    return undefined
  }
  try {
    const { name: photo } = await reach.photo(picture)
    reached.value = true
    return photo
  } catch (error) {
    if (error instanceof OutOfReach) {
      away()
    } else {
      one.refused = error instanceof Error ? error.message : String(error)
      await keep.set(nameOf(one), one)
    }
    return undefined
  }
}

let taken = 0
/** How often something that was said here was taken: an older answer does not have it yet. */
export const takenSoFar = () => taken

async function took(answer: { id: string; verdict?: string; refused?: string }[]) {
  const verdicts = new Map(answer.map((one) => [one.id, one]))
  const answered = waiting.value.filter((one) => verdicts.has(one.id))
  taken++
  // what was taken is so before the next look: nothing flickers back
  const now = answered.filter((said) => verdicts.get(said.id)?.verdict === 'TAKEN')
  strings.value = strings.value.map((one) => foreseen(one, now))
  // in one go, before anything is waited for: what is said meanwhile goes on waiting
  waiting.value = waiting.value.flatMap((one) => {
    const verdict = verdicts.get(one.id)
    return !verdict ? [one] : verdict.refused ? [{ ...one, refused: verdict.refused }] : []
  })
  for (const one of answered) {
    const { verdict, refused } = verdicts.get(one.id)!
    if (verdict === 'OVERTAKEN') {
      const title = known.value.get(one.piece)?.title ?? one.piece
      trouble.value = `${title}: somebody said otherwise later than you; it stays as they said.`
    }
    await (refused ? keep.set(nameOf(one), { ...one, refused }) : forget(one))
  }
}

async function forget(one: Waiting) {
  await keep.forget(nameOf(one))
  if (one.picture) {
    await keep.forget(`picture:${one.picture}`)
  }
}

/** What was refused is put away, once it was read. */
export async function forgetRefused() {
  const refused = waiting.value.filter((one) => one.refused)
  waiting.value = waiting.value.filter((one) => !one.refused)
  await Promise.all(refused.map(forget))
}

/** Ticks a string: it reached the stage, or, where it has, it is taken back to the one before. */
export async function tick(piece: string, stage: Stage, print?: string) {
  const now = known.value.get(piece)
  if (!now) {
    return
  }
  const done = rank(now.stage) >= rank(stage)
  const back = STAGES[Math.max(0, rank(stage) - 1)].stage
  await say({
    piece,
    kind: done ? 'TAKEN_BACK' : 'REACHED',
    stage: done ? back : stage,
    socket: socketOf(now.port),
    print: stage === 'SEEN_RIGHT' && !done ? print : undefined,
  })
}
