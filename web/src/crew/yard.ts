import { again, AGAIN, ask, whenBack } from './asking'
import { keep } from './keep'
import { clock, moves, now, pages, reached, seen, shut, strings, yard } from './known'
import { reach } from './reach'
import { rememberWaiting, send, takenSoFar } from './saying'
import type { CrewPage, CrewYard, Moves, StringAt } from './types'

/** Changes that come close together are looked at once (ms). */
const GATHER = 120

async function takeYard(answer: CrewYard) {
  clock.value = Date.parse(answer.now) - Date.now()
  yard.value = answer
  await keep.set('yard', answer)
}

/**
 * Reads what the phone remembers, then what is so now.
 *
 * @param addressed when the pages have taken their address from the window's
 */
export async function begin(addressed: Promise<unknown>) {
  const key = location.hash.slice(1)
  const asked = new URLSearchParams(location.search).get('v')
  whenBack(() => void lookAgain())
  // asked at once: what the phone remembers is read while the answer is on its way
  const entering = key ? ask(() => reach.enter(key)) : undefined
  await remember()
  await addressed
  if (key) {
    // the key does not stay in the address, where others would read it
    history.replaceState(history.state, '', location.pathname)
    await entered(await entering)
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

async function entered(answer?: CrewYard) {
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
  const before = takenSoFar()
  const answer = await ask(reach.strings)
  // of two answers the one that was asked for later counts
  if (!answer || mine !== asked) {
    return
  }
  if (before !== takenSoFar()) {
    stringsChanged()
    return
  }
  strings.value = answer.strings
  await keep.set('strings', answer.strings)
}

let changed = 0
/** More is known of strings: looked at once for all that comes close together. */
function stringsChanged() {
  window.clearTimeout(changed)
  changed = window.setTimeout(() => void lookAtStrings(), GATHER)
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
  events.addEventListener('strings', stringsChanged)
  events.addEventListener('error', () => {
    if (events.readyState === EventSource.CLOSED) {
      window.clearTimeout(silence)
      window.setTimeout(follow, AGAIN)
    }
    // whether the key still opens is seen by asking
    void lookAgain()
  })
}
