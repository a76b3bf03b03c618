import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { DisplayView, GuideView } from '../../src/api/types'

const server = vi.hoisted(() => ({
  guides: vi.fn(),
  walkGuide: vi.fn(),
  readGuide: vi.fn(),
  ownTest: vi.fn(),
  restartDevice: vi.fn(),
  silence: vi.fn(),
  light: vi.fn(),
  leaveLight: vi.fn(),
  output: vi.fn(),
  outputGround: vi.fn(),
  stopOutput: vi.fn(),
  trial: vi.fn(),
  patterns: vi.fn(),
}))
vi.mock('../../src/api/client', async () => ({
  ...(await vi.importActual<object>('../../src/api/asking')),
  api: server,
  who: { get: () => 'Ada' },
}))
const memory = () => {
  const kept = new Map<string, string>()
  return {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
  }
}
vi.stubGlobal('localStorage', memory())
vi.stubGlobal('sessionStorage', memory())
vi.stubGlobal('window', globalThis)
vi.stubGlobal('document', { hidden: false })

const { Problem } = await import('../../src/api/asking')
const { useDisplay } = await import('../../src/state/display')
const { useGuiding } = await import('../../src/state/guiding')
const { useLighting } = await import('../../src/state/lighting')
const { useOutput } = await import('../../src/state/output')

const piece = { piece: { id: 'p', kind: 'string', sections: [] }, title: 'Bow rail' }
const view = (id: string) =>
  ({
    id,
    version: 1,
    controllers: [],
    props: [{ prop: { id: 'rails' }, pieces: [piece] }],
    findings: [],
  }) as unknown as DisplayView
const question = (id: string, doing: object) =>
  ({ next: { id, ask: `${id}?`, doing, answers: [] } }) as unknown as GuideView
const LOOK = { kind: 'LOOK' }
const ended = { causes: [{ title: 'No data' }] } as unknown as GuideView

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  Object.values(server).forEach((door) => door.mockReset())
  server.light.mockResolvedValue({ display: 'a', holders: [] })
  server.readGuide.mockRejectedValue(new Error('nobody knows'))
  useDisplay().view = view('a')
})
/** Opens a guide and lets what its first question wants be done. */
async function opened(...steps: GuideView[]) {
  steps.forEach((one) => server.walkGuide.mockResolvedValueOnce(one))
  const guiding = useGuiding()
  const opening = guiding.open('DARK' as never, 'p')
  await vi.advanceTimersByTimeAsync(10_000)
  await opening
  return guiding
}

describe('a guide', () => {
  it('is about a piece, which is what is lit from then on', async () => {
    const guiding = await opened(question('first', LOOK))
    expect(guiding.title).toBe('Bow rail')
    expect(useLighting().what.map((one) => one.title)).toEqual(['Bow rail'])
    expect(guiding.doing).toBe(false)
    expect(server.light, 'nothing is lit that no question wants').not.toHaveBeenCalled()
  })

  it('lights what a question wants before anybody looks', async () => {
    const pattern = { kind: 'COUNT', colour: 'RED', from: 3, to: 3 }
    server.walkGuide.mockResolvedValueOnce(question('first', { kind: 'LIGHT', pattern }))
    const guiding = useGuiding()
    const opening = guiding.open('DARK' as never, 'p')
    await vi.advanceTimersByTimeAsync(1_000)
    expect(server.light.mock.calls[0][0]).toMatchObject({
      only: { pieces: ['p'] },
      pattern: { kind: 'COUNT', colour: 'RED', from: 3 },
    })
    expect(guiding.doing, 'until it is seen').toBe(true)
    expect(server.readGuide).not.toHaveBeenCalled()
    await vi.advanceTimersByTimeAsync(1_000)
    await opening
    expect(guiding.doing).toBe(false)
    expect(server.readGuide).toHaveBeenCalledWith('a', 'DARK', 'first', 'p')
  })

  it('lights white, and is silent, where a question is about silence', async () => {
    await opened(question('quiet', { kind: 'SILENCE' }))
    expect(server.light.mock.calls[0][0].pattern).toMatchObject({ kind: 'WHITE' })
    expect(server.silence).toHaveBeenCalledTimes(1)
    expect(server.light.mock.invocationCallOrder[0]).toBeLessThan(
      server.silence.mock.invocationCallOrder[0],
    )
  })

  it('tells what a stand-in says; of the yard whoever stands there answers', async () => {
    server.readGuide.mockResolvedValueOnce({ answer: 'no' })
    const guiding = await opened(question('first', LOOK))
    expect(guiding.read).toBe('no')
    guiding.close()
    useOutput().ground = { live: true }
    server.readGuide.mockResolvedValue({ answer: 'no' })
    await opened(question('first', LOOK))
    expect(guiding.read).toBeUndefined()
  })

  it('keeps what was answered, and goes back to any of it', async () => {
    const guiding = await opened(question('one', LOOK))
    server.walkGuide.mockResolvedValueOnce(question('two', LOOK)).mockResolvedValueOnce(ended)
    await guiding.answer('yes', 'Yes, it is lit')
    await guiding.answer('no', 'No')
    expect(guiding.view).toEqual(ended)
    expect(guiding.answers.map((one) => `${one.ask} ${one.words}`)).toEqual([
      'one? Yes, it is lit',
      'two? No',
    ])
    expect(server.walkGuide.mock.lastCall).toEqual([
      'a',
      'DARK',
      'p',
      [
        { question: 'one', answer: 'yes' },
        { question: 'two', answer: 'no' },
      ],
    ])
    server.walkGuide.mockResolvedValueOnce(question('two', LOOK))
    await guiding.back(1)
    expect(guiding.answers).toHaveLength(1)
    expect(guiding.view?.next?.id).toBe('two')
  })

  it('changes a device only when somebody says so, and ends its test with the answer', async () => {
    const guiding = await opened(question('own', { kind: 'OWN_TEST', controller: 'k1' }))
    expect(server.ownTest).not.toHaveBeenCalled()
    expect(server.readGuide).not.toHaveBeenCalled()
    const acting = guiding.act()
    expect(guiding.doing).toBe(true)
    await vi.advanceTimersByTimeAsync(2_000)
    await acting
    expect(server.ownTest.mock.calls).toEqual([['a', 'k1', true]])
    expect(server.readGuide).toHaveBeenCalledTimes(1)
    server.walkGuide.mockResolvedValueOnce(question('again', { kind: 'RESTART', controller: 'k1' }))
    await guiding.answer('yes', 'Yes')
    expect(server.ownTest.mock.lastCall).toEqual(['a', 'k1', false])
    const restarting = guiding.act()
    await vi.advanceTimersByTimeAsync(2_000)
    await restarting
    expect(server.restartDevice).toHaveBeenCalledWith('a', 'k1')
  })

  it('leaves no device in its test: it ends with the guide, also in a display that was left', async () => {
    const guiding = await opened(question('own', { kind: 'OWN_TEST', controller: 'k1' }))
    const acting = guiding.act()
    await vi.advanceTimersByTimeAsync(100)
    useDisplay().view = view('b')
    await nextTick()
    await vi.advanceTimersByTimeAsync(2_000)
    await acting
    expect(server.ownTest.mock.calls).toEqual([
      ['a', 'k1', true],
      ['a', 'k1', false],
    ])
    expect(server.readGuide, 'of a guide that is over nothing is read').not.toHaveBeenCalled()
  })

  it('ends no test that nobody began', async () => {
    const guiding = await opened(question('own', { kind: 'OWN_TEST', controller: 'k1' }))
    server.walkGuide.mockResolvedValueOnce(ended)
    await guiding.answer('skip', 'I cannot')
    guiding.close()
    expect(server.ownTest).not.toHaveBeenCalled()
  })

  it('does nothing where there is nothing to do', async () => {
    const guiding = await opened(ended)
    await guiding.act()
    expect(server.ownTest).not.toHaveBeenCalled()
    expect(server.restartDevice).not.toHaveBeenCalled()
  })

  it('is over where it cannot be walked, or another display is opened', async () => {
    server.walkGuide.mockRejectedValueOnce(new Problem(404, { title: 'No such piece' }))
    const guiding = useGuiding()
    await guiding.open('DARK' as never, 'p')
    expect([guiding.kind, guiding.view]).toEqual([undefined, undefined])
    await opened(question('first', LOOK))
    useDisplay().view = view('b')
    await nextTick()
    expect([guiding.kind, guiding.piece, guiding.view]).toEqual([undefined, undefined, undefined])
  })

  it('shows nothing of an answer that came after it was closed', async () => {
    let walked: (view: GuideView) => void = () => undefined
    server.walkGuide.mockReturnValueOnce(new Promise((done) => (walked = done)))
    const guiding = useGuiding()
    const opening = guiding.open('DARK' as never, 'p')
    guiding.close()
    walked(question('late', { kind: 'LIGHT', pattern: { kind: 'WHITE' } }))
    await opening
    expect(guiding.view).toBeUndefined()
    expect(server.light).not.toHaveBeenCalled()
  })
})

describe('what this window lights', () => {
  it('is asked for with a name of its own, and a part only where a part is meant', async () => {
    const lighting = useLighting()
    Object.assign(lighting, { kind: 'PART', from: 9, to: 4 })
    expect(await lighting.light()).toBe(true)
    expect(server.light.mock.calls[0][0]).toMatchObject({
      display: 'a',
      who: expect.stringMatching(/^Ada, window \w+$/),
      pattern: { kind: 'PART', from: 9, to: 9 },
      seconds: undefined,
    })
    lighting.kind = 'WHITE'
    await lighting.light()
    expect(server.light.mock.calls[1][0].pattern).toMatchObject({ from: undefined, to: undefined })
    lighting.kind = 'SOAK'
    await lighting.light()
    expect(server.light.mock.calls[2][0].seconds).toBe(4 * 60 * 60)
    expect(server.light.mock.calls[2][0].who).toBe(server.light.mock.calls[0][0].who)
  })

  it('is not lit where it is refused, and that is told', async () => {
    server.light.mockRejectedValueOnce(new Problem(409, { title: 'The show is on' }))
    expect(await useLighting().light()).toBe(false)
    expect(useDisplay().problem?.title).toBe('The show is on')
  })

  it('is let go only where this window holds something', async () => {
    const lighting = useLighting()
    await lighting.leave()
    expect(server.leaveLight).not.toHaveBeenCalled()
    server.light.mockResolvedValueOnce({
      display: 'a',
      holders: [{ who: 'Bo, window x' }, { who: lighting.me() }],
    })
    await lighting.light()
    expect(lighting.mine?.who).toBe(lighting.me())
    server.output.mockResolvedValueOnce({ display: 'a', holders: [], ended: 'nobody holds it' })
    await lighting.leave()
    expect(server.leaveLight).toHaveBeenCalledWith(lighting.me())
    expect(lighting.mine).toBeUndefined()
  })

  it('is looked at again and again until that is ended; packets are counted over seconds', async () => {
    let count = 0
    server.trial.mockImplementation(() => Promise.resolve({ packets: ++count }))
    const lighting = useLighting()
    const end = lighting.follow()
    await vi.advanceTimersByTimeAsync(0)
    expect(lighting.look).toEqual({ packets: 1 })
    expect(lighting.before, 'a rate needs two').toBeUndefined()
    await vi.advanceTimersByTimeAsync(10_000)
    expect(count).toBeGreaterThan(30)
    expect(lighting.between).toBeGreaterThan(2.5)
    expect(lighting.between).toBeLessThanOrEqual(3)
    end()
    const before = count
    await vi.advanceTimersByTimeAsync(2_000)
    expect(count).toBe(before)
  })

  it('says why nothing is seen, until something is', async () => {
    server.trial.mockRejectedValueOnce(new Problem(503, { title: 'Away', detail: 'It is away' }))
    server.trial.mockResolvedValue({ packets: 1 })
    const lighting = useLighting()
    const end = lighting.follow()
    await vi.advanceTimersByTimeAsync(0)
    expect(lighting.unseen).toBe('It is away')
    await vi.advanceTimersByTimeAsync(300)
    expect(lighting.unseen).toBe('')
    end()
  })

  it('is forgotten with its display', async () => {
    const lighting = useLighting()
    Object.assign(lighting, { what: [{ key: 'piece p' }], armed: ['k1'], look: { packets: 1 } })
    useDisplay().view = view('b')
    await nextTick()
    expect([lighting.what, lighting.armed, lighting.look]).toEqual([[], [], undefined])
  })
})

describe('sending', () => {
  it('says where packets go', async () => {
    const output = useOutput()
    server.outputGround.mockResolvedValueOnce({ live: false })
    await output.look()
    expect(output.where).toBe('stand-ins')
    expect(output.meant).toContain('nothing leaves it')
    for (const [ground, told] of [
      [{ live: true }, 'LIVE'],
      [{ live: true, adapter: 'eth1' }, 'LIVE by eth1'],
    ] as const) {
      server.outputGround.mockResolvedValueOnce(ground)
      await output.look()
      expect(output.where).toBe(told)
    }
  })

  it('tells every window how it ended, whichever began it', async () => {
    const output = useOutput()
    const display = useDisplay()
    display.output = { display: 'a', holders: [] } as never
    await nextTick()
    expect(output.running).toBe(true)
    display.output = { display: 'a', holders: [], ended: 'its time is over' } as never
    await nextTick()
    expect(display.said).toEqual({ text: 'Light is out: its time is over.', canUndo: false })
  })

  it('is stopped once, however it is refused', async () => {
    server.stopOutput.mockRejectedValueOnce(new Problem(500, { title: 'No' }))
    const output = useOutput()
    const stopping = output.stop()
    expect(output.stopping).toBe(true)
    await stopping
    expect(output.stopping).toBe(false)
  })
})
