import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, who } from '../api/client'
import type { Colour, PatternKind, PatternView, TrialLook } from '../api/types'
import { asked, type Target } from './targets'
import { useDisplay } from './display'
import { useOutput } from './output'

/** Each window may light things of its own. */
const WINDOW = 'hamper.window'
function windowName(): string {
  const own = sessionStorage.getItem(WINDOW) ?? Math.random().toString(36).slice(2, 5)
  sessionStorage.setItem(WINDOW, own)
  return own
}

/** Between two looks (ms). */
const LOOK_EVERY = 250
/** Packets are counted over so long (ms): what is at rest is sent every 850. */
const RATE_OVER = 3_000

/** What this window lights, and what is seen of it. */
export const useLighting = defineStore('lighting', () => {
  const display = useDisplay()
  const output = useOutput()
  const patterns = shallowRef<PatternView[]>([])
  /** What is picked; nothing is everything. */
  const what = ref<Target[]>([])
  const kind = ref<PatternKind>('ENDS')
  const colour = ref<Colour>('WHITE')
  const from = ref(1)
  const to = ref(1)
  const percent = ref(30)
  const ceiling = ref(30)
  const armed = ref<string[]>([])
  /** The look of a moment, and one some seconds before with the time between (s). */
  const look = shallowRef<TrialLook>()
  const before = shallowRef<TrialLook>()
  const between = ref(0)
  let looks: { look: TrialLook; at: number }[] = []
  const unseen = ref('')
  let looking = 0

  const me = () => `${who.get() || 'somebody'}, window ${windowName()}`
  /** What this window holds now. */
  const mine = computed(() =>
    output.running && output.now?.display === display.view?.id
      ? output.now?.holders.find((one) => one.who === me())
      : undefined,
  )

  async function light() {
    const answer = await display.attempt(() =>
      api.light({
        display: display.view!.id,
        who: me(),
        only: asked(what.value),
        pattern: {
          kind: kind.value,
          colour: colour.value,
          from: kind.value === 'COUNT' || kind.value === 'PART' ? from.value : undefined,
          to: kind.value === 'PART' ? Math.max(from.value, to.value) : undefined,
        },
        percent: percent.value,
        ceiling: ceiling.value,
        seconds: kind.value === 'SOAK' ? 4 * 60 * 60 : undefined,
        armed: armed.value,
      }),
    )
    if (answer) {
      display.output = answer
    }
    return answer !== undefined
  }

  async function leave() {
    if (mine.value) {
      await display.attempt(() => api.leaveLight(me()))
      display.output = (await display.attempt(api.output)) ?? undefined
    }
  }

  async function lookOnce(id: string) {
    try {
      const seen = await api.trial(id)
      const now = performance.now()
      if (id === display.view?.id) {
        looks = [...looks.filter((one) => now - one.at < RATE_OVER), { look: seen, at: now }]
        before.value = looks.length > 1 ? looks[0].look : undefined
        between.value = (now - looks[0].at) / 1000
        look.value = seen
        unseen.value = ''
      }
    } catch (error) {
      unseen.value = error instanceof Error ? error.message : String(error)
    }
  }

  /** Looks again and again, until it is ended; one look at a time. */
  function follow(): () => void {
    let ended = false
    const again = async () => {
      const id = display.view?.id
      if (id && !document.hidden) {
        await lookOnce(id)
      }
      if (!ended) {
        looking = window.setTimeout(() => void again(), LOOK_EVERY)
      }
    }
    void again()
    return () => {
      ended = true
      window.clearTimeout(looking)
    }
  }

  async function learn() {
    patterns.value = (await display.attempt(api.patterns)) ?? []
  }

  watch(
    () => display.view?.id,
    () => {
      look.value = undefined
      before.value = undefined
      looks = []
      armed.value = []
      what.value = []
    },
  )

  return {
    patterns,
    what,
    kind,
    colour,
    from,
    to,
    percent,
    ceiling,
    armed,
    look,
    before,
    between,
    unseen,
    mine,
    me,
    light,
    leave,
    follow,
    learn,
  }
})
