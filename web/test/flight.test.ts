import { describe, expect, it } from 'vitest'
import { Flight } from '../src/parts/flight'

const keys = (from: number, to: number) =>
  Array.from({ length: to - from }, (_, i) => `r${from + i}`)

/** Scrolls a row a picture; answers what is plain after the last, and when that was (ms). */
function scroll(flight: Flight, step: number, pictures: number) {
  let now = 1000
  let plain: ReadonlySet<string> = flight.shows(keys(0, 5), now)
  for (let i = 1; i <= pictures; i++) {
    now += 16
    flight.moved(step, now)
    plain = flight.shows(keys(i, i + 5), now)
  }
  return { plain, now }
}

describe('rows that come in a flight', () => {
  it('are plain, and those that were there before stay whole', () => {
    // the first step may be a jump: its row is whole
    expect([...scroll(new Flight(), 60, 3).plain]).toEqual(['r6', 'r7'])
  })
  it('are whole where it goes slowly, or once, however far', () => {
    expect(scroll(new Flight(), 3, 10).plain.size).toBe(0)
    expect(scroll(new Flight(), 9000, 1).plain.size).toBe(0)
  })
  it('are whole where jumps are apart, as a held key makes them', () => {
    const flight = new Flight()
    for (let i = 0; i < 5; i++) {
      flight.moved(500, i * 200)
      expect(flight.shows(keys(i * 10, i * 10 + 5), i * 200).size).toBe(0)
    }
  })
  it('are drawn whole two a picture once it is calm, and no sooner', () => {
    const flight = new Flight()
    const { plain, now } = scroll(flight, 60, 10)
    expect(plain.size).toBe(5)
    expect(flight.calmed(now + 50).size).toBe(5)
    expect([...flight.calmed(now + 91)]).toEqual(['r12', 'r13', 'r14'])
    expect(flight.calmed(now + 107).size).toBe(1)
    expect(flight.calmed(now + 123).size).toBe(0)
  })
  it('are whole as soon as it goes slowly, beside those that are plain still', () => {
    const flight = new Flight()
    const { now } = scroll(flight, 60, 10)
    expect([...flight.shows(keys(11, 16), now + 100)]).toEqual(['r11', 'r12', 'r13', 'r14'])
  })
})

describe('zooming', () => {
  it('is a flight of all that is in view, from the second change on', () => {
    const flight = new Flight()
    flight.shows(keys(0, 3), 0)
    expect(flight.stirred(10).size).toBe(0)
    expect(flight.stirred(26).size).toBe(3)
    expect(flight.calmed(200).size).toBe(1)
  })
  it('step by step draws whole', () => {
    const flight = new Flight()
    flight.shows(keys(0, 3), 0)
    flight.stirred(10)
    expect(flight.stirred(400).size).toBe(0)
  })
})
