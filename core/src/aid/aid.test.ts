import { catalogue } from '../chemical/catalogue'
import { wasteFamilies } from '../waste/drumIds'
import { firstAid, hurts } from './firstAid'
import { requireIncident } from './incident'
import { spillCard } from './spill'
import { aidOf, unknownSubstance } from './substance'
import { aidWords, saidForAid } from './voice'

const of = (family: string, ...lines: [chemical: string, grams: number][]) =>
  aidOf({
    id: 'x',
    name: 'x',
    family,
    finalMl: 1000,
    startMl: 500,
    mixC: 20,
    additions: lines.map(([chemical, grams]) => ({ chemical, grams })),
  })
const pure = (chemical: string) => aidOf({ family: '', additions: [{ chemical, grams: 1 }] })

test('what a liquid is goes by what is in it, not by what somebody called it', () => {
  expect(of('stop-bath', ['potassium-dichromate', 10])).toMatchObject({ family: 'chr' })
  expect(of('other', ['sodium-thiosulfate-pentahydrate', 240], ['sodium-sulfite', 10])).toEqual({ family: 'sil', corrosive: false, throughSkin: [] })
  expect(of('other', ['sodium-hypochlorite', 50])).toMatchObject({ family: 'chl', corrosive: true })
  // a stop bath of 1.5 % does not burn, glacial acid does
  expect(of('stop-bath', ['acetic-acid-glacial', 15]).corrosive).toBe(false)
  expect(pure('acetic-acid-glacial').corrosive).toBe(true)
  // hydroxide burns by its pH at any strength a darkroom mixes
  expect(of('film-developer', ['hydroquinone', 5], ['sodium-hydroxide', 8])).toMatchObject({ family: 'dev', corrosive: true })
  expect(of('film-developer', ['metol', 2], ['sodium-sulfite', 100], ['hydroquinone', 5], ['borax-decahydrate', 2])).toMatchObject({ family: 'dev', corrosive: false }) // prettier-ignore
}) // prettier-ignore

test('nobody drinks after what burns, nor after what nobody knows', () => {
  expect(firstAid('swallowed', pure('sodium-hydroxide')).join()).toMatch(/Nothing to drink/)
  expect(firstAid('swallowed', unknownSubstance).join()).toMatch(/Nothing to drink/)
  expect(firstAid('swallowed', of('fixer', ['sodium-thiosulfate-pentahydrate', 240])).join()).toMatch(/Sips of water, only while awake/)
  expect(aidOf({ family: 'bleach', additions: [] })).toEqual(unknownSubstance)
  // a bath nobody wrote a recipe of goes by its family, and a developer may hold hydroxide
  expect(aidOf({ family: 'fixer', additions: [] }).corrosive).toBe(false)
  expect(aidOf({ family: 'film-developer', additions: [] })).toEqual({ family: 'dev', corrosive: true, throughSkin: [] })
})

test.each(['silver-nitrate', 'pyrogallol', 'catechol', 'potassium-oxalate-monohydrate', 'oxalic-acid-dihydrate', 'ferric-oxalate'])(
  'on the skin %s is called about by name',
  (id) => expect(firstAid('skin', pure(id)).at(-1)).toBe(`Call: ${catalogue[id]?.name}.`),
)

test('every family has a card, none tells to do what it forbids, and every hurt ends in somebody being asked', () => {
  for (const family of [...wasteFamilies, null]) {
    const { first, then, never, bin } = spillCard({ family })
    expect([first.length, then.length, bin.length].every((one) => one > 0)).toBe(true)
    if (never.join().includes('No acid')) expect(then.join()).not.toMatch(/citric|acetic/)
  }
  expect(spillCard({ family: 'chr' }).then.join()).toMatch(/no sawdust, no paper.*ascorbic/)
  expect(spillCard({ family: 'nob' })).toMatchObject({ never: ['No ammonia.'] })
  for (const hurt of hurts) expect(firstAid(hurt, unknownSubstance).join(' ')).toMatch(/[Cc]all/)
  expect(firstAid('collapsed', unknownSubstance)[0]).toBe('Do not go in.')
})

test('in the dark rinsing is said first but for that it burns, and every word has its sound', () => {
  expect(aidWords(of('fixer', ['sodium-thiosulfate-pentahydrate', 240]))).toEqual(['aid-rinse', 'aid-swallowed', 'aid-light'])
  expect(aidWords(pure('sodium-hydroxide'))[0]).toBe('aid-burns')
  expect(aidWords(of('bleach', ['potassium-ferricyanide', 40]))).toContain('aid-gas')
  const sounds = saidForAid.map((one) => one.key)
  for (const family of [...wasteFamilies, null]) for (const word of aidWords({ family, corrosive: true, throughSkin: [] })) expect(sounds).toContain(word)
}) // prettier-ignore

test('a spill is not written down before it happened', () => {
  const now = Date.UTC(2026, 4, 4)
  expect(() => requireIncident({ at: now + 3_600_000 }, now)).toThrow(/not come yet/)
  expect(() => requireIncident({ at: now - 400 * 86_400_000 }, now)).toThrow(/over a year/)
  expect(requireIncident({ at: now - 60_000 }, now)).toBeUndefined()
})
