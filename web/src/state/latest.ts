/**
 * Asks again and again, and keeps the answer to the latest question only: an earlier one may come
 * in later. A question that fails is answered by nothing.
 */
export function latestOf<T>(keep: (answer: T | undefined) => void) {
  let asked = 0
  return async (question: () => Promise<T>) => {
    const mine = ++asked
    let answer: T | undefined
    try {
      answer = await question()
    } catch {
      // the next look at it says what is wrong
    }
    if (mine === asked) {
      keep(answer)
    }
  }
}
