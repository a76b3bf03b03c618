import { plan } from './plan'
import { handing } from './handing'
import { lighting } from './lighting'
import { network } from './network'
import { site } from './site'

export { MOST_FILE_BYTES, Problem, who } from './asking'

/** All that is asked of the server, typed by its contract. */
export const api = { ...plan, ...handing, ...lighting, ...network, ...site }
