/** The value that all have in common; nothing where they differ. */
export function common<T>(values: T[]): T | undefined {
  return values.every((value) => value === values[0]) ? values[0] : undefined
}
