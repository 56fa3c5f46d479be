import type { Vessel } from '@selvrin/core/contract'
import { draftOf, emptyVessel, readVessel } from './vesselDraft'

const tank: Vessel = {
  id: 'v',
  version: 3,
  name: 'Long tank',
  kind: 'hand',
  format: '135',
  reels: 2,
  coversMl: [310, 625.5],
  carryMl: 12.5,
}

describe('a tank as it is typed', () => {
  test('what is shown comes back as it was', () => {
    const { id: _id, version: _version, reels: _reels, ...body } = tank
    expect(readVessel(draftOf(tank))).toEqual(body)
    expect(readVessel(draftOf({ ...tank, carryMl: null, coversMl: [300, 600, 2400] }))).toMatchObject({
      carryMl: null,
      coversMl: [300, 600, 2400],
    })
  })
  test('volumes with a decimal comma, semicolons or in litres', () => {
    expect(readVessel({ ...emptyVessel(), covers: '0,3 L; 0,6 L' })).toMatchObject({ coversMl: [300, 600] })
    expect(readVessel({ ...emptyVessel(), covers: '290ml,580ml' })).toMatchObject({ coversMl: [290, 580] })
  })
  test('what cannot be meant is said beside its field', () => {
    expect(readVessel({ ...emptyVessel(), covers: 'a lot' })).toMatchObject({ of: 'covers' })
    expect(readVessel({ ...emptyVessel(), covers: '600 ml, 300 ml' })).toEqual({
      of: 'covers',
      problem: expect.stringContaining('at least'),
    })
    expect(readVessel({ ...emptyVessel(), carry: 'some' })).toMatchObject({ of: 'carry' })
  })
})
