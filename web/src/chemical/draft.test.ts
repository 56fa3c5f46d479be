import { catalogue, estimatePh, withOwn } from '@selvrin/core'
import { ownChemical } from '@selvrin/core/contract'
import { chemicalDraft, idFor, readChemical } from './draft'
import { checkFormula, linesOf } from './chemistry'
import { ownChemicals } from './own'

afterEach(() => void (ownChemicals.value = []))

test('every chemical of the catalogue can be opened and kept as it is', () => {
  for (const chemical of Object.values(catalogue)) {
    const { body, problems } = readChemical(chemicalDraft(chemical))
    expect([chemical.id, problems]).toEqual([chemical.id, {}])
    expect(estimatePhOf(chemical.id, body)).toEqual(estimatePhOf(chemical.id))
  }
})
function estimatePhOf(id: string, body: ReturnType<typeof readChemical>['body'] = null): unknown {
  try {
    return estimatePh({ [id]: 1 }, {}, body ? withOwn([ownChemical({ id, body })]) : catalogue).ph
  } catch (error) {
    return (error as { code: string }).code
  }
}

test('wrong figures are named at their field, and nothing is kept', () => {
  const draft = {
    ...chemicalDraft(catalogue['sodium-sulfite']!),
    solubility: '20 26',
    molarMass: 'much',
    statements: 'H314 danger',
    source: '',
  }
  expect(readChemical(draft).body).toBeNull()
  expect(Object.keys(readChemical(draft).problems).sort()).toEqual(['molarMass', 'solubility'])
  expect(Object.keys(readChemical({ ...draft, solubility: '50: 35, 20: 26', molarMass: '126', statements: '' }).problems)).toEqual([
    'solubility',
  ])
})

test('a darkroom’s own figures count at once, and its own chemicals are no strangers', () => {
  const formula = {
    id: 'f',
    name: '',
    family: 'other',
    finalMl: 1000,
    startMl: 750,
    mixC: 20,
    additions: [{ chemical: 'sodium-formate', grams: 50 }],
  }
  expect(() => linesOf(formula)).toThrow(expect.objectContaining({ code: 'unknown-chemical' }))
  const { body } = readChemical({
    ...chemicalDraft(catalogue['sodium-acetate-trihydrate']!),
    name: 'Sodium formate',
    molarMass: '68.01',
    solubility: '20: 4',
  })
  ownChemicals.value = [ownChemical({ id: idFor('Sodium formate'), body: body! })]
  expect(linesOf(formula)[0]?.chemical.name).toBe('Sodium formate')
  expect(checkFormula(formula).map((finding) => finding.rule)).toEqual(['mix-11'])
})
