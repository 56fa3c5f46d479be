import { formulasWithout, repeatedAgents } from './again'
import { exposureBody, maySeeNotes, requireExposure } from './note'

const note = (agent: string, chemical: string | null, at: number) => ({ agent, chemical, at })

test('a second reaction to one agent is advised against, under whichever name it was written', () => {
  expect(repeatedAgents([note('Metol', 'metol', 1), note('hydroquinone', 'hydroquinone', 2)])).toEqual([])
  const twice = repeatedAgents([note('Metol', 'metol', 1), note('metol developer', 'metol', 9)])
  expect(twice).toMatchObject([{ agent: 'metol developer', times: 2, says: expect.stringMatching(/second time: stop with it/) }])
  expect(repeatedAgents([note('Gum ', null, 1), note('gum', null, 2), note('gum', null, 3)])).toMatchObject([{ times: 3 }])
})

test('formulas without it are of the families that use it, and do without its like as well', () => {
  const formula = (name: string, family: string, ...chemicals: string[]) => ({ name, family, additions: chemicals.map((chemical) => ({ chemical, grams: 1 })) }) // prettier-ignore
  const all = [
    formula('with metol', 'film-developer', 'metol', 'sodium-sulfite'),
    formula('ascorbate', 'film-developer', 'phenidone', 'ascorbic-acid'),
    formula('bought', 'film-developer'),
    formula('stop', 'stop-bath', 'citric-acid'),
    formula('borax 5', 'print-developer', 'borax-pentahydrate'),
    formula('borax 10', 'print-developer', 'borax-decahydrate'),
  ]
  expect(formulasWithout('metol', all).map((one) => one.name)).toEqual(['ascorbate'])
  // another hydrate of it is the same to the skin
  expect(formulasWithout('borax-decahydrate', all)).toEqual([])
})

test('seen by its owner and by named technicians, by nobody else', () => {
  const who = (id: string, role: 'technician' | 'member', reads: boolean) => maySeeNotes({ id, role, reads }, 'tilda')
  expect([who('tilda', 'member', false), who('ilse', 'technician', true)]).toEqual([true, true])
  // a technician nobody named, another member, a member who once was a named technician
  expect([who('odo', 'technician', false), who('bram', 'member', false), who('bram', 'member', true)]).toEqual([false, false, false])
  expect(() => requireExposure({ at: 1e12 }, 1e11)).toThrow(/not come yet/)
  const body = { at: 1, agent: ' ', chemical: null, task: '', minutes: null, gloves: true, way: 'skin', course: '' }
  expect(exposureBody.safeParse(body).error?.issues[0]?.message).toBe('Say what it was.')
})
