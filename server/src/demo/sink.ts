import { dayOf, discardedOf, readPlan, usualGPerMl, usualSink, type Drum as Family, type Held, type SinkFacts } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { newLabelCodes } from '../label/codes'
import type { Database } from '../table/database'

const dayMs = 86_400_000
const trays = { left: uuid(), low: uuid(), back: uuid() }

const facts = (): SinkFacts => ({
  ...usualSink,
  responsible: { name: 'Tidewheel Darkroom', address: 'The loft, Old Tide Mill, Saltmarsh Quay', telephone: '0100 555 0123' },
  ...{ emergency: '0100 555 0199', poison: '0100 555 0177', roomM3: 28.8, silverPerG: 0.9 },
  trays: [
    { id: trays.left, name: 'Left of the sink', holdsMl: 25_000 },
    { id: trays.low, name: 'Low, by the door', holdsMl: 12_000 },
    { id: trays.back, name: 'At the back', holdsMl: 12_000 },
  ],
})

/** g of products in a litre of what a family's baths usually are here. */
const usual: Partial<Record<Family, Held[]>> = {
  dev: [
    { chemical: 'sodium-sulfite', grams: 60 },
    { chemical: 'hydroquinone', grams: 3 },
    { chemical: 'metol', grams: 1.5 },
    { chemical: 'borax-decahydrate', grams: 2 },
  ],
  sil: [
    { chemical: 'ammonium-thiosulfate', grams: 110 },
    { chemical: 'sodium-sulfite', grams: 12 },
  ],
  acid: [{ chemical: 'citric-acid', grams: 18 }],
  fer: [
    { chemical: 'potassium-ferricyanide', grams: 40 },
    { chemical: 'potassium-bromide', grams: 15 },
  ],
}

interface Made {
  family: Family
  metal?: string
  litres: number
  tray: keyof typeof trays | null
  /** days ago; null: it has none yet */
  labelled: number | null
  /** days ago, ml, g of silver of each pour */
  pours: [days: number, ml: number, silverG: number][]
  sealed?: number
  quarantined?: [days: number, why: string]
  pickup?: 0 | 1
  collectedKg?: number
}
/** Drums in every state: begun, nearly full, sealed, collected, empty, without a label, in quarantine. */
// prettier-ignore
const drums: Made[] = [
  { family: 'dev', litres: 20, tray: 'left', labelled: 44, pours: [[41, 2600, 0], [33, 3100, 0], [20, 2900, 0], [9, 2400, 0], [2, 1300, 0]] },
  { family: 'sil', litres: 20, tray: 'left', labelled: 71, pours: [[68, 4000, 12.4], [52, 3800, 11.1], [37, 3900, 12.9], [16, 3600, 10.2], [5, 2000, 6.3]] },
  { family: 'acid', litres: 10, tray: 'low', labelled: 60, pours: [[55, 1900, 0], [12, 1200, 0]] },
  { family: 'sul', litres: 10, tray: 'back', labelled: 30, pours: [] },
  { family: 'mno', litres: 5, tray: null, labelled: null, pours: [] },
  { family: 'fer', litres: 5, tray: null, labelled: 90, pours: [[84, 900, 0]], quarantined: [6, 'half a litre of citric stop bath was poured in'] },
  { family: 'sil', litres: 20, tray: 'left', labelled: 150, pours: [[148, 6000, 18.2], [120, 6400, 20.1], [92, 5300, 15.8]], sealed: 75, pickup: 1 },
  { family: 'dev', litres: 20, tray: null, labelled: 240, pours: [[236, 9000, 0], [190, 8600, 0]], sealed: 170, pickup: 0, collectedKg: 20.1 },
  { family: 'sil', litres: 20, tray: null, labelled: 250, pours: [[246, 8000, 24.6], [201, 9400, 29.3]], sealed: 172, pickup: 0, collectedKg: 18.8 },
  { family: 'fer', litres: 5, tray: null, labelled: 5, pours: [] },
  { family: 'nob', metal: 'palladium', litres: 5, tray: null, labelled: 40, pours: [] },
  { family: 'nob', metal: 'silver', litres: 5, tray: null, labelled: 40, pours: [[11, 500, 0.04]] },
]

/** What the last runs left waits to be poured, as they would have written it. */
async function waiting(db: Database, by: string): Promise<void> {
  const runs = await db.Run.findAll({ where: { state: 'done' }, order: [['endedAt', 'desc']], limit: 2, raw: true })
  for (const run of runs) {
    const drawn = await db.BottleEntry.findAll({
      attributes: ['id', 'step', 'bottleId'],
      where: { runId: run.id, kind: 'dilute-out' },
      raw: true,
    })
    await db.WasteEntry.bulkCreate(
      discardedOf(readPlan(run.plan)).flatMap(({ step, drum: _, ...one }) => {
        const line = drawn.find((entry) => entry.step === step && entry.bottleId === one.bottleId)
        const of = { entryId: line?.id ?? '', source: 'run' as const, drum: 'dev', note: `run ${run.number}: ${one.note}` }
        return line ? [{ id: uuid(), at: run.endedAt ?? 0, byPerson: by, ...one, ...of }] : []
      }),
    )
  }
}

/** The sink of the demo: its drums, a collection behind it and one before it, recovered silver, and a paper that has ended, one that holds. */
export async function sink(db: Database, by: string, { today, zone }: { today: number; zone: string }): Promise<void> {
  const ago = (days: number): number => today - days * dayMs
  await db.Sink.create({ body: facts() })
  const pickups = [uuid({ msecs: ago(165) }), uuid({ msecs: ago(3) })]
  const common = { contractor: 'Marsh and Quay Disposal', licence: 'W 17-204', handedBy: 'Ilse Varn', byPerson: by }
  await db.Pickup.bulkCreate([
    { id: pickups[0] ?? '', number: 1, ...common, at: ago(169), collectedAt: ago(165), receipt: 'R 2041' },
    { id: pickups[1] ?? '', number: 2, ...common, at: ago(3) },
  ])
  const codes = await newLabelCodes(db, drums.length)
  const funnel = uuid()
  await db.Funnel.create({ id: funnel, name: 'Blue funnel', rinsedAt: ago(30) })
  let fixers = ''
  for (const [i, one] of drums.entries()) {
    const { family, metal = null, litres, tray, labelled, pours, sealed, quarantined, pickup, collectedKg } = one
    const id = uuid({ msecs: ago((labelled ?? 1) + 1) })
    if (family === 'sil' && sealed === undefined) fixers = id
    await db.Drum.create({
      ...{ id, code: codes[i] ?? '', family, metal, volumeMl: 1000 * litres, tareKg: litres / 20, vented: family !== 'acid' },
      ...{ trayId: tray === null ? null : trays[tray], madeBy: by, madeAt: ago((labelled ?? 1) + 1) },
      ...{ labelledAt: labelled === null ? null : ago(labelled), sealedAt: sealed === undefined ? null : ago(sealed) },
      ...{ quarantinedAt: quarantined ? ago(quarantined[0]) : null, quarantinedWhy: quarantined?.[1] ?? null },
      pickupId: pickup === undefined ? null : (pickups[pickup] ?? null),
      ...(collectedKg === undefined ? {} : { collectedAt: ago(165), collectedKg }),
    })
    await db.DrumEntry.bulkCreate(
      pours.map(([days, ml, silverG], at) => ({
        ...{ id: uuid(), drumId: id, at: ago(days), byPerson: by, kind: 'pour' as const, ml, gPerMl: usualGPerMl, silverG, family },
        ...{ source: 'bottle' as const, note: 'spent bottles of the week', ph: null },
        funnelId: family === 'sil' && sealed === undefined && at === pours.length - 1 ? funnel : null,
        contents: usual[family]?.map(({ chemical, grams }) => ({ chemical, grams: (grams * ml) / 1000 })) ?? null,
      })),
    )
  }
  const flake = { litres: 12, inGPerL: 4.2, outGPerL: 0.5, grams: 46, assay: 0.9, amps: 2, hours: 8, ironG: null }
  await db.Recovery.create({
    ...{ id: uuid({ msecs: ago(26) }), at: ago(26), byPerson: by, drumId: fixers },
    body: { method: 'electrolysis', ...flake, note: 'stopped when it browned' },
  })
  const paper = { mlADay: 1000, dilution: 20, minutes: 10, paper: 'Letter of the water authority, 14 of last year' }
  await db.Discharge.create({ family: 'acid', body: { family: 'acid', ...paper, ends: dayOf(ago(19), zone) } })
  const letter = { mlADay: 2000, dilution: 20, minutes: 10, paper: 'Letter of the water authority, 3 of this year' }
  await db.Discharge.create({ family: 'dev', body: { family: 'dev', ...letter, ends: dayOf(today + 200 * dayMs, zone) } })
  await waiting(db, by)
}
