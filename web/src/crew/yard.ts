import { computed, reactive, ref, shallowReactive, shallowRef } from 'vue'
import { shrunk } from '../parts/photo'
import { keep } from './keep'
import { name, OutOfReach, reach, Refused } from './reach'
import type { CrewClaim, CrewPage, CrewYard, Moves, Right, Stage, StringAt } from './types'
import { claimOf, foreseen, rank, socketOf, STAGES, type Waiting } from './waiting'

/** Between two attempts to reach the computer again (ms). */
const AGAIN = 3_000
/** So many claims are sent at once. */
const AT_ONCE = 50
/** Changes that come close together are looked at once (ms). */
const GATHER = 120

/** The display as this phone knows it; what it cannot reach it remembers. */
export const yard = shallowRef<CrewYard>()
export const strings = shallowRef<StringAt[]>([])
export const pages = shallowReactive(new Map<string, CrewPage>())
export const moves = shallowRef<Moves>()
/** What was said here and is not taken yet, oldest first. */
export const waiting = ref<Waiting[]>([])
export const reached = ref(true)
/** Why nothing can be shown: the key does not open any more, or there is none. */
export const shut = ref('')
/** The version that whoever holds the phone has seen. */
export const seen = ref(0)
/** What could not be done, in a sentence. */
export const trouble = ref('')
/** The clock, for words such as "an hour ago" (ms). */
export const now = ref(Date.now())
/** The clock of the computer less that of the phone (ms). */
const clock = ref(0)
export const hasName = ref(name.get() !== '')

/** Each string with what waits. */
export const known = computed(() => {
  const all = new Map<string, StringAt>()
  for (const one of strings.value) {
    all.set(one.piece, foreseen(one, waiting.value))
  }
  return all
})
export const moveOf = computed(
  () => new Map(moves.value?.moves.map((one) => [one.piece, one]) ?? []),
)
/** Now, by the clock of the computer (ms). */
export const there = () => now.value + clock.value
export const may = (right: Right) => yard.value?.may.includes(right) ?? false

/** Asks; keeps what was answered; says whether the phone is out of reach. */
async function ask<T>(work: () => Promise<T>): Promise<T | undefined> {
  try {
    const answer = await work()
    reached.value = true
    return answer
  } catch (error) {
    if (error instanceof OutOfReach) {
      reached.value = false
      again()
    } else if (error instanceof Refused && error.status === 401) {
      shut.value = error.message
    } else {
      trouble.value = error instanceof Error ? error.message : String(error)
    }
    return undefined
  }
}

let retry = 0
function again() {
  window.clearTimeout(retry)
  retry = window.setTimeout(() => void lookAgain(), AGAIN)
}

async function takeYard(answer: CrewYard) {
  clock.value = Date.parse(answer.now) - Date.now()
  yard.value = answer
  await keep.set('yard', answer)
}

/** Reads what the phone remembers, then what is so now. */
export async function begin() {
  const key = location.hash.slice(1)
  const asked = new URLSearchParams(location.search).get('v')
  await remember()
  if (key) {
    // the key does not stay in the address, where others would read it
    history.replaceState(history.state, '', location.pathname)
    await enter(key)
  }
  await lookAgain()
  if (asked && Number(asked) > 0) {
    await setSeen(Math.min(Number(asked), yard.value?.version ?? Number(asked)))
    void lookAtMoves()
  }
  follow()
  window.setInterval(() => (now.value = Date.now()), 20_000)
  window.addEventListener('online', () => void lookAgain())
  document.addEventListener('visibilitychange', () => {
    if (!document.hidden) {
      void lookAgain()
    }
  })
}

async function remember() {
  yard.value = await keep.get<CrewYard>('yard')
  strings.value = (await keep.get<StringAt[]>('strings')) ?? []
  await rememberWaiting()
  seen.value = (await keep.get<number>('seen')) ?? 0
  moves.value = await keep.get<Moves>('moves')
  for (const [what, value] of await keep.all()) {
    if (what.startsWith('page:')) {
      pages.set(what.slice(5), value as CrewPage)
    }
  }
}

/** Each under a name of its own, by its display: two tabs, or two displays, lose nothing of each other. */
const nameOf = (one: Waiting) => `wait:${one.display}:${one.id}`
async function rememberWaiting() {
  const all = (await keep.all())
    .filter(([what]) => what.startsWith(`wait:${yard.value?.id}:`))
    .map(([, value]) => value as Waiting)
  waiting.value = all.sort((a, b) => a.at - b.at)
}

async function enter(key: string) {
  const answer = await ask(() => reach.enter(key))
  if (!answer) {
    return
  }
  shut.value = ''
  if (yard.value && yard.value.id !== answer.id) {
    // of another display nothing is mixed with this one; what waits for it goes on waiting
    for (const [what] of await keep.all()) {
      if (!what.startsWith('wait:') && !what.startsWith('picture:')) {
        await keep.forget(what)
      }
    }
    strings.value = []
    pages.clear()
    seen.value = 0
    moves.value = undefined
  }
  await takeYard(answer)
  await rememberWaiting()
}

let looking = false
let wanted = false
/** Everything anew: the display, what waits, where each string is; once more where it was asked meanwhile. */
export async function lookAgain() {
  wanted = true
  if (looking) {
    return
  }
  looking = true
  try {
    while (wanted) {
      wanted = false
      await lookOnce()
    }
  } finally {
    looking = false
  }
  if (!reached.value) {
    again()
  }
}

async function lookOnce() {
  const answer = await ask(reach.yard)
  if (answer) {
    shut.value = ''
    await takeYard(answer)
    if (!seen.value) {
      await setSeen(answer.version)
    }
    await send()
    await lookAtStrings()
    await Promise.all([lookAtMoves(), lookAtPages()])
  }
}

let asked = 0
async function lookAtStrings() {
  const mine = ++asked
  const answer = await ask(reach.strings)
  // of two answers the one that was asked for later counts
  if (answer && mine === asked) {
    strings.value = answer.strings
    await keep.set('strings', answer.strings)
  }
}

async function lookAtMoves() {
  const answer = await ask(() => reach.moves(seen.value))
  if (answer) {
    moves.value = answer
    await keep.set('moves', answer)
  }
}

/** All controllers, one after the other, so that the phone has them when it is out of reach. */
async function lookAtPages() {
  for (const one of yard.value?.controllers ?? []) {
    const page = pages.get(one.id)
    if (page?.version !== yard.value!.version && reached.value) {
      await lookAtPage(one.id)
    }
  }
  for (const id of pages.keys()) {
    if (!yard.value?.controllers.some((one) => one.id === id)) {
      pages.delete(id)
      await keep.forget(`page:${id}`)
    }
  }
}

export async function lookAtPage(id: string) {
  const answer = await ask(() => reach.controller(id))
  if (answer) {
    pages.set(id, answer)
    await keep.set(`page:${id}`, answer)
  }
}

export async function setSeen(version: number) {
  seen.value = version
  await keep.set('seen', version)
}
/** Whoever holds the phone has read what moved. */
export async function readMoves() {
  await setSeen(yard.value!.version)
  await lookAtMoves()
}

/** A stream that says nothing for so long has gone without a word (ms): it beats every five seconds. */
const SILENCE = 12_000

let gathered = 0
function follow() {
  const events = new EventSource('/crew/api/events')
  let silence = 0
  const heard = () => {
    window.clearTimeout(silence)
    silence = window.setTimeout(() => {
      events.close()
      follow()
      void lookAgain()
    }, SILENCE)
  }
  heard()
  events.addEventListener('beat', heard)
  events.addEventListener('hello', () => void lookAgain())
  events.addEventListener('plan', () => {
    window.clearTimeout(gathered)
    gathered = window.setTimeout(() => void lookAgain(), GATHER)
  })
  events.addEventListener('strings', () => void lookAtStrings())
  events.addEventListener('error', () => {
    if (events.readyState === EventSource.CLOSED) {
      window.clearTimeout(silence)
      window.setTimeout(follow, AGAIN)
    }
    // whether the key still opens is seen by asking
    void lookAgain()
  })
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
async function send() {
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
      reached.value = false
      again()
    } else {
      one.refused = error instanceof Error ? error.message : String(error)
      await keep.set(nameOf(one), one)
    }
    return undefined
  }
}

async function took(answer: { id: string; verdict?: string; refused?: string }[]) {
  const verdicts = new Map(answer.map((one) => [one.id, one]))
  const left: Waiting[] = []
  for (const one of waiting.value) {
    const verdict = verdicts.get(one.id)
    if (!verdict) {
      left.push(one)
    } else if (verdict.refused) {
      left.push({ ...one, refused: verdict.refused })
      await keep.set(nameOf(one), left[left.length - 1])
    } else {
      if (verdict.verdict === 'OVERTAKEN') {
        const title = known.value.get(one.piece)?.title ?? one.piece
        trouble.value = `${title}: somebody said otherwise later than you; it stays as they said.`
      }
      await forget(one)
    }
  }
  // what was taken is so before the next look: nothing flickers back
  strings.value = strings.value.map((one) =>
    foreseen(
      one,
      waiting.value.filter((said) => verdicts.get(said.id)?.verdict === 'TAKEN'),
    ),
  )
  waiting.value = left
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
  const string = known.value.get(piece)
  if (!string) {
    return
  }
  const done = rank(string.stage) >= rank(stage)
  const back = STAGES[Math.max(0, rank(stage) - 1)].stage
  await say({
    piece,
    kind: done ? 'TAKEN_BACK' : 'REACHED',
    stage: done ? back : stage,
    socket: socketOf(string.port),
    print: stage === 'SEEN_RIGHT' && !done ? print : undefined,
  })
}

export function setName(said: string) {
  name.set(said)
  hasName.value = name.get() !== ''
}

/** The stage that is ticked on this phone. */
export const ticking = reactive({
  stage: (localStorage.getItem('hamper.stage') ?? 'HUNG') as Stage,
})
export function tickStage(stage: Stage) {
  ticking.stage = stage
  localStorage.setItem('hamper.stage', stage)
}
