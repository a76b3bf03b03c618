import { describe, expect, it } from 'vitest'
import { computed, nextTick, shallowRef, watch } from 'vue'
import { keeping } from '../src/state/kept'

interface Part {
  name: string
  holds: string[]
}
const part = (name: string, ...holds: string[]): Part => ({ name, holds })

function of(...first: Part[]) {
  const parts = shallowRef<Part[]>(first)
  const looked: string[] = []
  const map = keeping(() => parts.value)((one) => {
    looked.push(one.name)
    return one.holds.map((key): [string, string] => [key, `${key} of ${one.name}`])
  })
  return { parts, looked, map }
}

describe('what is kept by its key', () => {
  it('is all there from the beginning, in order', () => {
    const { map } = of(part('left', 'a', 'b'), part('right', 'c'))
    expect([...map]).toEqual([
      ['a', 'a of left'],
      ['b', 'b of left'],
      ['c', 'c of right'],
    ])
  })

  it('is looked at again only where a part is another one', () => {
    const left = part('left', 'a')
    const { parts, looked, map } = of(left, part('right', 'b'))
    looked.length = 0
    parts.value = [left, part('new', 'b', 'c')]
    expect(looked).not.toContain('left')
    expect([...map.values()]).toEqual(['a of left', 'b of new', 'c of new'])
  })

  it('goes with its part, and stays where it only went over to another', () => {
    const { parts, map } = of(part('left', 'a', 'b'), part('right', 'c'))
    parts.value = [part('left', 'b'), part('right', 'c', 'a')]
    expect(map.get('a')).toBe('a of right')
    parts.value = [part('left', 'a', 'b'), part('right', 'c')]
    expect(map.get('a')).toBe('a of left')
    parts.value = [part('right', 'c')]
    expect([...map.keys()]).toEqual(['c'])
    parts.value = []
    expect(map.size).toBe(0)
  })

  it('follows parts that change places', () => {
    const one = part('one', 'a')
    const two = part('two', 'b')
    const { parts, map } = of(one, two)
    parts.value = [two, one]
    parts.value = [part('first', 'z'), two, one]
    expect(new Map(map)).toEqual(
      new Map([
        ['z', 'z of first'],
        ['b', 'b of two'],
        ['a', 'a of one'],
      ]),
    )
  })

  it('is told only to who asked for something that is another now', async () => {
    const right = part('right', 'b')
    const { parts, map } = of(part('left', 'a'), right)
    const told: string[] = []
    watch(
      () => map.get('a'),
      (now) => told.push(`a: ${now}`),
    )
    watch(
      () => map.get('b'),
      (now) => told.push(`b: ${now}`),
    )
    watch(
      () => map.has('c'),
      (now) => told.push(`c: ${now}`),
    )
    parts.value = [part('other', 'a', 'c'), right]
    await nextTick()
    expect(told).toEqual(['a: a of other', 'c: true'])
  })

  it('counts, and is gone over, anew for who does so', () => {
    const { parts, map } = of(part('left', 'a'))
    const count = computed(() => map.size)
    const all = computed(() => [...map.values()].join())
    expect([count.value, all.value]).toEqual([1, 'a of left'])
    parts.value = [part('other', 'a', 'c')]
    expect([count.value, all.value]).toEqual([2, 'a of other,c of other'])
  })

  it('is what would be made anew, after any steps', () => {
    let seed = 7
    const random = (below: number) => {
      seed = (seed * 48271) % 2147483647
      return seed % below
    }
    const { parts, map } = of()
    let made = 0
    for (let step = 0; step < 600; step++) {
      const all = parts.value.map((one) => ({ ...one, holds: [...one.holds] }))
      const changed = new Set<number>()
      const at = random(all.length + 1)
      const what = random(5)
      if (what === 0 || all.length === 0) {
        all.splice(at, 0, part(`part ${made++}`, `key ${made++}`, `key ${made++}`))
        changed.add(at)
      } else if (what === 1) {
        all.splice(at, 1)
      } else if (what === 2) {
        all.push(...all.splice(0, at))
      } else {
        // a key goes over from one part to another, or is a new one
        const [from, to] = [random(all.length), random(all.length)]
        const key = what === 3 ? all[from].holds.pop() : `key ${made++}`
        all[to].holds.unshift(key ?? `key ${made++}`)
        changed.add(from).add(to)
      }
      const before = new Map(parts.value.map((one) => [one.name, one]))
      parts.value = all.map((one, place) =>
        changed.has(place) ? one : (before.get(one.name) ?? one),
      )
      const anew = parts.value.flatMap((one) =>
        one.holds.map((key): [string, string] => [key, `${key} of ${one.name}`]),
      )
      expect(new Map(map), `step ${step}`).toEqual(new Map(anew))
    }
  })
})
