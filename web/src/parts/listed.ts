/** What may be chosen. */
export interface Choice {
  value: string
  title: string
}

/**
 * The choices that a field lists. Of many, a field that nobody is near has the chosen one only: a
 * page with hundreds of fields would have the square of them in it.
 *
 * @param choices a function where it costs something to know them
 * @param many more than these are many
 */
export function listed(
  choices: Choice[] | (() => Choice[]),
  chosen: string | undefined,
  near: boolean,
  many: number,
): Choice[] {
  if (typeof choices === 'function') {
    return near ? choices() : []
  }
  return near || choices.length <= many ? choices : choices.filter((one) => one.value === chosen)
}
