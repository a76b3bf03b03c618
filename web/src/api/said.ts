/**
 * What was changed, as an edit says it: a field that is named without a value is to have none, and
 * one that is not named stays as it is.
 */
export function said<T extends object>(
  changes: T,
): { [K in keyof T]: Exclude<T[K], undefined> | null } {
  return Object.fromEntries(
    Object.entries(changes).map(([field, value]) => [field, value ?? null]),
  ) as { [K in keyof T]: Exclude<T[K], undefined> | null }
}
