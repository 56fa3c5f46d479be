import { api, type Darkroom } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { notFound, stale } from '../http/refusal'
import { route, type House } from '../http/route'

async function darkroomRow(db: Database, tx?: Transaction): Promise<Darkroom> {
  const row = await db.one<Darkroom>(
    `select version, name, zone, tap_cold_c as "tapColdC", tap_hot_c as "tapHotC", room_c as "roomC", scale_readability_g as "scaleReadabilityG", currency, second_check as "secondCheck", hosts, public_devices as "publicDevices", left_out as "leftOut" from darkroom`,
    [],
    tx,
  )
  if (!row) throw notFound('darkroom')
  return row
}

export function darkroomRoutes(router: Router, house: House): void {
  const { db } = house
  route(router, house, api.darkroom.get, () => darkroomRow(db))
  route(router, house, api.darkroom.change, async ({ body, tx }) => {
    const changed = await db.rows(
      `update darkroom set version = version + 1, name = $2, zone = $3, tap_cold_c = $4, tap_hot_c = $5, room_c = $6, scale_readability_g = $7, currency = $8, second_check = $9, hosts = coalesce($10::text[], hosts), public_devices = coalesce($11::boolean, public_devices), left_out = coalesce($12::text[], left_out) where version = $1 returning version`,
      [
        body.version,
        body.name,
        body.zone,
        body.tapColdC,
        body.tapHotC,
        body.roomC,
        body.scaleReadabilityG,
        body.currency,
        body.secondCheck,
        body.hosts ?? null,
        body.publicDevices ?? null,
        body.leftOut ?? null,
      ],
      tx,
    )
    if (changed.length === 0) throw stale(await darkroomRow(db, tx))
    return darkroomRow(db, tx)
  })
}
