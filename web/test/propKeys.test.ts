import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { pressed } from './pressed'
import { usePropKeys } from '../src/places/props/propKeys'

const act = { show: vi.fn(), open: vi.fn(), remove: vi.fn(), enter: vi.fn() }
const ids = ref(['a', 'b', 'c', 'd'])
beforeEach(() => {
  Object.values(act).forEach((one) => one.mockReset())
  ids.value = ['a', 'b', 'c', 'd']
})

const on = (prop: string) => ({ target: { dataset: { prop }, closest: () => null } })
function listed() {
  const keys = usePropKeys(ids, act)
  const press = (row: string, key: string, more: object = {}) => {
    const one = pressed(key, { ...more, ...on(row) })
    keys.onKey(one.event)
    return one.taken()
  }
  return { ...keys, press }
}

describe('a list of props by keys', () => {
  it('is walked up and down, and stays at its ends', () => {
    const { press, at, selected } = listed()
    press('b', 'ArrowDown')
    expect([at.value, selected.value]).toEqual(['c', ['c']])
    expect(act.show).toHaveBeenLastCalledWith('c')
    press('c', 'ArrowUp')
    press('b', 'ArrowUp')
    expect(press('a', 'ArrowUp'), 'nothing scrolls meanwhile').toBe(true)
    expect(at.value).toBe('a')
    press('a', 'End')
    press('d', 'ArrowDown')
    expect(at.value).toBe('d')
    press('d', 'Home')
    expect(selected.value).toEqual(['a'])
  })
  it('takes more with Shift, each once', () => {
    const { press, selected } = listed()
    press('a', 'ArrowDown')
    press('b', 'ArrowDown', { shiftKey: true })
    press('c', 'ArrowUp', { shiftKey: true })
    expect(selected.value).toEqual(['b', 'c'])
  })
  it('takes one, lets one go, takes all, lets all go', () => {
    const { press, selected } = listed()
    press('b', ' ')
    press('d', ' ')
    expect(selected.value).toEqual(['b', 'd'])
    press('b', ' ')
    expect(selected.value).toEqual(['d'])
    press('b', 'a', { ctrlKey: true })
    expect(selected.value).toEqual(['a', 'b', 'c', 'd'])
    press('b', 'Escape')
    expect(selected.value).toEqual([])
  })
  it('is taken from where the keyboard stands to where somebody clicks, either way', () => {
    const { press, selectTo, selected, toggle } = listed()
    press('b', 'ArrowDown')
    selectTo('d')
    expect(selected.value).toEqual(['c', 'd'])
    selectTo('a')
    expect(selected.value).toEqual(['a', 'b', 'c'])
    toggle('d')
    selectTo('c')
    expect(selected.value).toEqual(['c', 'd'])
  })
  it('opens what the keyboard stands on, and removes what is taken', () => {
    const { press } = listed()
    press('c', 'Enter')
    expect(act.open).toHaveBeenCalledWith('c')
    press('c', 'Delete')
    expect(act.remove).toHaveBeenCalledTimes(1)
  })
  it('leaves alone what it does not know, and what is on no row', () => {
    const { press } = listed()
    expect(press('a', 'F5')).toBe(false)
    expect(press('', 'ArrowDown')).toBe(false)
    expect(act.show).not.toHaveBeenCalled()
  })
  it('goes to the line of entry from anywhere', () => {
    const { onPlaceKey } = listed()
    const other = pressed('x')
    onPlaceKey(other.event)
    const enter = pressed('n')
    onPlaceKey(enter.event)
    expect([other.taken(), enter.taken()]).toEqual([false, true])
    expect(act.enter).toHaveBeenCalledTimes(1)
  })
})
