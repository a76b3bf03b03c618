import { onScopeDispose, shallowRef, watch, type Ref } from 'vue'

/** As fast as this, seven lanes a second, nobody reads numbers that pass (px a picture). */
const TOO_FAST = 4
/** After this long without such a step it stands, or goes slowly (ms). */
const CALM = 90
/** Rows that are drawn whole in one picture once it has calmed down. */
const A_PICTURE = 2

/**
 * Which rows are drawn plainly, since they came in a flight: two steps in a row that are too fast
 * to read by. One single step, however long, is a jump, and what it shows is whole at once.
 */
export class Flight {
  private last = -Infinity
  private flying = false
  private plain = new Set<string>()
  private here = new Set<string>()

  /**
   * The view moved.
   *
   * @param step by how much (px)
   * @param now ms
   */
  moved(step: number, now: number) {
    if (Math.abs(step) < TOO_FAST) {
      return
    }
    this.flying = now - this.last < CALM
    this.last = now
  }

  /** The rows in view are these now; answers those of them that are drawn plainly. */
  shows(keys: string[], now: number): ReadonlySet<string> {
    const flying = this.flies(now)
    this.plain = new Set(
      keys.filter((key) => this.plain.has(key) || (flying && !this.here.has(key))),
    )
    this.here = new Set(keys)
    return this.plain
  }

  /** All that is in view is drawn anew, many times a second: as in a flight. */
  stirred(now: number): ReadonlySet<string> {
    this.moved(TOO_FAST, now)
    // what is plain already is left as it is, and nobody hears of it anew
    if (this.flies(now) && this.plain.size < this.here.size) {
      this.plain = new Set(this.here)
    }
    return this.plain
  }

  /** A picture later; answers those that are plain still. */
  calmed(now: number): ReadonlySet<string> {
    if (!this.flies(now) && this.plain.size) {
      this.plain = new Set([...this.plain].slice(A_PICTURE))
    }
    return this.plain
  }

  private flies(now: number): boolean {
    this.flying &&= now - this.last < CALM
    return this.flying
  }
}

/**
 * Rows that come faster than anybody reads are drawn plainly, and whole once it has calmed down, a
 * few a picture: so that thousands of lanes scroll and zoom at the machine's rate.
 *
 * @param keys of the rows in view
 * @param scale what all of them are drawn by
 * @returns the keys of those that are plain, and who is told by how much somebody scrolled (px)
 */
export function useFlight(keys: Ref<string[]>, scale: Ref<number>) {
  const flight = new Flight()
  const plain = shallowRef<ReadonlySet<string>>(new Set())
  let waiting = 0

  function set(now: ReadonlySet<string>) {
    plain.value = now
    if (now.size && !waiting) {
      waiting = requestAnimationFrame(() => {
        waiting = 0
        set(flight.calmed(performance.now()))
      })
    }
  }
  watch(keys, (now) => set(flight.shows(now, performance.now())), { immediate: true })
  watch(scale, () => set(flight.stirred(performance.now())))
  onScopeDispose(() => cancelAnimationFrame(waiting))
  return { plain, moved: (step: number) => flight.moved(step, performance.now()) }
}
