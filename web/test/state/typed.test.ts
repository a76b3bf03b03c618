import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createApp, nextTick, ref, shallowRef, type App } from 'vue'

const page = { activeElement: undefined as unknown, createElement: () => ({}) }
vi.stubGlobal('document', page)
vi.stubGlobal('window', {
  setTimeout: (does: () => void, after: number) => setTimeout(does, after),
  clearTimeout: (timer: number) => clearTimeout(timer),
})

const { ANSWERS, FORECAST, REFUSALS, TELL } = await import('../../src/parts/refusals')
const { useTyped } = await import('../../src/parts/useTyped')

const field = () => ({
  setCustomValidity: vi.fn(),
  reportValidity: vi.fn(),
  blur: vi.fn(),
})
/** A field for a whole number up to 100, in an application that answers, refuses and tells. */
function typing(local = false) {
  const is = ref('30')
  const refused = ref<unknown>()
  const version = ref(1)
  const told: string[] = []
  const foreseen: ((() => void) | undefined)[] = []
  const asked: string[] = []
  const element = field()
  const app: App = createApp({ render: () => null })
  app.provide(REFUSALS, refused)
  app.provide(ANSWERS, version)
  app.provide(TELL, (text) => told.push(text))
  app.provide(FORECAST, (ask) => foreseen.push(ask))
  const typed = app.runWithContext(() =>
    useTyped(shallowRef(element as unknown as HTMLInputElement), {
      shown: () => is.value,
      label: () => 'Brightness',
      complaint: (text) => (/^\d+$/.test(text) && Number(text) <= 100 ? '' : 'a number up to 100'),
      ask: (text) => asked.push(text),
      local,
    }),
  )
  const type = (text: string) => {
    page.activeElement = element
    typed.onInput(text)
  }
  return { ...typed, type, is, refused, version, told, foreseen, asked, element }
}

beforeEach(() => {
  vi.useFakeTimers()
  page.activeElement = undefined
})

describe('a field that somebody types in', () => {
  it('asks for what was typed by Enter and by leaving, once', () => {
    const one = typing()
    expect(one.text.value).toBe('30')
    one.type(' 45 ')
    one.enter()
    one.leave()
    expect(one.asked).toEqual(['45'])
  })
  it('asks for nothing where nothing is other than it is', () => {
    const one = typing()
    one.type('30')
    one.enter()
    one.leave()
    expect(one.asked).toEqual([])
  })
  it('keeps the keyboard on Enter where it cannot be, and says why', () => {
    const one = typing()
    one.type('130')
    one.enter()
    expect(one.element.setCustomValidity).toHaveBeenLastCalledWith('a number up to 100')
    expect(one.element.reportValidity).toHaveBeenCalledTimes(1)
    expect(one.text.value).toBe('130')
    one.type('13')
    expect(one.element.setCustomValidity).toHaveBeenLastCalledWith('')
  })
  it('holds nobody who leaves: it shows what is, and that is told', () => {
    const one = typing()
    one.type('130')
    one.leave()
    expect(one.text.value).toBe('30')
    expect(one.told).toEqual(['Brightness: a number up to 100'])
    expect(one.asked).toEqual([])
  })
  it('gives back what is on Escape, and lets the keyboard go', () => {
    const one = typing()
    one.type('45')
    one.cancel()
    expect(one.text.value).toBe('30')
    expect(one.element.blur).toHaveBeenCalledTimes(1)
  })
  it('shows what is once it was refused, or answered, also where the answer changed nothing', async () => {
    const one = typing()
    one.type('45')
    one.enter()
    one.refused.value = new Error('no')
    await nextTick()
    expect(one.text.value).toBe('30')
    one.type('46')
    one.enter()
    one.version.value++
    await nextTick()
    expect(one.text.value).toBe('30')
    one.type('47')
    one.version.value++
    await nextTick()
    expect(one.text.value, 'what nobody asked for yet is nobody’s to take').toBe('47')
  })
  it('takes nothing out of anybody’s hands when another changes it, but tells it', async () => {
    const one = typing()
    one.is.value = '60'
    await nextTick()
    expect(one.text.value, 'nobody types').toBe('60')
    one.type('45')
    one.is.value = '70'
    await nextTick()
    expect(one.text.value).toBe('45')
    expect(one.told).toEqual(['Brightness is 70 now: Enter sets what you typed, Escape takes 70'])
    one.enter()
    expect(one.asked).toEqual(['45'])
  })
})

describe('what a typed value would do', () => {
  it('is told after a pause, of the last that was typed, and ends with the field', () => {
    const one = typing()
    one.type('4')
    vi.advanceTimersByTime(200)
    one.type('45')
    vi.advanceTimersByTime(200)
    expect(one.foreseen.filter(Boolean)).toEqual([])
    vi.advanceTimersByTime(100)
    expect(one.foreseen.filter(Boolean)).toHaveLength(1)
    one.foreseen.find(Boolean)!()
    expect(one.asked).toEqual(['45'])
    one.cancel()
    expect(one.foreseen.at(-1)).toBeUndefined()
  })
  it('is not told of what is, of what cannot be, and of what is no edit of the plan', () => {
    const [plan, local] = [typing(), typing(true)]
    for (const text of ['30', '130', '']) {
      plan.type(text)
      vi.advanceTimersByTime(300)
    }
    local.type('45')
    vi.advanceTimersByTime(300)
    expect([...plan.foreseen, ...local.foreseen].filter(Boolean)).toEqual([])
  })
})
