import { type FunctionalComponent, h } from 'vue'

/**
 * An icon as a path, as large as it is told: rows of a long list are made while one scrolls, and
 * the icon of the component library costs as much as the rest of a row.
 */
const DrawnIcon: FunctionalComponent<{ path: string; size?: number }> = ({ path, size = 24 }) =>
  h(
    'svg',
    { class: 'drawn', viewBox: '0 0 24 24', width: size, height: size, 'aria-hidden': true },
    [h('path', { d: path, fill: 'currentColor' })],
  )
DrawnIcon.props = { path: { type: String, required: true }, size: Number }

export default DrawnIcon
