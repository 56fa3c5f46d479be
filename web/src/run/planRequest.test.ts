import { shelfBottle } from '../test/shelf'
import { developerChoices } from './planChoices'
import { lacking, planRequest, type Asked } from './planRequest'

const developer = shelfBottle({ label: 'D1', family: 'film-developer', formulaId: 'borax', name: 'Soft borax developer', daysAgo: 1 })
const fixer = shelfBottle({ label: 'F1', family: 'fixer', formulaId: 'rapid', name: 'Neutral rapid fixer', daysAgo: 1 })
const second = { ...fixer, id: 'second' }
const rows = [
  {
    ...{ id: 'r', film: 'Millrace 400', formulaId: 'borax', parts: [1], ei: 400, temperatureC: 20, seconds: 600 },
    ...{ source: 'wall chart', note: '', by: '', version: 1, tried: null },
  },
]
const [charted] = developerChoices([developer], rows, 'Millrace 400', 400)
const asked: Asked = {
  ...{ film: 'Millrace 400', ei: '400', push: '-1', format: '120', owners: [{ id: 'f1', memberId: 'm' }], vesselId: 'v' },
  ...{ developer: 'D1', source: 'wall chart', stop: 'none', fixer: fixer.id, second: second.id, aid: 'none', wetting: null },
  ...{ temperatureC: 20.5, typedC: 20, agitation: '10-4inv-30', critical: true, slow: true, preWet: false },
}
const found = { developer: charted, rows, bottles: [developer, fixer, second], paired: false }

test('what a plan lacks is said in the order of the page, one thing at a time', () => {
  expect(lacking({ ...asked, film: null }, { developer: undefined })).toBe('Choose the film.')
  expect(lacking({ ...asked, vesselId: null }, { developer: undefined })).toBe('Choose the developer.')
  expect(lacking({ ...asked, vesselId: null }, found)).toBe('Choose the tank.')
  expect(lacking({ ...asked, owners: [...asked.owners, { id: 'f2', memberId: null }] }, found)).toBe('Say whose films they are.')
  expect(lacking({ ...asked, temperatureC: null }, found)).toBe('Measure the developer and write its temperature.')
  expect(lacking(asked, found)).toBe('')
  expect(planRequest({ ...asked, temperatureC: null }, found)).toBeNull()
})

test('the house is asked for what was chosen: water is no bath, a second fixer only where the first wants one', () => {
  const request = planRequest(asked, found)
  expect(request).toMatchObject({
    vesselId: 'v',
    temperatureC: 20.5,
    critical: true,
    washAid: false,
    wettingAgent: false,
    chartRowIds: ['r'],
  })
  expect(request?.films).toEqual([
    { id: 'f1', memberId: 'm', film: 'Millrace 400', format: '120', ei: 400, pushStops: -1, slowClearing: true },
  ])
  expect(request?.baths.map(({ family, bottleId }) => [family, bottleId])).toEqual([
    ['film-developer', developer.id],
    ['fixer', fixer.id],
  ])
  expect(planRequest(asked, { ...found, paired: true })?.baths.map(({ bottleId }) => bottleId)).toEqual([developer.id, fixer.id, 'second'])
})
