import type { ControllerView, DisplayView } from '../../api/types'
import { counted } from '../../parts/words'

/** What has to be done until a display stands, in its order; each leads to where it is done. */
export interface Step {
  title: string
  /** The place where it is done; findings have none. */
  to?: string
  /** What is opened there. */
  part?: string
  done: boolean
  text: string
}

export interface StepFacts {
  controllers: ControllerView[]
  network: DisplayView['network']
  props: number
  pieces: number
  /** Pieces that hang nowhere. */
  loose: number
  pixels: number
  findings: number
  given: { begun: boolean; open: number; stale: number }
  /** In words, where the show is built on another version than the yard is at. */
  showLags: string
  seen: { begun: boolean; strings: number; right: number; check: keyof typeof CHECKED }
}

const CHECKED = {
  NONE: 'not checked',
  CHANGED: 'changed since checked',
  NOT_CLEAN: 'checked, not clean',
  CLEAN: 'checked',
}

const list = (...parts: (string | false)[]) => parts.filter(Boolean).join(', ')

export function stepsOf(facts: StepFacts): Step[] {
  const driving = facts.controllers.filter((view) => !view.host)
  return [
    network(facts, driving),
    controllers(facts, driving),
    {
      title: 'Props',
      to: 'props',
      done: facts.pieces > 0,
      text: facts.pieces
        ? `${counted(facts.props, 'prop')}, ${counted(facts.pixels, 'pixel')}`
        : 'none yet: type or paste them',
    },
    patch(facts, driving),
    handover(facts, driving),
    trial(facts),
    {
      title: 'Findings',
      done: facts.pieces > 0 && facts.findings === 0,
      text: facts.findings ? `${facts.findings} to look at` : 'nothing is wrong',
    },
  ]
}

function network({ network: { lines, outside } }: StepFacts, driving: ControllerView[]): Step {
  const addressless = driving.filter(
    (view) => !view.controller.settings.address && view.controller.settings.transport === 'UNICAST',
  )
  const clashes = lines.flatMap((line) => line.clashes)
  return {
    title: 'Network',
    to: 'network',
    done: lines.length > 0 && addressless.length + outside.length + clashes.length === 0,
    text: list(
      lines.length ? counted(lines.length, 'subnet') : 'no subnet yet',
      addressless.length > 0 && `${addressless.length} without an address`,
      outside.length > 0 && `${outside.length} in no subnet`,
      clashes.length > 0 && counted(clashes.length, 'clash', 'clashes'),
    ),
  }
}

function controllers(facts: StepFacts, driving: ControllerView[]): Step {
  const hosts = facts.controllers.length - driving.length
  const sourceless = driving.filter((view) => !view.controller.settings.source)
  return {
    title: 'Controllers',
    to: 'controllers',
    done: driving.length > 0 && hosts > 0 && sourceless.length === 0,
    text: list(
      driving.length ? `${driving.length} placed` : 'none yet',
      hosts === 0 && 'no computer that sends',
      sourceless.length > 0 && `${sourceless.length} without a source`,
    ),
  }
}

function patch({ pieces, loose }: StepFacts, driving: ControllerView[]): Step {
  // places can be found for what hangs nowhere
  const arrangeable = loose > 0 && driving.length > 0
  return {
    title: 'Patch',
    to: 'patch',
    part: arrangeable ? 'arrange' : undefined,
    done: pieces > 0 && loose === 0,
    text: list(
      pieces > 0 &&
        `${(pieces - loose).toLocaleString('en')} of ${counted(pieces, 'piece')} hang on a port`,
      arrangeable && `arrange the other ${loose.toLocaleString('en')} …`,
      pieces === 0 && 'nothing to hang yet',
    ),
  }
}

function handover({ given, showLags }: StepFacts, driving: ControllerView[]): Step {
  return {
    title: 'Handover',
    to: 'handover',
    done: given.begun && given.open === 0 && !showLags,
    text: list(
      !given.begun && 'nothing is given yet',
      given.begun && `${driving.length - given.open} of ${driving.length} given`,
      given.stale > 0 && `${given.stale} stale`,
      showLags,
    ),
  }
}

function trial({ seen }: StepFacts): Step {
  return {
    title: 'Trial',
    to: 'trial',
    done: seen.strings > 0 && seen.right === seen.strings && seen.check === 'CLEAN',
    text: list(
      seen.begun
        ? `${seen.right} of ${counted(seen.strings, 'string')} seen right`
        : 'nothing is seen right yet',
      CHECKED[seen.check],
    ),
  }
}
