import { houseProcesses } from '../families'
import { houseIds } from '../families/ids'
import { optionGroups } from '../optionGroups'
import { optionsOn, secondOf, servedOptions } from './options'

const [hand] = houseProcesses
const colour = houseProcesses.find((one) => one.id === houseIds['colour-negative'])!
const without =
  (...roles: string[]) =>
  (role: string) =>
    !roles.includes(role)

test('of a group one is chosen, what stands alone is on or off', () => {
  const { groups, single } = optionGroups(hand)
  expect(groups.map((group) => [group.name, group.options.length])).toEqual([
    ['Stop', 2],
    ['Fixing', 2],
    ['Washing', 3],
  ])
  expect(single.map((one) => one.id)).toEqual(['pre-wet', 'wetting-agent'])
})

test('what wants a bath that is not on the shelf gives way to what does not', () => {
  expect(servedOptions(hand, without())).toEqual({})
  expect(servedOptions(hand, without('stop', 'wetting-agent'))).toEqual({ 'water-stop': true, 'wetting-agent': false })
  expect(servedOptions(colour, without('bleach-fix'))).toEqual({ 'five-baths': true })
  // where nothing of the group can be served it stays, and the page says which bath is missing
  expect(servedOptions(colour, without('bleach-fix', 'bleach'))).toEqual({})
})

test('a second bath of the same kind is found, and what turns it on', () => {
  expect(secondOf(hand, 'fixer')).toEqual({ role: 'second-fixer', option: 'two-fix' })
  expect([secondOf(hand, 'developer'), secondOf(hand, 'second-fixer'), secondOf(hand, 'gone')]).toEqual([null, null, null])
})

test('every option is sent as it stands', () =>
  expect(optionsOn(hand, { 'water-stop': true, 'pre-wet': true })).toMatchObject({
    'pre-wet': true,
    'acid-stop': false,
    'water-stop': true,
    fills: true,
    'wash-aid': false,
  }))
