/** Wire sizes that are sold, for choosing. The server knows others in mm² too. */
export const GAUGES = [
  ...[12, 14, 16, 18, 20, 22, 24].map((number) => `AWG ${number}`),
  ...['0.5', '0.75', '1', '1.5', '2.5', '4'].map((area) => `${area} mm²`),
].map((text) => ({ value: text, title: text }))

/** Choices with one that is set and not among them. */
export function gaugesWith(own?: string) {
  const known = own === undefined || GAUGES.some((gauge) => gauge.value === own)
  return known ? GAUGES : [...GAUGES, { value: own, title: own }]
}
