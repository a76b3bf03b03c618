import type { PortRef, Question } from '../api/types'

/**
 * What a worked-out number is asked by: whatever carries it in `data-why` answers "why?" to a click
 * and to the key W.
 */
export function why(question: Question): string {
  return JSON.stringify(question)
}

type Kind = Question['kind']
export const whyPiece = (kind: Kind, piece: string, section = 0) =>
  why({ kind, piece, section: section + 1 })
export const whyPort = (kind: Kind, port: PortRef) => why({ kind, port })
export const whyController = (kind: Kind, controller: string) => why({ kind, controller })
export const whyPart = (kind: Kind, part: string) => why({ kind, part })

/** The question that an element carries. */
export function questionOf(element: Element | null | undefined): Question | undefined {
  const text = element?.getAttribute('data-why')
  return text ? (JSON.parse(text) as Question) : undefined
}

/**
 * The numbers that the key W asks about: the one that is pointed at, or those of the row that has
 * the keyboard.
 */
export function numbersAt(focused: Element | null, pointed: Element | null): Element[] {
  if (pointed) {
    return [pointed]
  }
  for (let at = focused; at && at !== document.body; at = at.parentElement) {
    const here = at.matches('[data-why]') ? [at] : [...at.querySelectorAll('[data-why]')]
    if (here.length) {
      return here
    }
    // a row is as far as a number belongs to what has the keyboard
    if (at.matches('[data-lane], tr, li, article, section, main')) {
      return []
    }
  }
  return []
}
