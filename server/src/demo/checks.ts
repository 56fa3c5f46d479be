import type { CheckResult, FixtureBody } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'

const dayMs = 86_400_000

const things: [FixtureBody, [daysAgo: number, CheckResult][]][] = [
  [
    { kind: 'eyewash', name: 'By the sink', plumbed: true },
    [
      [10, { kind: 'flush', seconds: 180, lPerMin: 2.1, celsius: 19, note: '' }],
      [3, { kind: 'flush', seconds: 180, lPerMin: 2, celsius: 20, note: '' }],
    ],
  ],
  [
    { kind: 'ventilation', name: 'Slot over the trays', areaM2: 0.09 },
    [
      [20, { kind: 'meter', mPerS: 0.8, note: '' }],
      [0, { kind: 'tissue', draws: true, note: '' }],
    ],
  ],
  [{ kind: 'mains', name: 'Wet side' }, [[150, { kind: 'trip', trips: true, note: '' }]]],
  [
    {
      kind: 'gloves',
      name: 'Nitrile, thin',
      sizes: [
        { size: 'S', people: 1 },
        { size: 'M', people: 3 },
        { size: 'L', people: 2 },
      ],
      openings: 4,
    },
    [
      [
        5,
        {
          kind: 'count',
          pairs: [
            { size: 'S', pairs: 14 },
            { size: 'M', pairs: 18 },
            { size: 'L', pairs: 30 },
          ],
          note: '',
        },
      ],
    ],
  ],
]

/** What the demo has for its safety: all in order but the bottle of the toning corner, whose date has passed, and the gloves in M. */
export async function checks(db: Database, by: string, { today }: { today: number }): Promise<void> {
  const late: [FixtureBody, [number, CheckResult][]] = [
    { kind: 'eyewash', name: 'Toning corner', plumbed: false },
    [[380, { kind: 'date', useBy: today - 19 * dayMs, note: '' }]],
  ]
  for (const [body, found] of [...things, late]) {
    const id = uuid()
    await db.Fixture.create({ id, body })
    await db.FixtureCheck.bulkCreate(
      found.map(([days, result]) => ({ id: uuid(), fixtureId: id, at: today - days * dayMs, byPerson: by, result })),
    )
  }
}
