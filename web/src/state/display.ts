import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { api, Problem } from '../api/client'
import { follow, type News } from '../api/follow'
import { choicesOf } from './choices'
import { indexesOf } from './indexes'
import { said as asSaid } from '../api/said'
import { after } from './step'
import type {
  ControllerChange,
  ControllerSettings,
  Delta,
  DisplayView,
  Edit,
  Finding,
  Header,
  Moving,
  Listed,
  OutputState,
  Taken,
} from '../api/types'

export { portKey, wrongKey } from './indexes'

/** A line that says what an edit did. */
export interface Said {
  text: string
  canUndo: boolean
}

const asText = (what: unknown) => JSON.stringify(what)

export const useDisplay = defineStore('display', () => {
  const list = ref<Listed[]>([])
  const view = shallowRef<DisplayView>()
  const indexes = indexesOf(view)
  const said = ref<Said>()
  /** How sending goes, as last heard. */
  const output = shallowRef<OutputState>()
  /** An edit that moves starts though they keep still: somebody has to say so. */
  const startsMove = shallowRef<{ edit: Edit; told: string; moving: Moving[] }>()
  /** Goes up whenever more is known beside the plan. */
  const besides = ref(0)
  /** How often it was told that the crew door was opened or closed. */
  const doorTold = ref(0)
  const problem = shallowRef<Problem>()
  const busy = ref(0)
  /** Whether it is known which displays there are. */
  const started = ref(false)
  /** The newest version of each display that was heard of, also while it is being read. */
  const heard = new Map<string, number>()
  /** Edits go one after another, so that each is made on the version before it. */
  let queue: Promise<unknown> = Promise.resolve()

  /** Runs something that may fail; a failure is shown, and the answer is undefined. */
  async function attempt<T>(work: () => Promise<T>): Promise<T | undefined> {
    busy.value++
    try {
      return await work()
    } catch (error) {
      problem.value =
        error instanceof Problem ? error : new Problem(0, { title: 'Error', detail: String(error) })
      return undefined
    } finally {
      busy.value--
    }
  }

  async function loadList() {
    list.value = (await attempt(api.displays)) ?? list.value
  }

  /** Opens a display; what was begun on another is ended first, and its line goes. */
  async function open(id: string) {
    await queue
    if (await refresh(id)) {
      said.value = undefined
      localStorage.setItem('hamper.display', id)
    }
  }

  /** Looks at the whole display anew. */
  async function refresh(id: string): Promise<boolean> {
    let whole = await attempt(() => api.display(id))
    // a step that came while it was on its way may be missing
    while (whole && whole.version < (heard.get(id) ?? 0)) {
      heard.delete(id)
      whole = await attempt(() => api.display(id))
    }
    view.value = whole ?? view.value
    return whole !== undefined
  }

  /** Opens the display that is wanted, or that was open last, or the first there is. */
  async function start(wanted?: string) {
    follow(hear)
    await loadList()
    started.value = true
    const last = localStorage.getItem('hamper.display')
    const known = (id?: string | null) => list.value.find((one) => one.id === id)
    if (wanted && !known(wanted)) {
      problem.value = new Problem(404, {
        title: 'No such display',
        detail: 'The display that this address names is not here any more.',
      })
    }
    const first = known(wanted) ?? known(last) ?? list.value[0]
    if (first) {
      await open(first.id)
    }
  }

  function hear(news: News) {
    const now = view.value
    if (news.type === 'hello') {
      doorTold.value++
    }
    if (news.type === 'delta') {
      heard.set(news.display, news.version)
      told.push(news)
      if (!acting) {
        takeTold()
      }
    } else if (news.type === 'output') {
      output.value = news.output
    } else if (news.type === 'handover') {
      besides.value += news.display === now?.id ? 1 : 0
    } else if (news.type === 'door') {
      doorTold.value++
    } else if (now && (news.type === 'lost' || news.versions[now.id] !== now.version)) {
      // after a break the stream has a gap: look at everything again
      void refresh(now.id)
    }
  }

  /** Whether an edit of this window is on its way: its answer is told of too, and is read once. */
  let acting = false
  let told: (News & { type: 'delta' })[] = []
  /** Takes the steps that were told of, up to a version, but for what this window has already. */
  function takeTold(to = Infinity) {
    const some = told.filter((news) => news.version <= to)
    told = told.filter((news) => news.version > to)
    for (const { display, version, text } of some) {
      if (display === view.value?.id && version > view.value.version) {
        take(JSON.parse(text).delta as Delta)
      }
    }
  }

  function take(delta: Delta) {
    const now = view.value
    if (!now || delta.version <= now.version) {
      return
    }
    if (delta.fromVersion !== now.version) {
      void refresh(now.id)
      return
    }
    view.value = after(now, delta, indexes.controllerOf)
  }

  /** "Remove K4, 40 pieces back to the tray — 3 legs moved". */
  function inWords(delta: Delta): string {
    return delta.moved ? `${delta.label} — ${delta.moved}` : delta.label
  }

  /**
   * @param undone whether it takes back what its label says: then nothing is offered to be undone
   */
  function act(work: (id: string, version: number) => Promise<Delta | undefined>, undone = false) {
    const meant = view.value!.id
    const next = queue.then(() =>
      attempt(async () => {
        const now = view.value!
        if (now.id !== meant) {
          // another display was opened meanwhile: nothing of this one is done to it
          return undefined
        }
        acting = true
        try {
          const delta = await work(now.id, now.version)
          if (delta) {
            takeTold(delta.fromVersion)
            take(delta)
            said.value = { text: (undone ? 'Undone: ' : '') + inWords(delta), canUndo: !undone }
          }
          return delta
        } catch (error) {
          // the display has moved on, or it is not known whether it has
          if (error instanceof Problem && [409, 503].includes(error.status)) {
            await refresh(now.id)
          }
          throw error
        } finally {
          acting = false
          takeTold()
        }
      }),
    )
    queue = next
    return next
  }

  /** Where edits go that are only looked at. */
  let caught: Edit[] | undefined
  /** The edit that an act would make, without making it; undefined where it would make none, or several. */
  function foreseen(of: () => void): Edit | undefined {
    const made = (caught = [] as Edit[])
    try {
      of()
    } finally {
      caught = undefined
    }
    return made.length === 1 ? made[0] : undefined
  }
  /** Makes an edit, or one that is made of the display as it is when its turn has come. */
  function edit(change: Edit | (() => Edit | undefined)) {
    if (caught) {
      const looked = typeof change === 'function' ? change() : change
      caught.push(...(looked ? [looked] : []))
      return Promise.resolve(undefined)
    }
    return act(async (id, version) => {
      const made = typeof change === 'function' ? change() : change
      try {
        return made && (await api.edit(id, version, made))
      } catch (error) {
        if (made && error instanceof Problem && error.moving) {
          startsMove.value = { edit: made, told: error.message, moving: error.moving }
          return undefined
        }
        throw error
      }
    })
  }
  /** Makes the edit that was asked about, though starts move by it. */
  function moveStarts() {
    const asked = startsMove.value!
    startsMove.value = undefined
    return act((id, version) => api.edit(id, version, asked.edit, true))
  }
  /** Makes an edit whose very purpose is to move starts: nobody is asked again. */
  const editMoving = (change: Edit) => act((id, version) => api.edit(id, version, change, true))
  /** Takes the good rows of a planner's own spreadsheet in. */
  const takeSheet = (sheet: Blob, starts: 'FLOW' | 'HOLD', means?: string) =>
    act((id, version) => api.takeSheet(id, version, sheet, starts, means))
  const undo = () => act(api.undo, true)
  const redo = () => act(api.redo)

  /** Makes a display and opens it. */
  async function begin(make: () => Promise<Listed>, how = 'was added') {
    const added = await attempt(make)
    if (added) {
      await loadList()
      await open(added.id)
      said.value = { text: `${added.name} ${how}`, canUndo: false }
    }
  }
  const create = (name: string, copyOf?: string, nextYear?: boolean) =>
    begin(() => api.create(name, copyOf, nextYear))
  /** Takes the open display out of the list, and opens another, if there is one. */
  async function remove() {
    const gone = view.value!
    await queue
    if (await attempt(async () => (await api.removeDisplay(gone.id), true))) {
      view.value = undefined
      await loadList()
      const next = list.value[0]
      if (next) {
        await open(next.id)
      }
      said.value = { text: `${gone.name} was removed; its menu brings it back`, canUndo: false }
    }
  }
  const bringBack = (id: string) => begin(() => api.bringBack(id), 'is back')
  const addDemo = () => begin(api.demo)
  const importFile = (file: File) => begin(() => api.importFile(file))

  const addRows = (rows: Blob, header: Header) =>
    act((id, version) => api.addRows(id, version, rows, header))
  /** Goes back to a milestone, as one step. */
  const restore = (milestone: string) => act((id, version) => api.restore(id, version, milestone))
  /** Takes parts of what a device has, as it was looked at with a version. */
  const takeOver = (controller: string, lookedAt: number, keys: string[]) =>
    act((id) => api.takeOver(id, controller, lookedAt, keys))
  const addToCatalogue = (file: File) => act((id, version) => api.addToCatalogue(id, version, file))

  /** Changes of a controller. */
  const setController = (id: string, set: ControllerChange) =>
    edit({ type: 'SetControllers', controllers: [id], set })
  /** Changes of what is set for a controller. */
  const set = (id: string, settings: Partial<ControllerSettings>) =>
    setController(id, { settings: asSaid(settings) })

  /** What is wrong, as it was asked for anew; of another version it counts for nothing. */
  function takeFindings(version: number, findings: Finding[], accepted: Taken[]) {
    const now = view.value
    // where nothing is other than it was, nothing is drawn anew
    if (
      now?.version === version &&
      asText([now.findings, now.accepted]) !== asText([findings, accepted])
    ) {
      view.value = { ...now, findings, accepted }
    }
  }

  return {
    ...indexes,
    ...choicesOf(view),
    startsMove,
    moveStarts,
    besides,
    doorTold,
    takeFindings,
    output,
    list,
    view,
    said,
    problem,
    busy,
    started,
    attempt,
    loadList,
    open,
    start,
    edit,
    foreseen,
    editMoving,
    takeSheet,
    undo,
    redo,
    importFile,
    create,
    remove,
    bringBack,
    addDemo,
    addRows,
    addToCatalogue,
    restore,
    takeOver,
    set,
    setController,
  }
})
