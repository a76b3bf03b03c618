import type { Aim, ArrangeCost, ArrangeStep, ArrangeView } from '../api/types'
import { counted } from './words'

export const AIMS: { aim: Aim; title: string }[] = [
  { aim: 'EASIEST', title: 'Easiest to hang' },
  { aim: 'SHORTEST', title: 'Shortest cable' },
  { aim: 'FEWEST', title: 'Fewest controllers' },
]

const many = (count: number) => count.toLocaleString('en')

const metres = (cost: ArrangeCost) => `${Math.round(cost.metres).toLocaleString('en')} m`

/** How far a proposal is. */
export function stepTold({ phase, done = 0, of = 0 }: ArrangeStep): string {
  const far = of ? ` ${many(done)} of ${many(of)}` : ''
  switch (phase) {
    case 'HANGING':
      return `looking for places,${far} pieces`
    case 'MOVING':
      return `looking for better ones,${far}`
    case 'CHECKING':
      return `checking what hangs, round ${done + 1}`
    case 'MAKING_ROOM':
      return `making room,${far}`
    default:
      return 'looking …'
  }
}

/** What a proposal costs, in a line. */
export function costTold(view: ArrangeView, wanted: number): string {
  const { cost, left, hung } = view.proposal
  const moves = hung.filter((one) => one.from).length
  return [
    `${many(hung.length - moves)} of ${many(hung.length - moves + left.length || wanted)}`,
    moves ? `${counted(moves, 'piece')} moved` : '',
    counted(cost.controllers, 'controller'),
    counted(cost.outlets, 'port'),
    metres(cost),
  ]
    .filter(Boolean)
    .join(' · ')
}

/** How far the wishes are met, and what no way to hang the same pieces can go below. */
export function wishesTold({ proposal, now }: ArrangeView): string[] {
  const { cost } = proposal
  if (!proposal.hung.length && !now) {
    return []
  }
  const told: string[] = []
  if (cost.another) {
    const bound =
      cost.another === cost.least.another
        ? 'fewer are not possible'
        : `no way takes under ${cost.least.another}`
    told.push(`${counted(cost.another, 'controller')} on which nothing hung; ${bound}`)
  }
  told.push(`${counted(cost.outlets, 'port')}; no way takes under ${cost.least.outlets}`)
  if (cost.metres) {
    told.push(`${metres(cost)} of cable; no way takes under ${Math.round(cost.least.metres)} m`)
  }
  if (cost.boxes) {
    told.push(counted(cost.boxes, 'more remote box', 'more remote boxes'))
  }
  if (cost.fullest) {
    const { written, amps, fuseAmps } = cost.fullest
    told.push(`fullest fuse ${written}: ${amps.toFixed(1)} of ${fuseAmps} A`)
  }
  told.push(...wishesMissed(cost))
  if (now) {
    told.push(
      `all of it as it hangs now: ${[counted(now.controllers, 'controller'), metres(now), ...wishesMissed(now)].join(', ')}`,
    )
  }
  return told
}

function wishesMissed(cost: ArrangeCost): string[] {
  return [
    cost.splitProps ? `${counted(cost.splitProps, 'prop')} over two controllers` : '',
    cost.outOfOrder ? `${counted(cost.outOfOrder, 'string')} of a prop not on the next port` : '',
    cost.twinsApart
      ? `${counted(cost.twinsApart, 'pair')} of twins on ports that do not match`
      : '',
    cost.zonesOver ? `zones on ${counted(cost.zonesOver, 'more controller')} than one each` : '',
  ].filter(Boolean)
}
