import fc from 'fast-check'
import { catalogue } from '../chemical/catalogue'
import { withOwn } from '../chemical/withOwn'
import { checkFormula } from '../formula/checkFormula'
import { pouredTogether } from '../formula/poured'
import type { Addition, Formula } from '../formula/formula'
import { neverWith } from './neverWith'
import { clashesOf } from './shelf'
import { whatNeverMeets, type Met } from './whatNeverMeets'

const rules = (parts: Met[], atC?: number): string[] => [
  ...new Set(whatNeverMeets(parts, atC === undefined ? {} : { atC }).map(({ rule }) => rule)),
]
const met = (chemical: string, gramsPerLitre?: number): Met => ({ chemical, ...(gramsPerLitre === undefined ? {} : { gramsPerLitre }) })
/** g of ml of a liquid of the catalogue */
const ml = (chemical: string, millilitres: number): Met => met(chemical, millilitres * (catalogue[chemical]?.densityGPerMl ?? NaN))

test.each<[string, Met[], string]>([
  ['sulfide with potassium alum', [met('sodium-sulfide-nonahydrate'), met('potassium-alum')], 'never-1'],
  ['sulfide with metol', [met('sodium-sulfide-nonahydrate'), met('metol')], 'never-1'],
  ['sulfide with disodium EDTA', [met('sodium-sulfide-nonahydrate'), met('edta-disodium')], 'never-1'],
  ['sulfide with ammonium chloride', [met('sodium-sulfide-nonahydrate'), met('ammonium-chloride')], 'never-1'],
  ['sulfide brought under pH 11 by bicarbonate', [met('sodium-sulfide-nonahydrate', 5), met('sodium-bicarbonate', 20)], 'never-1'],
  ['ferricyanide with bisulfate', [met('potassium-ferricyanide', 20), met('sodium-bisulfate', 10)], 'never-2'],
  [
    'thiocyanate onto an acid that is neutralised later',
    [met('citric-acid', 30), met('potassium-thiocyanate', 5), met('sodium-carbonate', 60)],
    'never-2',
  ],
  ['hypochlorite with thiocyanate', [met('sodium-hypochlorite'), met('potassium-thiocyanate')], 'never-3'],
  [
    'ferricyanide with permanganate in acid',
    [met('potassium-ferricyanide', 5), met('potassium-permanganate', 2), ml('sulfuric-acid', 5)],
    'never-3',
  ],
  ['hydroxide, then ammonium thiosulfate for hypo crystals', [met('sodium-hydroxide', 20), met('ammonium-thiosulfate-60', 240)], 'never-4'],
  ['carbonate powder on an ammonium salt', [met('ammonium-chloride'), met('sodium-carbonate')], 'never-4'],
  ['thiosulfate in strong acid', [met('sodium-thiosulfate', 20), met('sodium-bisulfate', 10)], 'never-5'],
  ['hypochlorite with a bleach-fix powder', [met('sodium-hypochlorite'), met('bleach-fix-powder-b')], 'never-6'],
  ['permanganate with chloride in acid', [met('potassium-permanganate', 2), met('sodium-chloride', 5), ml('sulfuric-acid', 5)], 'never-7'],
  ['50 g of dichromate with 200 ml of hydrochloric acid', [met('potassium-dichromate', 50), ml('hydrochloric-acid', 200)], 'never-7'],
  ['permanganate with concentrated sulfuric acid', [met('potassium-permanganate'), met('sulfuric-acid')], 'never-7'],
  ['permanganate with thiourea', [met('potassium-permanganate'), met('thiourea')], 'never-8'],
  ['dichromate with triethanolamine', [met('potassium-dichromate', 20), met('triethanolamine', 50)], 'never-8'],
  ['zinc with hydrochloric acid', [met('zinc-metal'), met('hydrochloric-acid')], 'never-9'],
  ['aluminium in hydroxide', [met('aluminium-metal', 5), met('sodium-hydroxide', 20)], 'never-9'],
  ['sulfuric acid on oxalic acid', [met('sulfuric-acid'), met('oxalic-acid-dihydrate')], 'never-10'],
  ['glacial acetic acid on carbonate', [met('acetic-acid-glacial'), met('sodium-carbonate')], 'never-10'],
  ['silver with ammonia', [met('silver-nitrate', 10), ml('ammonia-solution', 20)], 'never-11'],
  [
    'silver with an ammonium salt in alkali',
    [met('silver-nitrate', 10), met('ammonium-chloride', 5), met('borax-decahydrate', 20)],
    'never-11',
  ],
  ['formaldehyde with hydrochloric acid', [met('formaldehyde-37', 20), ml('hydrochloric-acid', 20)], 'never-12'],
])('%s is blocked', (_name, parts, rule) => expect(rules(parts)).toContain(rule))

test.each<[string, Met[]]>([
  ['the iron–silver sensitizer', [met('ferric-ammonium-citrate-green', 27), met('tartaric-acid', 4.5), met('silver-nitrate', 11.4)]],
  [
    'an acid hardening fixer in its order',
    [
      met('sodium-thiosulfate-pentahydrate', 240),
      met('sodium-sulfite', 15),
      ml('acetic-acid-28', 48),
      met('boric-acid', 7.5),
      met('potassium-alum', 15),
    ],
  ],
  [
    'the same with glacial acetic acid',
    [
      met('sodium-thiosulfate-pentahydrate', 240),
      met('sodium-sulfite', 15),
      ml('acetic-acid-glacial', 14),
      met('boric-acid', 7.5),
      met('potassium-alum', 15),
    ],
  ],
  ['the cyanotype sensitizer', [met('ferric-ammonium-citrate-green', 125), met('potassium-ferricyanide', 50)]],
  ['a gold toner', [met('potassium-thiocyanate', 10), met('gold-chloride', 0.1)]],
  ['the iron solution of the platinum process', [met('ferric-oxalate', 270), met('potassium-chlorate', 6)]],
  ['a dichromate bleach', [met('potassium-dichromate', 10), ml('sulfuric-acid', 10)]],
  ['a permanganate bleach', [met('potassium-permanganate', 2), ml('sulfuric-acid', 10)]],
  ['a rapid fixer', [ml('ammonium-thiosulfate-60', 150), met('sodium-sulfite', 15), ml('acetic-acid-28', 40)]],
  ['a borax developer', [met('metol', 2), met('sodium-sulfite', 100), met('hydroquinone', 5), met('borax-decahydrate', 2)]],
  [
    'a developer with thiocyanate, mixed warm',
    [met('metol', 2), met('sodium-sulfite', 50), met('sodium-carbonate', 30), met('potassium-thiocyanate', 2)],
  ],
])('%s is not blocked', (_name, parts) => {
  expect(whatNeverMeets(parts, { atC: 45 }).filter(({ rule }) => rule !== 'never-2')).toEqual([])
  expect(whatNeverMeets(parts)).toEqual([])
})

test('heat makes a thiocyanate dangerous with an acid that is harmless in the cold', () => {
  const bath = [met('potassium-thiocyanate', 20), met('sodium-sulfite', 20), met('acetic-acid-28', 20)]
  expect(rules(bath, 30)).toEqual([])
  expect(rules(bath, 45)).toEqual(['never-2'])
})

test('every pair of the catalogue, each as it is sold, with nothing known of the amounts', () => {
  const ids = Object.keys(catalogue)
  const blocked: Record<string, string[]> = {}
  ids.forEach((one, i) => {
    for (const other of ids.slice(i + 1)) for (const rule of rules([met(one), met(other)])) (blocked[`${rule} ${one}`] ??= []).push(other)
  })
  const list = Object.entries(blocked).map(([one, others]) => `${one}: ${others.join(', ')}`)
  expect(list.sort().join('\n')).toMatchSnapshot()
})

test('which of two is poured first changes nothing where nobody knows how much of each', () => {
  const ids = Object.keys(catalogue)
  fc.assert(
    fc.property(fc.constantFrom(...ids), fc.constantFrom(...ids), (one, other) => {
      expect(rules([met(one), met(other)]).sort()).toEqual(rules([met(other), met(one)]).sort())
    }),
    { numRuns: 2000 },
  )
})

test('a substance is what it is, whatever the darkroom’s label says', () => {
  const { id, ...permanganate } = catalogue['potassium-permanganate']!
  const relabelled = withOwn([{ id, ...permanganate, name: 'Purple crystals', natures: [], statements: [] }])
  expect(whatNeverMeets([met(id), met('glycerol')], {}, relabelled).map(({ rule }) => rule)).toEqual(['never-8'])
})

const solution = (name: string, additions: Addition[]): Formula => ({
  id: name,
  name,
  family: 'other',
  finalMl: 1000,
  startMl: 750,
  mixC: 20,
  additions,
})
test('pours between bottles and parts put together go through the same table', () => {
  const sulfide = solution('sulfide', [{ chemical: 'sodium-sulfide-nonahydrate', grams: 20 }])
  const alum = solution('alum', [{ chemical: 'potassium-alum', grams: 20 }])
  expect(
    pouredTogether([
      { formula: sulfide, ml: 500 },
      { formula: alum, ml: 10 },
    ])?.danger,
  ).toContain('hydrogen sulfide')
  expect(
    pouredTogether([
      { formula: alum, ml: 500 },
      { formula: alum, ml: 10 },
    ]),
  ).toBeNull()
  expect(checkFormula(solution('both', [...sulfide.additions, ...alum.additions])).map(({ rule }) => rule)).toContain('never-1')
})

test('shelves are judged by their own list', () => {
  const clash = (...ids: string[]) => clashesOf(ids).map(({ message }) => message)
  expect(clash('citric-acid', 'sodium-sulfite')).toEqual([])
  expect(clash('acetic-acid-glacial', 'sodium-sulfite')[0]).toContain('sulfur dioxide')
  expect(clash('sulfuric-acid', 'potassium-permanganate', 'sodium-hydroxide')).toHaveLength(2)
  expect(clash('potassium-dichromate', 'metol', 'hydroquinone')).toHaveLength(2)
  expect(clash('ammonia-solution', 'citric-acid')).toHaveLength(1)
  expect(clash('ammonium-chloride', 'sodium-hydroxide', 'metol', 'borax-decahydrate')).toEqual([])
})

test('what a chemical never meets is said in words, from either side', () => {
  const what = (id: string) => neverWith(catalogue[id]!).map((one) => one.what)
  expect(what('sodium-sulfide-nonahydrate')[0]).toContain('acids, acid salts')
  expect(what('citric-acid')).toEqual(expect.arrayContaining(['sulfides', 'hypochlorite']))
  expect(what('borax-decahydrate')).toEqual(['hypochlorite'])
  // half of all developers are sulfite and metol: what is harmless in the tank is not warned of on the scales
  expect(what('sodium-sulfite').join()).toContain('strong or concentrated acids')
  expect(what('sodium-sulfite').join()).not.toContain('metol')
})
