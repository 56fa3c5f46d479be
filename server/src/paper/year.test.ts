import { usualSink, wasteFamilies } from '@selvrin/core'
import type { YearReport } from '@selvrin/core/contract'
import { yearPdf } from './year'

const at = Date.UTC(2026, 5, 1)
const report: YearReport = {
  ...{ year: 2026, zone: 'Europe/Lisbon', years: [2026], rows: [], recoveries: [], incidents: [] },
  pickups: [{ at, number: 1, contractor: 'Low Tide Carriers', licence: 'L-7', receipt: '', families: ['sil'], kg: 18 }],
  standing: { ml: 0, grams: 0, drums: 0 },
}

test('its paper is one page, however much was spilled and collected', async () => {
  const months = Array.from({ length: 12 }, () => ({ ml: 123_456, grams: 129_000 }))
  const row = { months, ml: 1_481_472, grams: 1_548_000, silverG: 1234.5 }
  const rows = [false, true].flatMap((drain) => wasteFamilies.map((family) => ({ ...row, family, drain })))
  const many = <T>(one: T): T[] => Array.from({ length: 80 }, () => one)
  const spill = { at: at, what: 'a jug of '.repeat(20), family: null, ml: 250 }
  const full = { ...report, rows, incidents: many(spill), recoveries: many({ at: at, method: 'electrolysis', silverG: 9 }) }
  const of = { darkroom: 'Tidewheel Darkroom', facts: usualSink, now: at }
  for (const one of [report, full, { ...report, rows: [] }]) {
    const bytes = Buffer.from(await yearPdf(one, of)).toString('latin1')
    expect(bytes.startsWith('%PDF')).toBe(true)
    expect(bytes.match(/\/Type \/Page\b/g)).toHaveLength(1)
  }
})
