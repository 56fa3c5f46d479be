import { catalogue, type Chemical } from '@selvrin/core'
import { chemicalBody, ownChemical } from '@selvrin/core/contract'
import { manner } from '../session/manner'
import { checkFormula, linesOf } from './chemistry'
import { bodyOf, idFor, readSigned, readSolubility, readStatements, writeSolubility, writeStatements } from './figures'
import { ownChemicals } from './own'

afterEach(() => {
  ownChemicals.value = []
  manner.value = { units: 'metric', decimal: 'point' }
})

test('every chemical of the catalogue can be opened and kept as it is, in either decimal sign', () => {
  for (const decimal of ['point', 'comma'] as const) {
    manner.value = { units: 'metric', decimal }
    for (const chemical of Object.values(catalogue)) {
      const body = bodyOf(chemical)
      const typed = { ...body, solubility: readSolubility(writeSolubility(body.solubility)) }
      if (body.statements) typed.statements = readStatements(writeStatements(body.statements))
      expect(ownChemical({ id: chemical.id, body: chemicalBody.parse(typed) })).toEqual(ownChemical({ id: chemical.id, body }))
    }
  }
})
test('what cannot be read is not taken for anything', () => {
  for (const text of ['20 26', '20: 26: 1', 'warm: 3']) expect(() => readSolubility(text)).toThrow()
  expect(readSolubility('-5: 12; 20: 26')).toEqual([
    { celsius: -5, gPer100Ml: 12 },
    { celsius: 20, gPer100Ml: 26 },
  ])
  expect(readSigned('−12.5')).toBe(-12.5)
  expect(() => readSigned('--1')).toThrow()
  expect([readStatements('none'), readStatements('H302, H319')]).toEqual([[], ['H302', 'H319']])
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
  const model = catalogue['sodium-acetate-trihydrate'] as Chemical
  const body = { ...bodyOf(model), name: 'Sodium formate', molarMass: 68.01, solubility: readSolubility('20: 4') }
  ownChemicals.value = [ownChemical({ id: idFor('Sodium formate'), body })]
  expect(linesOf(formula)[0]?.chemical.name).toBe('Sodium formate')
  expect(checkFormula(formula).map((finding) => finding.rule)).toEqual(['mix-11'])
})
