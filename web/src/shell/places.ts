import {
  mdiCubeOutline,
  mdiExpansionCardVariant,
  mdiGauge,
  mdiLan,
  mdiLightbulbOnOutline,
  mdiPrinterOutline,
  mdiSendVariantOutline,
  mdiTransitConnectionHorizontal,
  mdiViewDashboardOutline,
  mdiViewSequentialOutline,
} from '@mdi/js'

/** The places, in the order of the work; `opens` names what of a place an address can open. */
export const places = [
  { name: 'overview', title: 'Overview', icon: mdiViewDashboardOutline, opens: 'part' },
  { name: 'network', title: 'Network', icon: mdiLan, opens: 'part' },
  {
    name: 'controllers',
    title: 'Controllers',
    icon: mdiExpansionCardVariant,
    opens: 'controller',
  },
  { name: 'props', title: 'Props', icon: mdiCubeOutline, opens: 'prop' },
  { name: 'patch', title: 'Patch', icon: mdiTransitConnectionHorizontal, opens: 'piece' },
  { name: 'addresses', title: 'Addresses', icon: mdiViewSequentialOutline, opens: 'row' },
  { name: 'loads', title: 'Loads', icon: mdiGauge, opens: 'run' },
  { name: 'handover', title: 'Handover', icon: mdiSendVariantOutline, opens: 'controller' },
  { name: 'paper', title: 'Paper', icon: mdiPrinterOutline, opens: 'sheet' },
  { name: 'trial', title: 'Trial', icon: mdiLightbulbOnOutline, opens: 'part' },
] as const

export type PlaceName = (typeof places)[number]['name']
