import { formats } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'

/** The usual load, in films or sheets; the bottle's page takes any other. */
export const usualLoad = 2

/** What usually goes through a bath, as one of core's formats. */
export function usualFormat(bottle: Pick<Bottle, 'family' | 'use'>): string {
  if (bottle.use.fixes === 'fibre-paper') return 'fibre-8x10in'
  return bottle.family === 'print-developer' || bottle.use.fixes === 'rc-paper' ? 'paper-8x10in' : '135-36'
}

/** It is counted in prints, not in rolls. */
export const paperBath = (bottle: Pick<Bottle, 'family' | 'use'>): boolean => formats[usualFormat(bottle)]?.paper === true
