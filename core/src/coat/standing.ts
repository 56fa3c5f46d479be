import { conflict, impossible } from '../error'
import type { Finding } from '../finding'
import { stripReading, type StripSteps } from '../print/strip'
import type { CoatAct } from './acts'
import type { UvLight } from './light'
import { negativeFits } from './negative'
import { scaleOfSheet, type CoatedBody } from './sheet'
import { coatedKeepsH, coatedSteps } from './steps'

/** An act as it was written: when (ms), under which light, what was poured. */
export interface CoatTold {
  at: number
  act: CoatAct
  /** of strips and exposures */
  light: UvLight | null
}

/** A strip of a sheet, and what was read off it: s, null until somebody reads it. */
export interface CoatStrip {
  steps: StripSteps
  bands: number
  light: UvLight
  chosen: [number] | [number, number] | null
  seconds: number | null
}

/** How far a hand-coated print is. */
export interface CoatStanding {
  stage: 'coat' | 'dry' | 'expose' | 'process' | 'done'
  /** ms */
  coatedAt: number | null
  drySeconds: number | null
  humidity: number | null
  strip: CoatStrip | null
  exposed: { seconds: number; light: UvLight } | null
  /** which of `coatedSteps` comes next */
  step: number
  /** s each step took; null where it was not timed, or not done */
  tookS: (number | null)[]
  said: string
  /** the last act that holds, where it may be taken back */
  last: (typeof takenBack)[number] | null
}

/** What was only said can be taken back; what was poured or had its light cannot. */
const takenBack = ['dry', 'read', 'step', 'done'] as const
const mayGoBack = (kind: CoatAct['kind'] | undefined): CoatStanding['last'] => takenBack.find((one) => one === kind) ?? null

/** the first step after drying and exposing */
const firstBath = 2

function after(standing: CoatStanding, { at, act, light }: CoatTold, steps: number): CoatStanding {
  switch (act.kind) {
    case 'coat':
      return { ...standing, stage: 'dry', coatedAt: at, humidity: act.humidity }
    case 'dry':
      return { ...standing, stage: 'expose', drySeconds: act.seconds, step: 1, tookS: [act.seconds] }
    case 'strip': {
      const steps: StripSteps = { by: 'stops', firstS: act.firstS, stepStops: act.stepStops }
      return light ? { ...standing, strip: { steps, bands: act.bands, light, chosen: null, seconds: null } } : standing
    }
    case 'read':
      return standing.strip
        ? {
            ...standing,
            strip: { ...standing.strip, chosen: act.chosen, seconds: stripReading(standing.strip.steps, standing.strip.bands, act.chosen) },
          }
        : standing
    case 'expose':
      return {
        ...standing,
        ...{ stage: 'process', exposed: light && { seconds: act.seconds, light }, step: firstBath },
        tookS: [standing.drySeconds, act.seconds],
      }
    case 'step': {
      const tookS = [...standing.tookS]
      tookS[act.step] = act.seconds
      return { ...standing, tookS, step: Math.min(steps, act.step + 1) }
    }
    case 'done':
      return { ...standing, stage: 'done', said: act.said }
    case 'back':
      return standing
  }
}

/**
 * How far a print is, by what was written down of it, the first first.
 * @example
 * coatStanding('cyanotype', []).stage // → 'coat'
 */
export function coatStanding(process: CoatedBody['process'], told: CoatTold[]): CoatStanding {
  const steps = coatedSteps(process).length
  const fresh: CoatStanding = {
    ...{ stage: 'coat', coatedAt: null, drySeconds: null, humidity: null, strip: null, exposed: null },
    ...{ step: 0, tookS: [], said: '', last: null },
  }
  const holds = told.reduce<CoatTold[]>((kept, one) => (one.act.kind === 'back' ? kept.slice(0, -1) : [...kept, one]), [])
  return { ...holds.reduce((standing, one) => after(standing, one, steps), fresh), last: mayGoBack(holds.at(-1)?.act.kind) }
}

const stageFor: Record<CoatAct['kind'], CoatStanding['stage'][]> = {
  coat: ['coat'],
  dry: ['dry'],
  strip: ['expose'],
  read: ['expose'],
  expose: ['expose'],
  step: ['process'],
  done: ['coat', 'dry', 'expose', 'process'],
  back: ['coat', 'dry', 'expose', 'process', 'done'],
}
const stageSays: Record<CoatStanding['stage'], string> = {
  coat: 'It is not coated yet.',
  dry: 'It is drying: say first that it is dry.',
  expose: 'It is dry, and was not exposed yet.',
  process: 'It was exposed already, and is in its baths.',
  done: 'It is finished already.',
}

/**
 * Refuses what cannot come next.
 * @throws Refused 'out-of-turn', 'no-strip', 'no-step', 'stays', DomainError 'no-band'
 * @example
 * requireCoatAct('cyanotype', coatStanding('cyanotype', []), { kind: 'done', said: 'spoiled' }) // → undefined
 */
export function requireCoatAct(process: CoatedBody['process'], standing: CoatStanding, act: CoatAct): void {
  if (!stageFor[act.kind].includes(standing.stage)) throw conflict('out-of-turn', stageSays[standing.stage])
  if (act.kind === 'back' && standing.last === null)
    throw conflict('stays', 'There is nothing to take back: what was poured, or had its light, stays as it was written.')
  if (act.kind === 'read') {
    if (!standing.strip) throw impossible('no-strip', 'No strip was exposed yet.', { field: 'chosen' })
    stripReading(standing.strip.steps, standing.strip.bands, act.chosen)
  }
  if (act.kind === 'step' && (act.step !== standing.step || act.step >= coatedSteps(process).length))
    throw conflict('out-of-turn', 'Somebody wrote that step down already.')
}

const wetS = 20 * 60
const damp = { from: 50, to: 60 }
const hourMs = 3_600_000
const finding = (rule: string, severity: Finding['severity'], message: string): Finding => ({ rule, severity, message })

/**
 * What is to be said of a print: its negative, the air it was coated in, how long it lies.
 * @param now ms
 * @example
 * coatFindings(cyanotypeSheet, coatStanding('cyanotype', []), 0) // → []
 */
export function coatFindings(body: CoatedBody, standing: CoatStanding, now: number): Finding[] {
  const found = body.range === null ? [] : negativeFits(body.range, scaleOfSheet(body))
  const { humidity, coatedAt, exposed, drySeconds } = standing
  if (humidity !== null && (humidity < damp.from || humidity > damp.to))
    found.push(
      finding('coat-humidity', 'advice', `Coated at ${humidity} % of humidity: paper takes it evenly at ${damp.from} to ${damp.to} %.`),
    )
  if (drySeconds !== null && drySeconds < wetS && exposed === null)
    found.push(
      finding('coat-wet', 'warning', `It dried for ${Math.round(drySeconds / 60)} minutes: under 20 it is damp, and stains the negative.`),
    )
  const keepsH = coatedKeepsH[body.process]
  if (coatedAt !== null && exposed === null && standing.stage !== 'done' && now - coatedAt > keepsH * hourMs)
    found.push(
      finding(
        'coat-old',
        'warning',
        `It was coated ${Math.floor((now - coatedAt) / hourMs)} hours ago and keeps ${keepsH}: it may be fogged. A strip first.`,
      ),
    )
  return found
}
