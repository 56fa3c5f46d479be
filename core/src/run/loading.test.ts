import { loadingOf } from './loading'

const load = (kind: 'hand' | 'rotary', ...formats: string[]) => {
  const { before, dark } = loadingOf({
    vessel: { name: 'Tank', kind, coversMl: 600, reels: 2 } as never,
    films: formats.map((format) => ({ format, count: 1 })) as never,
  })
  return { before: before.map((one) => one.key), dark: dark.map((one) => one.key) }
}

test('what lies at hand and what the hands do follow from the vessel and from what is loaded', () => {
  expect(load('hand', '135-36', '135-24')).toEqual({
    before: ['leader', 'width-135', 'dry', 'column', 'scissors', 'hands', 'glow'],
    dark: ['d-open-135', 'd-feed', 'd-wind', 'd-cut-135', 'd-column', 'd-lid', 'd-light'],
  })
  const roll = load('rotary', '220')
  expect(roll.before).toEqual(['width-120', 'paper', 'dry', 'core', 'scissors', 'hands', 'glow'])
  expect(roll.dark.slice(-4)).toEqual(['d-tape', 'd-core', 'd-lid', 'd-light'])
  // sheets have neither reels nor a spool to be cut from
  expect(load('hand', '4x5in')).toEqual({
    before: ['notch', 'rack', 'column', 'hands', 'glow'],
    dark: ['d-sheet', 'd-rack', 'd-holders', 'd-lid', 'd-light'],
  })
  expect(load('hand', '4x5in', '120').dark).toContain('d-column')
})
