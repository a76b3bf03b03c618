import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { pressed } from './pressed'
import { useControllerKeys } from '../src/places/controllers/controllerKeys'
import { dropPlace, placeAt } from '../src/places/controllers/listPlaces'

const act = { show: vi.fn(), open: vi.fn(), move: vi.fn(), remove: vi.fn(), leave: vi.fn() }
const ids = ref(['a', 'b', 'c', 'd'])
beforeEach(() => Object.values(act).forEach((one) => one.mockReset()))
vi.stubGlobal('window', { getSelection: () => null })

function listed() {
  const keys = useControllerKeys(ids, act)
  const press = (id: string, key: string, more: object = {}, row = id) => {
    const target = { target: { dataset: { row }, closest: () => null } }
    const one = pressed(key, { ...more, ...target })
    keys.onKey(one.event, id)
    return one.taken()
  }
  const click = (id: string, more: object) => keys.choose(more as MouseEvent, id)
  return { ...keys, press, click }
}

describe('a list of controllers by keys', () => {
  it('is walked to its ends, and takes nothing by that', () => {
    const { press, at, chosen } = listed()
    press('b', 'ArrowDown')
    expect(at.value).toBe('c')
    expect(act.show).toHaveBeenLastCalledWith('c')
    press('c', 'Home')
    expect(at.value).toBe('a')
    expect(press('a', 'ArrowUp'), 'nothing scrolls meanwhile').toBe(true)
    expect(at.value).toBe('a')
    press('a', 'End')
    expect([at.value, chosen.value]).toEqual(['d', []])
  })
  it('takes with Shift both where it was and where it goes, each once', () => {
    const { press, chosen } = listed()
    press('a', 'ArrowDown', { shiftKey: true })
    press('b', 'ArrowDown', { shiftKey: true })
    press('c', 'ArrowUp', { shiftKey: true })
    expect(chosen.value).toEqual(['a', 'b', 'c'])
  })
  it('takes one, all, and lets all go, with what was tried', () => {
    const { press, chosen } = listed()
    press('b', ' ')
    press('d', ' ')
    press('b', ' ')
    expect(chosen.value).toEqual(['d'])
    press('b', 'a', { ctrlKey: true })
    expect(chosen.value).toEqual(['a', 'b', 'c', 'd'])
    press('b', 'Escape')
    expect(chosen.value).toEqual([])
    expect(act.leave).toHaveBeenCalledOnce()
  })
  it('moves, opens and removes the one that the keyboard is on', () => {
    const { press } = listed()
    press('b', 'ArrowUp', { altKey: true })
    press('b', 'ArrowDown', { altKey: true })
    expect(act.move.mock.calls).toEqual([
      ['b', -1],
      ['b', 1],
    ])
    press('b', 'Enter')
    press('c', 'Delete')
    expect(act.open).toHaveBeenCalledWith('b')
    expect(act.remove).toHaveBeenCalledWith('c')
  })
  it('leaves keys alone that are pressed within a row, and those that mean nothing', () => {
    const { press } = listed()
    expect(press('b', 'Delete', {}, 'another')).toBe(false)
    expect(press('b', 'q')).toBe(false)
    expect(act.remove).not.toHaveBeenCalled()
  })
  it('is taken by clicks: Ctrl one more, Shift all up to it', () => {
    const { click, chosen } = listed()
    click('b', {})
    expect(chosen.value).toEqual([])
    click('b', { ctrlKey: true })
    click('d', { shiftKey: true })
    expect(chosen.value).toEqual(['b', 'c', 'd'])
    click('c', { metaKey: true })
    expect(chosen.value).toEqual(['b', 'd'])
  })
})

it('is dragged to the place whose middle the pointer has passed', () => {
  const rows = [0, 100, 200, 300].map((top) => ({ top, height: 100 }))
  expect(placeAt(rows, 120, 0), 'down, over a row’s upper half').toBe(0)
  expect(placeAt(rows, 160, 0)).toBe(1)
  expect(placeAt(rows, 240, 3), 'up').toBe(2)
  expect(placeAt(rows, 9_999, 1)).toBe(3)
  expect(placeAt(rows, -50, 2)).toBe(0)
  expect([dropPlace(1, 3), dropPlace(3, 1)]).toEqual([4, 1])
})
