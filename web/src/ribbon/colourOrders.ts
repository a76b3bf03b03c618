/** Orders that pixels of so many channels are built in. */
const ORDERS: Record<number, string[]> = {
  1: ['W'],
  3: ['RGB', 'RBG', 'GRB', 'GBR', 'BRG', 'BGR'],
  4: ['RGBW', 'GRBW', 'BRGW', 'WRGB', 'WGRB', 'GBRW', 'RBGW', 'BGRW'],
}

/** Orders with as many channels as this one. */
export function ordersOf(order: string): string[] {
  return ORDERS[order.length] ?? [order]
}

export const LETTER_COLOURS: Record<string, string> = {
  R: '#b8322a',
  G: '#2f7a33',
  B: '#2f62c0',
  W: '#d8d2c2',
  A: '#e0a020',
  V: '#7d4fb5',
}
