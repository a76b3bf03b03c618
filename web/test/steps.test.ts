import { describe, expect, it } from 'vitest'
import type { ControllerView } from '../src/api/types'
import { stepsOf, type StepFacts } from '../src/places/overview/steps'

const view = (host: boolean, settings: object = {}) =>
  ({ host, controller: { settings } }) as unknown as ControllerView

const EMPTY: StepFacts = {
  controllers: [],
  network: { lines: [], outside: [] } as unknown as StepFacts['network'],
  props: 0,
  pieces: 0,
  loose: 0,
  pixels: 0,
  findings: 0,
  given: { begun: false, open: 0, stale: 0 },
  showLags: '',
  seen: { begun: false, strings: 0, right: 0, check: 'NONE' },
}
const told = (facts: Partial<StepFacts>) =>
  Object.fromEntries(
    stepsOf({ ...EMPTY, ...facts }).map((step) => [
      step.title,
      `${step.done ? '✓' : '○'} ${step.text}`,
    ]),
  )

describe('what is left', () => {
  it('begins with everything', () => {
    expect(told({})).toEqual({
      Network: '○ no subnet yet',
      Controllers: '○ none yet, no computer that sends',
      Props: '○ none yet: type or paste them',
      Patch: '○ nothing to hang yet',
      Handover: '○ nothing is given yet',
      Trial: '○ nothing is seen right yet, not checked',
      Findings: '○ nothing is wrong',
    })
  })

  it('counts what is missing in each step', () => {
    const steps = told({
      controllers: [
        view(true),
        view(false, { transport: 'UNICAST' }),
        view(false, { transport: 'UNICAST', address: '10.0.0.2', source: 'h1' }),
      ],
      network: {
        lines: [{ clashes: [{}, {}] }],
        outside: [{}],
      } as unknown as StepFacts['network'],
      props: 3,
      pieces: 12,
      loose: 2,
      pixels: 1200,
      findings: 4,
      given: { begun: true, open: 1, stale: 1 },
      showLags: 'the show is built on version 3, the yard is at 9',
      seen: { begun: true, strings: 10, right: 4, check: 'CHANGED' },
    })
    expect(steps).toEqual({
      Network: '○ 1 subnet, 1 without an address, 1 in no subnet, 2 clashes',
      Controllers: '○ 2 placed, 1 without a source',
      Props: '✓ 3 props, 1,200 pixels',
      Patch: '○ 10 of 12 pieces hang on a port, arrange the other 2 …',
      Handover: '○ 1 of 2 given, 1 stale, the show is built on version 3, the yard is at 9',
      Trial: '○ 4 of 10 strings seen right, changed since checked',
      Findings: '○ 4 to look at',
    })
  })

  it('is nothing where all is done', () => {
    const steps = stepsOf({
      ...EMPTY,
      controllers: [view(true), view(false, { transport: 'MULTICAST', source: 'h1' })],
      network: { lines: [{ clashes: [] }], outside: [] } as unknown as StepFacts['network'],
      props: 1,
      pieces: 1,
      pixels: 50,
      given: { begun: true, open: 0, stale: 0 },
      seen: { begun: true, strings: 1, right: 1, check: 'CLEAN' },
    })
    expect(steps.filter((step) => !step.done)).toEqual([])
  })

  it('leads to proposals where pieces hang nowhere and there are ports', () => {
    const patch = (facts: Partial<StepFacts>) =>
      stepsOf({ ...EMPTY, pieces: 3, ...facts }).find((step) => step.title === 'Patch')!.part
    expect(patch({ loose: 1, controllers: [view(false)] })).toBe('arrange')
    expect(patch({ loose: 1, controllers: [view(true)] })).toBeUndefined()
    expect(patch({ controllers: [view(false)] })).toBeUndefined()
  })
})
