import type { RouteLocationRaw } from 'vue-router'
import type { Edit, Subject } from '../api/types'
import type { Target } from '../state/targets'

/** One thing that the finder offers. */
export interface Found {
  key: string
  title: string
  detail: string
  subject?: Subject
  /** A place that choosing it opens. */
  to?: RouteLocationRaw
  /** What choosing it does, and the piece to look at then. */
  act?: { edit: Edit; piece?: string }
  /** What choosing it lights, in Trial. */
  lights?: Target
  /** What choosing it puts in the field. */
  fills?: string
}
