import { expect, test } from 'vitest'
import type { ControllerView, PropView } from '../src/api/types'
import { brightnessEdit } from '../src/places/loads/whatIf'

const controllers = ['h1', 'k1', 'k2'].map((id) => ({
  controller: { id },
  host: id === 'h1',
})) as unknown as ControllerView[]
const props = [{ prop: { id: 'a', zone: 'quay' } }, { prop: { id: 'b' } }] as unknown as PropView[]

test('a controller and the display set the default, a zone its props; hosts have none', () => {
  const edit = (kind: 'display' | 'controller' | 'zone', id?: string) =>
    brightnessEdit({ kind, id }, 40, controllers, props)
  expect(edit('display')).toMatchObject({ type: 'SetControllers', controllers: ['k1', 'k2'] })
  expect(edit('controller', 'k2')).toMatchObject({ controllers: ['k2'] })
  expect(edit('zone', 'quay')).toEqual({
    type: 'SetProps',
    props: ['a'],
    set: { brightness: 40 },
  })
  expect(edit('zone', 'nowhere')).toBeUndefined()
})
