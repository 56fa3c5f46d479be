import { coating } from './coating'
import { hashPassword } from '../credential/password'
import type { Database } from '../table/database'
import { instruments } from './instruments'
import { colourKits } from './kit'
import { chartRows, devices, formulaRows, jars, people, shelves, vesselRows, mailWishes } from './loft'
import { orders } from './orders'
import { demoPassword, technicians } from './people'
import { practices } from './practices'
import { prints } from './prints'
import { swatches } from './swatches'
import { rota } from './rota'
import { trayLine } from './trayLine'
import { zoneOf } from '../darkroom/zone'
import { checks } from './checks'
import { exposures } from './exposures'
import { sink } from './sink'
import { spills } from './spills'
import { trainings } from './trainings'
import { playSeason } from './season'
import { writeSeason } from './writeSeason'

/** Fills an empty demo database with the Tidewheel Darkroom, its dates relative to `today` (ms); with an evening that is arranged, unless that is not wanted. */
export async function loadDemo(db: Database, today: number, { evening = true }: { evening?: boolean } = {}): Promise<void> {
  const passwordHash = await hashPassword(demoPassword)
  await db.transaction(async () => {
    const [ilse = '', ...others] = await people(db, passwordHash, today)
    const staff = [ilse, ...others.slice(0, technicians.length - 1)]
    const memberIds = others.slice(technicians.length - 1)
    const formulas = await formulaRows(db, ilse, today)
    await jars(db, ilse, today)
    await devices(db, today)
    const shelfIds = await shelves(db)
    const vessels = await vesselRows(db)
    const chart = await chartRows(db, formulas.ids, ilse)
    const season = playSeason(today, { memberIds, vessels, chart, formulaIds: formulas.ids })
    await writeSeason(db, season, { staff, leads: memberIds[0] ?? '', versionIds: formulas.versionIds, shelfIds, today })
    await practices(db, today, ilse, vessels)
    await orders(db, ilse, today)
    await colourKits(db, ilse, today, formulas.ids)
    const strips = season.bottles.filter((bottle) => bottle.formula === 'softBorax')
    await instruments(db, ilse, today, strips)
    if (evening) await rota(db, staff, today)
    await sink(db, ilse, { today, zone: await zoneOf(db) })
    await spills(db, ilse, { today })
    await checks(db, ilse, { today })
    await trainings(db, { by: ilse, today, zone: await zoneOf(db) })
    await exposures(db, { reader: ilse, owner: memberIds[0] ?? '', today })
    await prints(db, { by: ilse, members: memberIds, today })
    await swatches(db, { by: ilse, today })
    await coating(db, { by: ilse, members: memberIds, bottles: season.bottles, formulaIds: formulas.ids, today })
    await trayLine(db, { by: ilse, bottles: season.bottles, today })
    // what was told before is not written to anybody
    await mailWishes(db)
  })
}
