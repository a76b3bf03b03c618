import { expect, test } from 'vitest'
import { combination, type KeyGroup, KEYS, keyOf, page } from '../src/parts/keys'

const press = (
  key: string,
  held: Partial<Record<'ctrlKey' | 'shiftKey' | 'altKey' | 'metaKey', true>> = {},
) => ({
  key,
  ctrlKey: false,
  metaKey: false,
  altKey: false,
  shiftKey: false,
  ...held,
})

test('a combination is written in one way', () => {
  expect(combination(press('z', { ctrlKey: true }))).toBe('Ctrl+Z')
  expect(combination(press('Z', { metaKey: true, shiftKey: true }))).toBe('Ctrl+Shift+Z')
  expect(combination(press('?', { shiftKey: true }))).toBe('?')
  expect(combination(press(' '))).toBe('Space')
  expect(combination(press('ArrowUp', { altKey: true }))).toBe('Alt+ArrowUp')
})

test('what was pressed is found by its name, and nothing else', () => {
  expect(keyOf(KEYS.everywhere, press('y', { ctrlKey: true }))).toBe('redo')
  expect(keyOf(KEYS.patch, press('ArrowLeft', { shiftKey: true }))).toBe('left')
  expect(keyOf(KEYS.patch, press('m', { ctrlKey: true }))).toBeUndefined()
})

test('no combination stands for two things in one place, nor for what it does everywhere', () => {
  const everywhere = Object.values<KeyGroup>(KEYS).slice(0, 1)
  for (const group of Object.values<KeyGroup>(KEYS)) {
    const all = [group, ...everywhere.filter((one) => one !== group)]
      .flatMap((one) => Object.values(one.keys))
      .flatMap((key) => key.on)
    expect(new Set(all).size, group.where).toBe(all.length)
  }
})

test('lists answer to the same keys', () => {
  for (const group of [KEYS.props, KEYS.controllers, KEYS.patch, KEYS.tray]) {
    expect(keyOf(group, press('a', { ctrlKey: true }))).toBe('all')
    expect(keyOf(group, press('Escape'))).toBe('letGo')
    expect(keyOf(group, press(' '))).toBe('take')
    expect(keyOf(group, press('Enter'))).toBe('open')
  }
})

test('docs/keys.md is what the handlers ask', async () => {
  await expect(page()).toMatchFileSnapshot('../../docs/keys.md')
})
