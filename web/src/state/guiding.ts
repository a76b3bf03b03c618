import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { api } from '../api/client'
import type { GuideAnswer, GuideHead, GuideKind, GuideQuestion, GuideView } from '../api/types'
import { useDisplay } from './display'
import { useLighting } from './lighting'
import { useOutput } from './output'
import { ofPiece } from './targets'

const wait = (millis: number) => new Promise((done) => window.setTimeout(done, millis))

/** What was sent is seen within so long: white rises supply by supply (ms). */
const SETTLES = 1_500
/** Silence until every device knows that its source is lost (ms). */
const SILENT = 3_000

/** A guide that is walked: the answers are kept here, what they mean is worked out in core. */
export const useGuiding = defineStore('guiding', () => {
  const display = useDisplay()
  const lighting = useLighting()
  const output = useOutput()
  const guides = shallowRef<GuideHead[]>([])
  const kind = ref<GuideKind>()
  const piece = ref<string>()
  const answers = ref<{ given: GuideAnswer; ask: string; words: string }[]>([])
  const view = shallowRef<GuideView>()
  /** What a stand-in says to the question that is asked. */
  const read = ref<string>()
  const doing = ref(false)
  let turn = 0
  /** The controller that runs the test of its own, since somebody said so here. */
  let testing: { display: string; controller: string } | undefined

  const title = computed(() => piece.value && display.pieces.get(piece.value)?.title)

  async function learn() {
    guides.value = (await display.attempt(() => api.guides(display.view!.id))) ?? []
  }

  async function open(which: GuideKind, about: string) {
    kind.value = which
    piece.value = about
    answers.value = []
    const target = display.pieces.get(about)
    if (target) {
      lighting.what = [ofPiece(target)]
    }
    await walk()
  }

  function close() {
    turn++
    void endTest()
    kind.value = undefined
    piece.value = undefined
    view.value = undefined
    answers.value = []
    doing.value = false
  }

  async function walk() {
    const mine = ++turn
    read.value = undefined
    await endTest()
    const next = await display.attempt(() =>
      api.walkGuide(
        display.view!.id,
        kind.value!,
        piece.value!,
        answers.value.map((one) => one.given),
      ),
    )
    if (mine !== turn) {
      return
    }
    if (!next) {
      close()
      return
    }
    view.value = next
    if (next.next) {
      doing.value = true
      await prepare(next.next)
      if (mine === turn) {
        doing.value = false
        await look(next.next, mine)
      }
    }
  }

  /** Does what a question wants, before anybody looks. */
  async function prepare(question: GuideQuestion) {
    const { kind: what, pattern } = question.doing
    if (pattern) {
      lighting.kind = pattern.kind
      lighting.colour = pattern.colour
      lighting.from = pattern.from
      lighting.to = pattern.to
      await lighting.light()
      await wait(SETTLES)
    } else if (what === 'SILENCE') {
      // what is seen then is what was lit before
      lighting.kind = 'WHITE'
      await lighting.light()
      await wait(SETTLES)
      await display.attempt(api.silence)
      await wait(SILENT)
    }
  }

  async function look(question: GuideQuestion, mine: number) {
    if (output.ground?.live || ['OWN_TEST', 'RESTART'].includes(question.doing.kind)) {
      return // somebody has to say so first
    }
    await readNow(question, mine)
  }
  async function readNow(question: GuideQuestion, mine = turn) {
    const id = display.view!.id
    try {
      const said = await api.readGuide(id, kind.value!, question.id, piece.value!)
      if (mine === turn) {
        read.value = said.answer
      }
    } catch {
      // whoever stands there answers
    }
  }

  /** What changes a device is done only when somebody says so; its test ends with the answer. */
  async function act() {
    const question = view.value?.next
    const controller = question?.doing.controller
    if (!question || !controller) {
      return
    }
    const mine = turn
    doing.value = true
    if (question.doing.kind === 'OWN_TEST') {
      await startTest(controller)
    } else {
      await display.attempt(() => api.restartDevice(display.view!.id, controller))
    }
    await wait(SETTLES)
    if (mine === turn) {
      await readNow(question)
      doing.value = false
    }
  }

  async function startTest(controller: string) {
    const one = (testing = { display: display.view!.id, controller })
    await display.attempt(() => api.ownTest(one.display, one.controller, true))
  }
  /** Nobody leaves a device in its test: it ends with the answer, or with the guide. */
  async function endTest() {
    const one = testing
    testing = undefined
    if (one) {
      await display.attempt(() => api.ownTest(one.display, one.controller, false))
    }
  }

  async function answer(key: string, words: string) {
    const question = view.value!.next!
    answers.value = [
      ...answers.value,
      { given: { question: question.id, answer: key }, ask: question.ask, words },
    ]
    await walk()
  }

  /** Takes answers back, from one on. */
  async function back(to: number) {
    answers.value = answers.value.slice(0, to)
    await walk()
  }

  watch(() => display.view?.id, close)

  return {
    guides,
    kind,
    piece,
    title,
    answers,
    view,
    read,
    doing,
    learn,
    open,
    close,
    act,
    answer,
    back,
  }
})
