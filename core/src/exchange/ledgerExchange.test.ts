import fc from 'fast-check'
import { containers, entryKinds } from '../bottle/bottle'
import { throughputFrom } from '../bottle/throughput'
import { fixables, type FormulaUse } from '../formula/use'
import type { LedgerLine } from '../contract/bottle'
import type { FormulaRow } from '../contract/formula'
import type { Proof } from '../contract/proof'
import type { Standing } from '../proof/judgement'
import type { TestMark } from '../proof/proof'
import { cellReader } from './reader'
import { readFile, understander } from './understand'
import type { Present } from './understood'
import { recordToUse, useToRecord } from './useExchange'
import { writeFile } from './write'

const hex = (n: number, length: number) => n.toString(16).padStart(length, '0')
const id = (n: number) => `0198f000-0000-7000-8000-${hex(n, 12)}`
const fixer: FormulaUse = {
  school: 'two-bath',
  capacityRollsPerL: 10,
  keeping: { fullDays: 60, halfDays: 30, workingDays: 14 },
  dilutions: [[1]],
  minConcentrateMlPerRoll: 0,
  twoBath: { moves: 4, days: 60 },
}
const bottle = (n: number, code: string) => ({
  id: id(n),
  code,
  label: `F${n}`,
  formulaId: id(90),
  parts: null,
  sizeMl: 1000,
  madeAt: Date.parse('2026-09-01T10:00:00Z'),
  shelfId: id(80),
  retiredAt: null,
  retiredWhy: null,
  family: 'fixer' as const,
  batchId: id(70),
  ph: 5.25,
  use: fixer,
  ownUse: false,
})
const present: Present = {
  formulas: [{ id: id(90), version: 1, body: { name: 'Plain fixer' } as FormulaRow['body'] }],
  jars: [],
  chart: [],
  bottles: [bottle(1, 'ABC234'), bottle(2, 'XYZ789')],
  shelves: [{ id: id(80), version: 1, name: 'Film bench', celsius: null }],
}
const back = (kind: 'bottles' | 'ledger' | 'tests', format: 'csv' | 'json', here: Present, into: Present = here) =>
  readFile(kind, writeFile(kind, format, here)).map(understander(kind, into, () => id(999)))

const mark: TestMark = {
  kind: 'iodide-drop',
  verdict: 'failed',
  rule: 'iodide-cloud',
  reason: 'A lasting cloud; “silver”, some 3 g/L.',
  reading: null,
  reference: null,
  fixS: null,
  againAt: null,
  overruled: null,
}
const standing: Standing = { kind: 'iodide-drop', newest: mark, at: 1e12, rollsPerL: 4.5, failed: mark, failedAt: 1e12, passes: 0 }

describe('lines of a ledger', () => {
  const figure = fc.integer({ min: 0, max: 20_000 }).map((n) => n / 100)
  const moment = fc.integer({ min: Date.parse('2020-01-01'), max: Date.parse('2030-01-01') })
  const line: fc.Arbitrary<LedgerLine> = fc
    .record({
      n: fc.integer({ min: 100, max: 9999 }),
      bottle: fc.constantFrom(1, 2),
      kind: fc.constantFrom(...entryKinds.filter((kind) => kind !== 'test' && kind !== 'reverse')),
      at: moment,
      ml: fc.tuple(figure, fc.boolean()).map(([ml, out]) => (out && ml > 0 ? -ml : ml)),
      rolls: fc.nat({ max: 200 }),
      colourRolls: fc.nat({ max: 200 }),
      paper: figure,
      waterInMl: figure,
      container: fc.option(fc.constantFrom(...containers)),
      celsius: fc.option(fc.integer({ min: -50, max: 600 }).map((c) => c / 10)),
      brings: fc.option(
        fc.record(
          {
            strength: figure,
            rollsPerL: figure,
            silverGPerL: figure,
            aged: figure,
            tests: fc.constant<Standing[]>([standing]),
            fixS: figure,
            clearingTimes: fc.array(fc.record({ rollsPerLitre: figure, seconds: figure }), { maxLength: 3 }),
          },
          { requiredKeys: ['strength', 'rollsPerL', 'silverGPerL', 'aged'] },
        ),
      ),
      twoBath: fc.option(fc.record({ position: fc.constantFrom<(1 | 2)[]>(1, 2), moves: fc.integer({ min: 0, max: 9 }), since: moment })),
      other: fc.boolean(),
      group: fc.boolean(),
      note: fc.string({ maxLength: 40 }).map((text) => text.trim()),
    })
    .map(({ n, bottle, other, group, rolls, colourRolls, paper, ...rest }) => ({
      ...rest,
      throughput: throughputFrom({ rolls: rolls + colourRolls, colourRolls, paper }),
      id: id(n),
      bottleId: id(bottle),
      by: 'Ilse Varn',
      reverses: null,
      otherBottleId: other ? id(3 - bottle) : null,
      groupId: group ? id(n + 10_000) : null,
      overrules: null,
    }))

  test.each(['csv', 'json'] as const)('whatever a line says comes back from %s as it was', (format) => {
    fc.assert(
      fc.property(line, (one) => {
        const [understood] = back('ledger', format, { ...present, ledger: [one] })
        const { id: lineId, kind, by: _by, ...body } = one
        expect(understood?.problems).toEqual([])
        expect(understood?.row).toEqual({ kind: 'ledger', id: lineId, body: { ...body, what: kind } })
      }),
    )
  })

  const plain: LedgerLine = {
    id: id(100),
    bottleId: id(1),
    kind: 'test',
    at: Date.parse('2026-10-01T18:00:00Z'),
    by: 'Odo',
    ml: 0,
    throughput: [],
    waterInMl: 0,
    reverses: null,
    container: null,
    celsius: null,
    brings: null,
    twoBath: null,
    otherBottleId: null,
    groupId: null,
    overrules: null,
    note: '',
  }
  test('a test, and what takes it back, goes into its own file; overruling one is a line', () => {
    const ledger = [
      plain,
      { ...plain, id: id(101), kind: 'reverse' as const, reverses: id(100) },
      { ...plain, id: id(102), overrules: 'iodide-drop' as const, note: 'the iodide was old' },
    ]
    const understood = back('ledger', 'csv', { ...present, ledger })
    expect(understood.map((one) => one.row?.kind === 'ledger' && [one.row.id, one.row.body.overrules, one.row.body.note])).toEqual([
      [id(102), 'iodide-drop', 'the iodide was old'],
    ])
  })
  test('places, histories and ids that cannot be meant are said', () => {
    const text = [
      'id,bottle,at,what,change,brought,bath,other,overrules,note',
      'seven,ABC234,2026-10-01,fill,1 L,1; 2,,,,',
      `,ABC234,2026-10-01,change,0 ml,,3; 1; 2026-10-01,,,`,
      ',ABC234,2026-10-01,decant,-50 ml,,,NOSUCH,,',
      ',ABC234,2026-10-01,test,0 ml,,,,,',
      ',ABC234,2026-10-01,test,0 ml,,,,iodide-drop,',
    ].join('\n')
    const problems = readFile('ledger', text).map((one) => understander('ledger', present, () => id(999))(one).problems.join(' '))
    expect(problems).toEqual([
      expect.stringMatching(/brought: write strength; rolls a litre; silver; age.*id: leave it out/),
      expect.stringContaining('bath: write which bath'),
      expect.stringContaining('No bottle here carries the code “NOSUCH”'),
      expect.stringContaining('overrules: a test stands in the file of tests'),
      expect.stringContaining('note: overruling a test needs its reason'),
    ])
  })
})

describe('bottles', () => {
  test('one used otherwise, retired, of a batch with another: all of it goes along', () => {
    const own: FormulaUse = {
      ...fixer,
      school: 'counted',
      capacityRollsPerL: 6,
      twoBath: undefined,
      fixes: 'fibre-paper',
      longKeeping: true,
    }
    const here: Present = {
      ...present,
      bottles: [
        { ...bottle(1, 'ABC234'), use: own, ownUse: true },
        { ...bottle(2, 'XYZ789'), retiredAt: Date.parse('2026-10-02T09:00:00Z'), retiredWhy: 'milky' },
      ],
    }
    for (const format of ['csv', 'json'] as const) {
      const rows = back('bottles', format, here, { ...present, bottles: [] }).map((one) => one.row?.kind === 'bottles' && one.row.body)
      expect(rows).toMatchObject([
        { code: 'ABC234', batchId: id(70), ph: 5.25, shelfId: id(80), retired: null },
        { code: 'XYZ789', batchId: id(70), ownUse: null, retired: { at: Date.parse('2026-10-02T09:00:00Z'), why: 'milky' } },
      ])
      expect(rows[0] && { ...rows[0].ownUse, twoBath: undefined }).toEqual(own)
    }
    expect(back('bottles', 'csv', here).map((one) => one.state)).toEqual(['same', 'same'])
  })
  test('a school that cannot be kept is said, not taken', () => {
    const [one] = readFile('bottles', 'formula,size,made,school,time_per_roll\nPlain fixer,1 L,2026-10-01,compensated,90').map(
      understander('bottles', present, () => id(999)),
    )
    expect([one?.state, one?.problems.join()]).toEqual(['wrong', expect.stringMatching(/^school: /)])
  })
})

test('a test goes out with all it was judged by; one taken back does not', () => {
  const proof = (n: number, part: Partial<Proof>) =>
    ({
      id: id(n),
      kind: 'scrap-density',
      at: Date.parse('2026-10-03T18:30:00Z'),
      bottleId: id(1),
      fresh: false,
      reading: { value: 0.96, fresh: 1.2, approximate: true },
      judgement: { verdict: 'marginal' },
      note: 'by the window',
      takenBack: false,
      ...part,
    }) as unknown as Proof
  const tests = [
    proof(1, {}),
    proof(2, { kind: 'clearing-time', reading: { value: 70, celsius: 21.5, slowClearing: true } }),
    proof(3, { takenBack: true }),
  ]
  const asDeveloper: Present = { ...present, bottles: present.bottles!.map((one) => ({ ...one, family: 'film-developer' as const })) }
  const [density] = back('tests', 'csv', { ...present, tests }, asDeveloper)
  expect(density?.row).toMatchObject({
    body: { value: 0.96, freshBeside: 1.2, approximate: true, slowClearing: null, note: 'by the window' },
  })
  const understood = back('tests', 'json', { ...present, tests })
  expect(understood.map((one) => one.line)).toEqual([1, 2])
  expect(understood[1]?.row).toMatchObject({ body: { value: 70, celsius: 21.5, slowClearing: true, freshBeside: null } })
})

test('every way a bath is used up comes back from its columns', () => {
  const whole = (min: number, max: number) => fc.integer({ min, max })
  const days = fc.option(whole(1, 400))
  const use: fc.Arbitrary<FormulaUse> = fc.record(
    {
      school: fc.constantFrom('one-shot', 'counted', 'compensated', 'replenished', 'two-bath'),
      capacityRollsPerL: fc.option(whole(1, 40).map((n) => n / 2)),
      keeping: fc.record({ fullDays: days, halfDays: days, workingDays: days }),
      dilutions: fc.array(fc.constantFrom([1], [1, 1], [1, 9], [1, 1, 8]), { minLength: 1, maxLength: 3 }),
      minConcentrateMlPerRoll: whole(0, 200),
      compensation: fc.oneof(
        whole(2, 15).map((n) => ({ perRoll: n / 100 })),
        fc
          .array(fc.record({ rollsPerL: whole(0, 20), factor: whole(10, 20).map((n) => n / 10) }), { minLength: 1, maxLength: 4 })
          .map((table) => ({ table })),
      ),
      replenishment: fc.record({ mlPerRoll: whole(1, 90), turnovers: whole(1, 6), formulaId: fc.constant(id(90)) }),
      twoBath: fc.record({ moves: whole(0, 6), days }),
      fixes: fc.constantFrom(...fixables),
      longKeeping: fc.constant(true),
    },
    { requiredKeys: ['school', 'capacityRollsPerL', 'keeping', 'dilutions', 'minConcentrateMlPerRoll'] },
  )
  fc.assert(
    fc.property(use, (one) => {
      const problems: string[] = []
      const record = useToRecord(one, () => 'Plain fixer')
      expect(recordToUse(record, cellReader(problems), problems, (name) => (name === 'Plain fixer' ? id(90) : undefined))).toEqual(one)
      expect(problems).toEqual([])
    }),
  )
})
