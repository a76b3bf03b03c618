/** A voltage as the server told it, in hundredths; at nothing it is dark there. */
export function toldVolts(volts: number): string {
  return volts > 0 ? `${volts.toFixed(2)} V` : 'dark'
}
