import { chosenOptions, houseProcesses, rolesOf } from '@selvrin/core'
import type { ProcessRow } from '@selvrin/core/contract'
import { shelfBottle } from '../test/shelf'
import { bathChoices, developerChoices } from './planChoices'
import { lacking, planRequest, type Asked, type Found } from './planRequest'

const developer = shelfBottle({ label: 'D1', family: 'film-developer', formulaId: 'borax', name: 'Soft borax developer', daysAgo: 1 })
const fixer = shelfBottle({ label: 'F1', family: 'fixer', formulaId: 'rapid', name: 'Neutral rapid fixer', daysAgo: 1 })
const rows = [
  {
    ...{ id: 'r', film: 'Millrace 400', formulaId: 'borax', parts: [1], ei: 400, temperatureC: 20, seconds: 600 },
    ...{ source: 'wall chart', note: '', by: '', version: 1, tried: null },
  },
]
const [hand] = houseProcesses
const { id, ...body } = hand
const process: ProcessRow = { id, version: 1, versionId: 'v1', number: 1, changedBy: '', changedAt: 0, shipped: true, body }
const options = { 'water-stop': true, 'wetting-agent': false }
const choicesOf = (role: string, family: string) =>
  role === 'developer' ? developerChoices([developer], rows, 'Millrace 400', 400) : bathChoices([fixer], family)
const found: Found = {
  process,
  options,
  roles: rolesOf(body, options).map((role) => ({
    ...role,
    charted: role.id === 'developer',
    choices: choicesOf(role.id, role.family),
  })),
  chartRowIds: ['r'],
}
const asked: Asked = {
  ...{ processId: id, options, film: ' Millrace 400 ', ei: '400', push: '-1', format: '120', vesselId: 'v' },
  ...{ owners: [{ id: 'f1', memberId: 'm' }], source: 'wall chart', temperatureC: 20.5, typedC: 20, bathC: { fix: 21, stop: null } },
  ...{ baths: { developer: `${developer.id} 1`, fixer: `${fixer.id} 1` }, agitation: '10-4inv-30', critical: true, slow: true },
}

test('what a plan lacks is said in the order of the page, one thing at a time', () => {
  expect(lacking(asked, { ...found, process: undefined })).toBe('Choose the process.')
  expect(lacking({ ...asked, film: null }, found)).toBe('Choose the film.')
  expect(lacking({ ...asked, film: ' ' }, { ...found, roles: [] })).toBe('Write which film it is.')
  for (const ei of [null, '', 'box', '0', '400.5', '30000'])
    expect(lacking({ ...asked, ei }, found)).toBe('Write what it was exposed at, such as 200.')
  expect(lacking({ ...asked, vesselId: null, baths: {} }, found)).toBe('Choose the developer.')
  expect(lacking({ ...asked, baths: { ...asked.baths, fixer: 'gone 1' } }, found)).toBe('Choose the fixer.')
  expect(lacking({ ...asked, vesselId: null }, found)).toBe('Choose the tank.')
  expect(lacking({ ...asked, owners: [...asked.owners, { id: 'f2', memberId: null }] }, found)).toBe('Say whose films they are.')
  expect(lacking({ ...asked, temperatureC: null }, found)).toBe('Measure the developer and write its temperature.')
  expect(lacking(asked, found)).toBe('')
  expect(planRequest({ ...asked, temperatureC: null }, found)).toBeNull()
})

test('the house is asked for what was chosen, with every option as it stands', () => {
  const request = planRequest(asked, found)
  expect(request).toEqual({
    processVersionId: 'v1',
    options: Object.fromEntries(chosenOptions(body, options).map((one) => [one.id, one.on])),
    vesselId: 'v',
    films: [{ id: 'f1', memberId: 'm', film: 'Millrace 400', format: '120', ei: 400, pushStops: -1, slowClearing: true }],
    chartRowIds: ['r'],
    baths: [
      { role: 'developer', bottleId: developer.id, parts: [1] },
      { role: 'fixer', bottleId: fixer.id, parts: [1] },
    ],
    temperatureC: 20.5,
    bathC: { fix: 21 },
    agitation: '10-4inv-30',
    critical: true,
  })
  expect(planRequest({ ...asked, bathC: {} }, found)).not.toHaveProperty('bathC')
})
