/**
 * A number as people type it: where the keyboard has a comma for the decimal point, it is one.
 *
 * @returns nothing where it is none, or where it might be two: 1,024
 */
export function numberOf(typed: string): number | undefined {
  const text = typed.trim()
  return /^-?\d+([.,]\d+)?$/.test(text) && !twofold(text)
    ? Number(text.replace(',', '.'))
    : undefined
}

function twofold(text: string): boolean {
  return /^-?[1-9]\d{0,2},\d{3}$/.test(text)
}

/** What is wrong with a number that is typed, where it has to be one from least to most. */
export function numberComplaint(typed: string, least: number, most: number): string {
  const text = typed.trim()
  if (twofold(text)) {
    return `${text} may be two numbers: write ${text.replace(',', '')} or ${text.replace(',', '.')}`
  }
  return `${text || 'Nothing'}: allowed is ${least} to ${most}`
}
