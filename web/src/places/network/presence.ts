import type { Edit, Present } from '../../api/types'

/** States of who is there, in words and with the mark that stands before them. */
export const PRESENCE: Record<
  Present['state'],
  { mark: string; title: string; counted: string; wrong: boolean }
> = {
  MISSING: { mark: '▲', title: 'missing', counted: 'missing', wrong: true },
  OTHER_MODEL: { mark: '▲', title: 'another model', counted: 'of another model', wrong: true },
  OTHER_ADDRESS: {
    mark: '▲',
    title: 'another address',
    counted: 'at another address',
    wrong: true,
  },
  UNKNOWN: { mark: '+', title: 'nobody planned it', counted: 'not planned', wrong: true },
  OTHER_NAME: { mark: '≠', title: 'another name', counted: 'by another name', wrong: true },
  CANNOT_BE_ASKED: {
    mark: '·',
    title: 'cannot be asked',
    counted: 'cannot be asked',
    wrong: false,
  },
  AS_PLANNED: { mark: '✓', title: 'as planned', counted: 'as planned', wrong: false },
}

export const WAYS: Record<Present['ways'][number], string> = {
  GIVING: 'its door',
  ARTNET: 'ArtPoll',
  DDP: 'DDP status',
  E131: 'universe discovery',
}

/** How many are in which state, the gravest first, in words. */
export function summary(present: Present[]): string {
  const states = Object.keys(PRESENCE) as Present['state'][]
  return states
    .map((state) => ({ state, count: present.filter((one) => one.state === state).length }))
    .filter(({ count }) => count > 0)
    .map(({ state, count }) => `${count} ${PRESENCE[state].counted}`)
    .join(', ')
}

/** Takes one that nobody planned into the plan as what it is, where it is, as it is called. */
export function takingIn(one: Present, model: string, id: string, title: string): Edit {
  const address = one.at!
  const edits: Edit[] = [
    { type: 'AddControllers', model, controllers: [id] },
    { type: 'SetControllers', controllers: [id], set: { settings: { address } } },
  ]
  if (one.ownName) {
    edits.push({ type: 'SetControllers', controllers: [id], set: { name: one.ownName } })
  }
  return { type: 'Together', title: `Take ${title} at ${address} into the plan`, edits }
}

/** Plans a device where it was found. */
export function movingThere(one: Present): Edit {
  return {
    type: 'SetControllers',
    controllers: [one.controller!],
    set: { settings: { address: one.at! } },
  }
}
