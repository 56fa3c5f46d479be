import { catalogue } from './catalogue'
import { lookAlikesOf, namesOf, searchText } from './names'

test('a chemical is found by its other names and its CAS number', () => {
  const found = (word: string) => Object.keys(catalogue).filter((id) => searchText(id).toLowerCase().includes(word))
  expect(found('washing soda')).toEqual(['sodium-carbonate-decahydrate'])
  expect(found('7772-98-7')).toEqual(['sodium-thiosulfate'])
  expect(found('red prussiate')).toEqual(['potassium-ferricyanide'])
})

test('every CAS number has the check digit it must have', () => {
  const wrong = Object.keys(catalogue).filter((id) => {
    const { cas } = namesOf(id)
    if (cas === null) return false
    const digits = cas.replaceAll('-', '')
    const sum = [...digits.slice(0, -1)].reverse().reduce((total, digit, i) => total + Number(digit) * (i + 1), 0)
    return !/^\d{2,7}-\d{2}-\d$/.test(cas) || sum % 10 !== Number(digits.at(-1))
  })
  expect(wrong).toEqual([])
})

test.each([
  ['sodium-sulfite', ['sodium-sulfate', 'sodium-sulfide-nonahydrate']],
  ['sodium-bisulfite', ['sodium-bisulfate']],
  ['potassium-ferricyanide', ['potassium-ferrocyanide-trihydrate']],
  ['sodium-bicarbonate', ['sodium-carbonate', 'sodium-carbonate-decahydrate', 'sodium-carbonate-monohydrate']],
  ['sodium-thiosulfate', ['sodium-thiocyanate']],
  ['sodium-metaborate-dihydrate', ['sodium-metaborate-tetrahydrate']],
  ['metol', []],
])('%s is not %p', (id, others) => expect(lookAlikesOf(id).sort()).toEqual(others))
