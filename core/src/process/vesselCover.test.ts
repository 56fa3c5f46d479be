import { coversOf, placesIn, reelPlace, vesselCover } from './vesselCover'

const tank = { name: 'Tank 5', kind: 'hand' as const, format: '135' as const, coversMl: [300, 600, 1000, 1300, 1500] }
const drum = { name: 'Drum', kind: 'rotary' as const, format: '135' as const, coversMl: [140, 140, 240, 240, 330] }
const ml = (vessel: Parameters<typeof vesselCover>[0], ...films: string[]) => vesselCover(vessel, films).coversMl
const misfit = (vessel: Parameters<typeof vesselCover>[0], ...films: string[]) => vesselCover(vessel, films).misfit
const of = (count: number, format: string) => Array<string>(count).fill(format)

test('rolls of its own format take its own figures, whatever their length', () => {
  expect([ml(tank, '135-36'), ml(tank, '135-12', '135-24'), ml(tank, ...of(5, '135-36'))]).toEqual([300, 600, 1500])
  expect(misfit(tank, ...of(5, '135-36'))).toBeNull()
  expect(misfit(tank, ...of(6, '135-36'))).toBe('Tank 5 takes 5 films of 135, not 6: use a larger one or fewer films.')
})

test('a roll of 120 takes the height of two, three or five of 135, in a drum of two, four or five', () => {
  expect([ml(tank, '120'), ml(tank, '120', '220'), ml(tank, ...of(3, '120'))]).toEqual([600, 1000, 1500])
  expect([ml(drum, '120'), ml(drum, '120', '120'), ml(drum, ...of(3, '120'))]).toEqual([140, 240, 330])
  expect(misfit(tank, ...of(4, '120'))).toMatch(/takes 3 films of 120, not 4/)
  expect(misfit({ ...tank, coversMl: [300] }, '120')).toMatch(/takes no films of 120/)
})

test('a tank of 120 takes rolls of 135 in the room it has', () => {
  const wide = { ...tank, format: '120' as const, coversMl: [500, 1000] }
  expect([ml(wide, '135-36'), ml(wide, ...of(2, '135-36')), ml(wide, ...of(3, '135-36'))]).toEqual([500, 500, 1000])
  expect(misfit(wide, ...of(4, '135-36'))).toMatch(/takes 3 films of 135/)
})

test('six sheets stand in a tank or drum that holds what covers them, unless somebody wrote otherwise', () => {
  expect(ml(tank, ...of(4, '4x5in'))).toBe(1050)
  expect(ml(drum, ...of(6, '4x5in'))).toBe(270)
  expect(misfit(tank, ...of(7, '4x5in'))).toMatch(/takes 6 sheets, not 7/)
  expect(misfit({ ...tank, coversMl: [300, 600, 1000] }, '4x5in')).toMatch(/takes no sheets/)
  expect(ml({ ...tank, also: [{ format: 'sheets', coversMl: [400, 420] }] }, ...of(2, '4x5in'))).toBe(420)
  expect(ml({ ...tank, also: [{ format: '120', coversMl: [500] }] }, '120')).toBe(500)
})

test('films of two kinds share the height', () => {
  expect(vesselCover(tank, ['120', '135-36'])).toEqual({ coversMl: 1000, misfit: null })
  expect(misfit(tank, ...of(2, '120'), ...of(3, '135-36'))).toBe(
    'Tank 5 has no room for 3 films of 135 and 2 films of 120 together: use a larger one or fewer films.',
  )
  expect(coversOf(tank)['120']).toEqual([600, 1000, 1500])
})

test('how many of what is loaded a vessel takes: of its own format its reels, of another what its height gives, of two kinds its reels', () => {
  expect([placesIn(tank, ['135-36']), placesIn(tank, ['120']), placesIn(drum, ['4x5in']), placesIn(tank, ['120', '135-36'])]).toEqual([
    5, 3, 6, 5,
  ])
})

test('a lone reel stands at the bottom below an empty one, and a full tank says nothing', () => {
  expect(reelPlace({ kind: 'hand', reels: 2 }, 1)).toMatch(/at the bottom, an empty one above/)
  expect(reelPlace({ kind: 'hand', reels: 5 }, 3)).toMatch(/empty ones above/)
  expect(reelPlace({ kind: 'rotary', reels: 5 }, 1)).toMatch(/core/)
  expect([reelPlace({ kind: 'hand', reels: 2 }, 2), reelPlace({ kind: 'hand', reels: 1 }, 1)]).toEqual([null, null])
})
