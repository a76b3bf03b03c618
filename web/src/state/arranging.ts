import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { Problem } from '../api/asking'
import { api } from '../api/client'
import type { Addition, Aim, ArrangeStep, ArrangeView, Edit } from '../api/types'
import { useDisplay } from './display'
import { usePatching } from './patching'

const ORDER: Aim[] = ['EASIEST', 'SHORTEST', 'FEWEST']

/** How often it is asked how far a proposal is (ms); what is quicker shows no progress. */
const POLL = 500

/**
 * Proposals for three aims, one worked out after the other, and what of the chosen one is taken.
 *
 * @param zone of which everything is arranged; left out: what is taken, or all
 */
export function useArranging(zone: string | undefined) {
  const display = useDisplay()
  const patching = usePatching()
  const found = shallowRef<Partial<Record<Aim, ArrangeView>>>({})
  const chosen = ref<Aim>('EASIEST')
  const spread = ref(false)
  const move = ref(false)
  /** Pieces of the proposal that are not taken. */
  const without = ref(new Set<string>())
  /** Why nothing was worked out; empty where it was. */
  const failed = ref('')
  /** How far the one is that is being worked out, once it takes long. */
  const step = shallowRef<ArrangeStep & { aim: Aim }>()
  let asking: AbortController | undefined
  let running = ''

  const selected = new Set(patching.selected)
  const loose = computed(() => new Set(display.loose.map((one) => one.piece.id)))
  /** What is selected and hangs counts only where it may move. */
  const taken = computed(
    () => new Set([...selected].filter((id) => move.value || loose.value.has(id))),
  )
  const isWanted = (id: string) =>
    zone
      ? display.propOfPiece.get(id)?.prop.zone === zone
      : !taken.value.size || taken.value.has(id)
  /** Those that hang nowhere, and those that hang where they may move. */
  const wanted = computed(() =>
    [...display.propOfPiece.keys()].filter(
      (id) => isWanted(id) && (move.value || loose.value.has(id)),
    ),
  )
  /** Nothing in particular: the server knows best what all is. */
  const all = () => !zone && !taken.value.size

  async function look() {
    stop()
    asking?.abort()
    const mine = (asking = new AbortController())
    found.value = {}
    failed.value = ''
    without.value = new Set()
    if (!wanted.value.length) {
      return
    }
    for (const aim of ORDER) {
      const view = await worked(aim, mine.signal)
      if (asking !== mine) {
        return
      }
      failed.value ||= view ? '' : 'It could not be worked out.'
      found.value = { ...found.value, [aim]: view }
    }
  }

  async function worked(aim: Aim, signal: AbortSignal) {
    const id = display.view!.id
    const name = (running = crypto.randomUUID())
    const timer = window.setInterval(async () => {
      const now = await api.arranging(id, name).catch(() => undefined)
      if (running === name) {
        step.value = now?.phase && { ...now, aim }
      }
    }, POLL)
    const view = await api
      .arrange(
        id,
        {
          aim,
          pieces: all() ? [] : wanted.value,
          spread: spread.value,
          move: move.value,
          running: name,
        },
        signal,
      )
      .catch((error: unknown) => {
        failed.value = error instanceof Problem ? error.message : failed.value
      })
    window.clearInterval(timer)
    if (running === name) {
      running = ''
      step.value = undefined
    }
    return view || undefined
  }

  /** What is being worked out comes as far as it is. */
  function stop() {
    if (running && display.view) {
      void api.stopArranging(display.view.id, running)
    }
  }

  watch([() => display.view?.version, spread, move], () => void look(), { immediate: true })

  const shown = computed(() => found.value[chosen.value])
  const hung = computed(() => shown.value?.proposal.hung ?? [])
  const edit = computed<Edit | undefined>(() => {
    const whole = shown.value?.edit
    return whole?.type === 'HangPieces' ? keeping(whole, without.value) : undefined
  })
  watch(
    edit,
    (now) =>
      void patching.propose(
        now,
        hung.value.map((one) => one.piece).filter((id) => !without.value.has(id)),
      ),
    { immediate: true },
  )
  onScopeDispose(() => {
    stop()
    asking?.abort()
    void patching.propose(undefined, [])
  })

  function choose(aim: Aim) {
    chosen.value = aim
    without.value = new Set()
  }
  function chooseNext(by: number) {
    choose(ORDER[(ORDER.indexOf(chosen.value) + by + ORDER.length) % ORDER.length])
  }
  const isTaken = (pieces: string[]) => pieces.some((piece) => !without.value.has(piece))
  /** Leaves pieces out, or takes them again. */
  function turn(pieces: string[]) {
    const now = new Set(without.value)
    const out = isTaken(pieces)
    pieces.forEach((piece) => (out ? now.add(piece) : now.delete(piece)))
    without.value = now
  }
  /** What hangs on each controller by it, by its tag. */
  const byController = computed(() => {
    const boxes = new Map<string, string[]>()
    for (const one of hung.value) {
      const tag = display.controllerOf(one.port.controller)?.controller.tag ?? one.port.controller
      const there = boxes.get(tag)
      if (there) {
        there.push(one.piece)
      } else {
        boxes.set(tag, [one.piece])
      }
    }
    return [...boxes]
  })

  /** What would make the rest fit, once somebody asked. */
  const additions = shallowRef<Addition[]>()
  const asked = ref(false)
  async function lookForMissing() {
    asked.value = true
    const answer = await display.attempt(() =>
      api.missing(display.view!.id, chosen.value, [
        ...hung.value.filter((one) => !one.from).map((one) => one.piece),
        ...shown.value!.proposal.left.map((one) => one.piece),
      ]),
    )
    additions.value = answer?.additions
    asked.value = false
  }
  watch([shown, chosen], () => (additions.value = undefined))

  return {
    found,
    chosen,
    spread,
    move,
    without,
    failed,
    step,
    wanted,
    shown,
    hung,
    edit,
    byController,
    additions,
    asked,
    stop,
    choose,
    chooseNext,
    isTaken,
    turn,
    lookForMissing,
  }
}

/** An edit that hangs pieces, without some of them. */
export function keeping(
  whole: Extract<Edit, { type: 'HangPieces' }>,
  without: Set<string>,
): Edit | undefined {
  const at = whole.at
    .map((one) => ({ ...one, pieces: one.pieces.filter((id) => !without.has(id)) }))
    .filter((one) => one.pieces.length)
  const boxes =
    whole.boxes &&
    Object.fromEntries(Object.entries(whole.boxes).filter(([id]) => !without.has(id)))
  return at.length ? { ...whole, at, boxes } : undefined
}
