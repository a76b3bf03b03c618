import { vi } from 'vitest'

/** A key that is pressed somewhere, and whether anybody took it. */
export function pressed(key: string, more: object = {}) {
  const preventDefault = vi.fn()
  const event = {
    key,
    shiftKey: false,
    ctrlKey: false,
    altKey: false,
    metaKey: false,
    target: { closest: () => null },
    ...more,
    preventDefault,
    stopPropagation: vi.fn(),
  }
  return {
    event: event as unknown as KeyboardEvent,
    taken: () => preventDefault.mock.calls.length > 0,
  }
}
