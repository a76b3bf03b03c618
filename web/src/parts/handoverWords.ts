import type { ControllerHandover, GivingStep, HandoverState } from '../api/types'

/** A state as it is shown: a sign, a word, and how much it asks for. */
export interface StateWords {
  sign: string
  word: string
  tone: 'good' | 'quiet' | 'warn' | 'bad'
}

export const STATES: Record<HandoverState, StateWords> = {
  NEVER: { sign: '○', word: 'never given', tone: 'quiet' },
  GIVEN: { sign: '✓', word: 'given', tone: 'good' },
  STALE: { sign: '◐', word: 'stale', tone: 'warn' },
  REFUSED: { sign: '▲', word: 'refused', tone: 'bad' },
  UNKNOWN: { sign: '?', word: 'unknown', tone: 'bad' },
  NOT_KEPT: { sign: '◌', word: 'not kept', tone: 'warn' },
  DIFFERENT: { sign: '≠', word: 'different', tone: 'bad' },
}

export const PROGRESS: Record<GivingStep['progress'], StateWords> = {
  WAITING: { sign: '·', word: 'waiting', tone: 'quiet' },
  WORKING: { sign: '…', word: 'being given', tone: 'quiet' },
  GIVEN: { sign: '✓', word: 'given', tone: 'good' },
  UNCHANGED: { sign: '✓', word: 'has it already', tone: 'good' },
  NOT_KEPT: { sign: '◌', word: 'not kept', tone: 'warn' },
  REFUSED: { sign: '▲', word: 'refused', tone: 'bad' },
  LOST: { sign: '?', word: 'went away half-way', tone: 'bad' },
  DIFFERENT: { sign: '≠', word: 'has something else', tone: 'bad' },
  AWAY: { sign: '–', word: 'not reached', tone: 'warn' },
  HAS_FAULTS: { sign: '▲', word: 'look at its faults first', tone: 'bad' },
  OTHER_UNIT: { sign: '?', word: 'another unit', tone: 'warn' },
  STOPPED: { sign: '–', word: 'stopped before', tone: 'quiet' },
  FAILED: { sign: '▲', word: 'failed', tone: 'bad' },
}

export const MEANS = { NETWORK: 'over the network', CARD: 'by card', HAND: 'by hand' } as const

/** A moment as people say it. */
export function moment(at: string): string {
  return new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
}

/** How a device stands, as a sentence: "Given 3 Dec 2026, 16:02 by Ada over the network". */
export function standsAs(one: ControllerHandover): string {
  const when = one.at ? ` ${moment(one.at)}` : ''
  const by = one.by ? ` by ${one.by}` : ''
  const how = one.means ? ` ${MEANS[one.means]}` : ''
  switch (one.state) {
    case 'NEVER':
      return one.why ? `Never given: ${one.why}.` : 'Never given.'
    case 'GIVEN':
      return `Given${when}${by}${how}.`
    case 'STALE':
      return `Given${when}${by}${how}; the plan has moved on since.`
    case 'REFUSED':
      return `Refused${when}${by}: ${one.why}.`
    case 'UNKNOWN':
      return `Nobody knows what it has${one.why ? `: ${one.why}` : ': giving it was cut short'}. Read it back to know.`
    case 'NOT_KEPT':
      return `Given${when}${by}${how}, but ${one.why || 'it would forget it with its power'}.`
    case 'DIFFERENT':
      return `Read back${when}${by}: ${one.why}.`
  }
}
