import { coatMix, type CoatAct, type CoatedBody, type UvLampBody } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { combineBottles } from '../bottle/combine'
import { writeAct } from '../coat/acts'
import { coatedRows } from '../coat/rows'
import { saveNext } from '../http/changing'
import type { Database } from '../table/database'
import type { DemoBottle } from './seasonBook'

const dayMs = 86_400_000
const minuteMs = 60_000

const lamps: UvLampBody[] = [
  { name: 'Blue tubes', kind: 'tubes', watts: 160, bankCm: 46, hours: 310, measured: null, note: 'eight tubes in the plan chest' },
  { name: 'LED panel', kind: 'leds', watts: 100, bankCm: 30, hours: 42, measured: null, note: '' },
  {
    name: 'Old sun lamp',
    kind: 'point',
    watts: 300,
    bankCm: null,
    hours: 190,
    measured: 0.82,
    note: 'warms up for five minutes; makes ozone: vented',
  },
]
const sheet = (part: Partial<CoatedBody> & Pick<CoatedBody, 'title' | 'process' | 'negative' | 'range'>): CoatedBody => ({
  ...{
    widthCm: 20,
    heightCm: 25,
    strips: 1,
    coatedWith: 'brush',
    coats: 1,
    mlPer1000: 2.8,
    dropMl: 0.05,
    contrast: null,
    platinumDrops: 0,
  },
  ...{ paper: 'Mill rag, heavy', paperPrice: 1.4 },
  ...part,
})

interface Made {
  /** days before now it was coated, or none where that is being done this evening */
  days: number
  body: CoatedBody
  /** what its parts are poured from, by formula */
  from: string[]
  /** minutes after it was coated, and what was done */
  acts: [minutes: number, act: (lamps: string[]) => CoatAct][]
}
const strip = (firstS: number) => (under: string[]): CoatAct => ({ kind: 'strip', firstS, stepStops: 0.5, bands: 5, lamps: under.slice(0, 1), distanceCm: 14 }) // prettier-ignore
const expose =
  (seconds: number) =>
  (under: string[]): CoatAct => ({ kind: 'expose', seconds, lamps: under.slice(0, 1), distanceCm: 14 })
const step = (n: number, seconds: number) => (): CoatAct => ({ kind: 'step', step: n, seconds })
const dry = (minutes: number) => (): CoatAct => ({ kind: 'dry', seconds: minutes * 60 })

const prints: Made[] = [
  {
    days: 20,
    body: sheet({ title: 'Reeds at low water', process: 'cyanotype', negative: 'paper negative of the reed bed', range: 1.25 }),
    from: ['Iron-blue sensitizer, part A', 'Iron-blue sensitizer, part B'],
    acts: [
      [32, dry(32)],
      [40, strip(240)],
      [66, () => ({ kind: 'read', chosen: [2] })],
      [70, expose(480)],
      [80, step(2, 420)],
      [82, step(3, 30)],
      [90, () => ({ kind: 'done', said: 'Deep shadows hold. A little less next time for the sky.' })],
    ],
  },
  {
    days: 11,
    body: sheet({ title: 'The wheel pit', process: 'iron-silver', negative: 'enlarged negative, 20 × 25', range: 1.75, coatedWith: 'rod' }),
    from: ['Iron–silver sensitizer'],
    acts: [
      [28, dry(28)],
      [44, expose(600)],
      [52, step(2, 260)],
      [55, step(3, 80)],
      [58, step(4, 120)],
      [100, step(5, 2400)],
      [110, () => ({ kind: 'done', said: 'Dries darker: ten minutes were enough.' })],
    ],
  },
  {
    days: 0,
    body: sheet({ title: 'Sluice gate, morning', process: 'palladium', negative: 'pyro negative, 10 × 12.5', range: 1.6, widthCm: 10, heightCm: 12.5, contrast: 'normal' }), // prettier-ignore
    from: ['Iron A, ferric oxalate 27 %', 'Iron B, ferric oxalate with chlorate', 'Palladium salt 15 %'],
    acts: [],
  },
]

/** Minutes before now at which this evening's sheet was coated. */
const coatedThisEvening = 12

/** The demo's coating bench: lamps, an iron–silver sensitizer that was mixed of its parts, prints that are done, and one that dries. */
export async function coating(
  db: Database,
  of: { by: string; members: string[]; bottles: DemoBottle[]; formulaIds: Record<string, string>; today: number },
): Promise<void> {
  const { by, today } = of
  const lampIds = lamps.map((_, i) => uuid({ msecs: today - (200 - i) * dayMs }))
  await db.UvLamp.bulkCreate(lamps.map((body, i) => ({ id: lampIds[i] ?? '', body })))
  const bottle = new Map(of.bottles.filter((one) => one.retiredAt === null).map((one) => [one.formula, one.id]))
  const mixed = { at: today - 30 * dayMs, id: uuid({ msecs: today - 30 * dayMs }) }
  const from = ['A', 'B', 'C'].map((part) => bottle.get(`Iron–silver sensitizer, part ${part}`) ?? '')
  const formulaId = of.formulaIds['Iron–silver sensitizer'] ?? ''
  await combineBottles(db, { newId: mixed.id, formulaId, from, parts: [1, 1, 1], totalMl: 90, sizeMl: 100 }, { by, now: mixed.at })
  const [stands, beside] = [await db.Bottle.findByPk(mixed.id), await db.Bottle.findByPk(from[0] ?? '')]
  if (stands && beside) await saveNext(stands.set({ shelfId: beside.shelfId }))
  bottle.set('Iron–silver sensitizer', mixed.id)
  for (const [i, one] of prints.entries()) {
    const at = one.days === 0 ? today - coatedThisEvening * minuteMs : today - one.days * dayMs
    const id = uuid({ msecs: at })
    const memberId = of.members[2 + i] ?? null
    const last = one.acts.at(-1)
    const endedAt = last ? at + last[0] * minuteMs : null
    await db.Coated.create({ id, number: i + 1, memberId, body: one.body, byPerson: memberId, at: at - 5 * minuteMs, endedAt })
    const poured = coatMix(one.body).map(({ part, drops }, n) => ({
      part,
      drops,
      bottleId: bottle.get(one.from[n] ?? '') ?? '',
      entryId: uuid(),
    }))
    const acts: Made['acts'] = [[0, () => ({ kind: 'coat', poured, humidity: 54 })], ...one.acts]
    for (const [minutes, act] of acts) {
      const [told] = await coatedRows(db, { id })
      const now = at + minutes * minuteMs
      if (told) await writeAct(db, told, { id: uuid({ msecs: now }), act: act(lampIds) }, { by, now })
    }
  }
}
