import {
  fillOf,
  isReused,
  mayBeUsed,
  trayAmounts,
  trayFamilies,
  type TrayAmounts,
  type TrayFilling,
  type TrayFrom,
  type TrayRole,
  type TrayTaps,
} from '@selvrin/core'
import type { Bottle, Tray } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { roleName } from './lineWords'

/** A place of the line as it is being set up. */
export interface PlannedTray {
  id: string
  role: TrayRole
  trayId: string | null
  /** one of its sources, by its key */
  source: string | null
  ml: number | null
  /** the bottle that is made for it */
  newId: string
  overrule: string
}

/** Where a tray’s liquid may come from. */
export interface TraySource {
  key: string
  bottle: Bottle | null
  way: TrayFrom['way']
  parts: number[] | null
}

/** The ways a tray of a role may be filled out of the bottles there are: usable ones first. */
export function sourcesOf(role: TrayRole, bottles: Bottle[], inTrays: string[]): TraySource[] {
  const family = trayFamilies[role]
  if (family === null) return [{ key: 'water', bottle: null, way: 'water', parts: null }]
  return bottles
    .filter((one) => one.family === family && one.state.volumeMl > 0 && !inTrays.includes(one.id))
    .sort((a, b) => Number(mayBeUsed(b)) - Number(mayBeUsed(a)))
    .flatMap((bottle) => {
      const diluted = bottle.parts === null ? bottle.use.dilutions.filter((parts) => parts.length > 1) : []
      const ways: TraySource[] = diluted.map((parts) => ({ key: `${bottle.id} ${parts.join('+')}`, bottle, way: 'dilute', parts }))
      if (!isReused(bottle) && bottle.parts === null && !bottle.use.dilutions.some((one) => one.length === 1)) return ways
      return [
        ...ways,
        { key: `${bottle.id} part`, bottle, way: 'part', parts: null },
        { key: `${bottle.id} whole`, bottle, way: 'whole', parts: null },
      ]
    })
}

/** Why it cannot be filled so; '' where it can. */
export function againstFilling(planned: PlannedTray, source: TraySource | undefined): string {
  if (planned.trayId === null) return 'Which tray?'
  if (!source) return `There is no ${roleName(planned.role).toLowerCase()} on the shelf. Mix one.`
  if (planned.ml === null || planned.ml <= 0) return 'How much goes into it?'
  return ''
}

/** What is poured into it; the whole of a bottle is what it holds. */
export function pouredInto(planned: PlannedTray, source: TraySource | undefined, taps: TrayTaps & { targetC: number }): TrayAmounts | null {
  if (!source || planned.ml === null || planned.ml <= 0) return null
  const { targetC, ...rest } = taps
  if (source.way === 'part' || source.way === 'whole') return { stockMl: planned.ml, waterMl: 0, water: null }
  return trayAmounts({ ml: planned.ml, parts: source.parts, targetC, taps: rest })
}

/** As the server is told it. */
export function asFilling(planned: PlannedTray, source: TraySource): TrayFilling {
  const { id, role, newId } = planned
  const bottleId = source.bottle?.id ?? ''
  const from: TrayFrom =
    source.way === 'water'
      ? { way: 'water' }
      : source.way === 'whole'
        ? { way: 'whole', bottleId }
        : source.way === 'part'
          ? { way: 'part', bottleId, newId }
          : { way: 'dilute', bottleId, newId, parts: source.parts ?? [] }
  const overrule = planned.overrule.trim()
  return { id, trayId: planned.trayId ?? '', role, from, ml: planned.ml ?? 0, ...(overrule === '' ? {} : { overrule }) }
}

/** A tray of its own for each role, of those the paper lies in, and what fills it. */
export function plannedFor(
  roles: TrayRole[],
  trays: Tray[],
  paper: { widthCm: number; heightCm: number },
  bottles: Bottle[],
): PlannedTray[] {
  const fitting = trays.filter((one) => fillOf(one, paper) !== null)
  const whole = new Set<string>()
  return roles.map((role, i) => {
    const tray = fitting[i] ?? null
    const ml = tray ? fillOf(tray, paper) : null
    const sources = sourcesOf(role, bottles, [])
    const enough = sources.find(({ way, bottle, parts }) => {
      if (way === 'water') return true
      if (way === 'whole' || !bottle || !mayBeUsed(bottle)) return false
      return (
        bottle.state.volumeMl >=
        trayAmounts({ ml: ml ?? 0, parts, targetC: 20, taps: { hotC: null, coldC: null, roomC: null } }).stockMl +
          (way === 'part' ? (ml ?? 0) : 0)
      )
    })
    const all = sources.find((one) => one.way === 'whole' && one.bottle && mayBeUsed(one.bottle) && !whole.has(one.bottle.id))
    const source = enough ?? all ?? sources[0] ?? null
    if (source?.way === 'whole' && source.bottle) whole.add(source.bottle.id)
    return {
      ...{ id: uuid(), role, trayId: tray?.id ?? null, source: source?.key ?? null, newId: uuid(), overrule: '' },
      ml: source?.way === 'whole' ? (source.bottle?.state.volumeMl ?? ml) : ml,
    }
  })
}
