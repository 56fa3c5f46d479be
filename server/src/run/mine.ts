import { partsOfBaths } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { shown as shownChart, withNames } from '../chart/rows'
import { newestFormulas } from '../formula/queries'
import type { Handler } from '../http/route'
import { permissionRows } from '../permission/rows'
import { vesselRows } from './queries'

const whole = { after: null, limit: null }

/** What one may develop by oneself, with what of the house is needed to plan it. */
export const mine: Handler<typeof api.permission.mine> = async ({ db, who, now }) => {
  const permissions = await permissionRows(db, { where: { personId: who.id }, order: [['id', 'asc']] }, now)
  if (permissions.length === 0) return { permissions, vessels: [], chart: [], partOf: {}, people: [] }
  const others = permissions.some((one) => one.others)
  const people = await db.Person.findAll({ attributes: ['id', 'name'], where: others ? { active: true } : { id: who.id }, raw: true })
  const any = permissions.some((one) => one.vesselIds.length === 0)
  return {
    permissions,
    vessels: await vesselRows(db, { ids: any ? null : permissions.flatMap((one) => one.vesselIds), ...whole }),
    chart: (await db.ChartRow.findAll(withNames)).map(shownChart),
    partOf: partsOfBaths(await newestFormulas(db, { ids: null, ...whole })),
    people: people.map(({ id, name }) => ({ id, name })).sort((a, b) => a.name.localeCompare(b.name)),
  }
}
