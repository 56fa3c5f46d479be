import { catalogue } from './catalogue'
import { mixtureStatements, statementsAt } from './concentration'
import { hazardLabel, protection } from './hazardStatements'
import { cautions } from './hazards'

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
  expect(label('powder-pack')).toMatchObject({ known: false })
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

test('strength decides where the system has limits', () => {
  expect(label('acetic-acid-28')).toMatchObject({ signal: 'Danger', pictograms: ['corrosion'] })
  expect(statementsAt('acetic-acid-28', 12)).toEqual(['H315', 'H319'])
  expect(statementsAt('acetic-acid-28', 9.9)).toEqual([])
  expect(statementsAt('sodium-hydroxide', 5)).toContain('H314')
  expect(label('hydrogen-peroxide-3')).toMatchObject({ signal: null, known: true })
  expect(statementsAt('metol', 50)).toBeNull()
})
test('signs, signal word and cautions come from one classification', () => {
  for (const chemical of Object.values(catalogue)) {
    const { signal, known } = hazardLabel(chemical)
    const said = cautions(chemical)
    expect([chemical.id, known && signal !== null && said.length === 0]).toEqual([chemical.id, false])
    if (chemical.statements?.includes('H314')) expect(said[0]).toContain('Burns skin')
    if (signal === 'Danger') expect([chemical.id, protection(chemical).length]).not.toEqual([chemical.id, 0])
  }
  expect(cautions(catalogue['potassium-permanganate']!).join()).toMatch(/Burns skin.*Oxidiser/)
  expect(cautions(catalogue['potassium-thiocyanate']!).join()).toContain('poisonous gas with acid')
  expect(protection(catalogue['phenidone']!)).toContain('gloves')
  expect(protection(catalogue['powder-pack']!)).toEqual(['gloves', 'eyes'])
})
test('a mixture is as dangerous as what is in it is strong', () => {
  const of = (id: string, gramsPerLitre: number) => mixtureStatements([{ chemical: catalogue[id]!, gramsPerLitre }]).statements
  expect(of('silver-nitrate', 100)).toContain('H314')
  expect(of('silver-nitrate', 20)).toEqual(['H315', 'H319'])
  expect(of('hydroquinone', 12)).toEqual(expect.arrayContaining(['H317', 'H351']))
  expect(of('hydroquinone', 5)).toEqual([])
  expect(of('borax-decahydrate', 4)).toEqual(['H360'])
})
