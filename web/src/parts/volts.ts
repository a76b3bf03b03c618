/** A voltage in hundredths, rounded down as the server tells it; at nothing it is dark there. */
export function toldVolts(volts: number): string {
  const known = Math.floor(volts * 100 + 1e-6) / 100
  return known > 0 ? `${known.toFixed(2)} V` : 'dark'
}
