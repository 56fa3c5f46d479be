import { lookAlikesOf, namesOf } from '@selvrin/core'
import { catalogue } from './chemistry'

/** 'also hypo, thiosulphate · CAS 10102-17-7' */
export function alsoCalled(id: string): string {
  const { others, cas } = namesOf(id)
  return [others.length > 0 ? `also ${others.join(', ')}` : '', cas === null ? '' : `CAS ${cas}`].filter(Boolean).join(' · ')
}

/** 'Not Sodium sulfate, not Sodium sulfide, 9-water.': the names that are read for this one. */
export function notTheSame(id: string): string {
  const others = [...new Set(lookAlikesOf(id, catalogue()).map((other) => catalogue()[other]?.name ?? other))]
  return others.length === 0 ? '' : `Not ${others.join(', not ')}.`
}
