/** What style sheets say of colours at an element, for who draws with them instead of naming them. */
export function inkAt(element: Element) {
  const style = getComputedStyle(element)
  const read = (name: string) => style.getPropertyValue(name).trim()
  return {
    /** A colour of the theme, as much of it as is asked for (0 to 1). */
    theme: (name: string, alpha = 1) => `rgba(${read(`--v-theme-${name}`)}, ${alpha})`,
    /** A colour that is told as `var(--name)`. */
    colour: (told: string) => read(told.slice('var('.length, -1)),
  }
}
