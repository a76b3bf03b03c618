import { reached, shut, trouble } from './known'
import { OutOfReach, Refused } from './reach'

/** Between two attempts to reach the computer again (ms). */
export const AGAIN = 3_000

/** Asks; keeps what was answered; says whether the phone is out of reach. */
export async function ask<T>(work: () => Promise<T>): Promise<T | undefined> {
  try {
    const answer = await work()
    reached.value = true
    return answer
  } catch (error) {
    if (error instanceof OutOfReach) {
      away()
    } else if (error instanceof Refused && error.status === 401) {
      shut.value = error.message
    } else {
      trouble.value = error instanceof Error ? error.message : String(error)
    }
    return undefined
  }
}

let retry = 0
let back: () => void = () => undefined
/** What is done when it is worth asking again. */
export function whenBack(work: () => void) {
  back = work
}
export function again() {
  window.clearTimeout(retry)
  retry = window.setTimeout(() => back(), AGAIN)
}
/** Nobody answered. */
export function away() {
  reached.value = false
  again()
}
