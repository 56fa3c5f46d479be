import { catalogue } from './catalogue'
import { hazardLabel, protection } from './hazardStatements'

const label = (id: string) => hazardLabel(catalogue[id]!)

test('every code the catalogue names is known in words, and gives its pictogram', () => {
  for (const chemical of Object.values(catalogue)) {
    const known = hazardLabel(chemical)
    expect([chemical.id, known.statements.length]).toEqual([chemical.id, (chemical.statements ?? []).length])
    expect(known.statements.every((one) => one.words.length > 5)).toBe(true)
  }
})
test('the signal word and the pictograms follow the statements', () => {
  expect(label('sodium-hydroxide')).toMatchObject({ signal: 'Danger', pictograms: ['corrosion'] })
  expect(label('metol')).toMatchObject({ signal: 'Warning', pictograms: ['health', 'exclamation', 'environment'] })
  expect(label('silver-nitrate').pictograms).toEqual(['flame-over-circle', 'corrosion', 'environment'])
  expect(label('potassium-dichromate').pictograms).toContain('skull')
  expect(label('sodium-chloride')).toMatchObject({ signal: null, pictograms: [], known: true })
  expect(label('chrome-alum')).toMatchObject({ known: false })
})
test('a skull or corrosion makes the exclamation mark for the same superfluous, an allergy does not', () => {
  expect(label('sodium-sulfide-nonahydrate').pictograms).not.toContain('exclamation')
  expect(label('hydroquinone').pictograms).toContain('exclamation')
})
test('what to wear: gloves and eyes for caustics, a mask for harmful dust but not for liquids, air for gas', () => {
  expect(protection(catalogue['sodium-hydroxide']!)).toEqual(['gloves', 'eyes'])
  expect(protection(catalogue['boric-acid']!)).toEqual(['gloves', 'mask'])
  expect(protection(catalogue['acetic-acid-glacial']!)).not.toContain('mask')
  expect(protection(catalogue['sodium-metabisulfite']!)).toContain('ventilation')
})
test('what the domain calls dangerous carries its statements', () => {
  const codes = (id: string) => catalogue[id]?.statements ?? []
  for (const id of [
    'borax-decahydrate',
    'borax-pentahydrate',
    'boric-acid',
    'sodium-metaborate-tetrahydrate',
    'sodium-metaborate-dihydrate',
  ])
    expect(codes(id)).toContain('H360')
  expect(codes('hydroquinone')).toEqual(expect.arrayContaining(['H351', 'H341', 'H317', 'H318']))
  for (const id of ['metol', 'p-aminophenol-hcl']) expect(codes(id)).toContain('H317')
  expect(codes('catechol')).toEqual(expect.arrayContaining(['H350', 'H311']))
  expect(codes('thiourea')).toEqual(expect.arrayContaining(['H351', 'H361']))
  expect(codes('potassium-dichromate')).toEqual(expect.arrayContaining(['H350', 'H340', 'H360', 'H272']))
  for (const id of ['potassium-permanganate', 'silver-nitrate']) expect(codes(id)).toContain('H272')
})
