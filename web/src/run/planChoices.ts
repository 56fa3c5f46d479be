import { goodForWords, leftWords } from '../bottle/lifeWords'
import {
  agitations,
  bathsOf,
  developersFor,
  filmsIn,
  loadKindOf,
  secondBathsOf,
  showParts,
  showVolume,
  vesselsFor,
  type BathAt,
  type ProcessStep,
} from '@selvrin/core'
import type { Bottle, ChartRow, Vessel } from '@selvrin/core/contract'
import { showRolls } from '../marks/words'

export const uniqueTexts = (texts: string[]): string[] => [...new Set(texts)].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }))

/** What other planned runs want of it is said, and counted by the plan's own checks. */
const reservedFor = ({ reserved }: Bottle): string =>
  reserved && reserved.runs.length > 0
    ? `; reserved for run ${reserved.runs.join(', ')}: ${[reserved.ml > 0 ? showVolume(reserved.ml) : '', reserved.rolls > 0 ? showRolls(reserved.rolls) : ''].filter(Boolean).join(', ')}`
    : ''
const detail = (bottle: Bottle): string =>
  `${showVolume(bottle.state.volumeMl)}, ${[leftWords(bottle), goodForWords(bottle)].filter(Boolean).join(', ')}${reservedFor(bottle)}`

export interface DeveloperChoice {
  value: string
  name: string
  detail: string
  disabled: boolean
  bottleId: string
  formulaId: string
  /** the dilution the chart speaks of */
  charted: number[]
  /** how it is diluted for the run; working strength is poured as it is */
  parts: number[]
}

/** Bottles of developer for which the chart has a time for this film, at every charted dilution. */
export const developerChoices = (
  bottles: Bottle[],
  chart: ChartRow[],
  film: string | null,
  ei: number,
  family = 'film-developer',
): DeveloperChoice[] =>
  developersFor(bottles, chart, { film, ei, family }).map(({ bottle, charted, parts, serves }) => ({
    value: `${bottle.id} ${charted.join('+')}`,
    name: `${bottle.label} ${bottle.name}, ${charted.length > 1 ? charted.join('+') : showParts(null)}`,
    detail: detail(bottle),
    disabled: !serves,
    bottleId: bottle.id,
    formulaId: bottle.formulaId,
    charted,
    parts,
  }))

/** The chart's sources for one film, developer and dilution; each is a full set of temperatures. */
export function sourcesOf(
  chart: ChartRow[],
  film: string | null,
  ei: number,
  formulaId: string | undefined,
  parts: number[] | undefined,
): { value: string; name: string; rows: ChartRow[] }[] {
  const rows = chart.filter(
    (row) => row.film === film && row.ei === ei && row.formulaId === formulaId && row.parts.join() === parts?.join(),
  )
  const each = uniqueTexts(rows.map((row) => row.source)).map((name) => ({
    value: name || 'no source',
    name: name || 'no source',
    rows: rows.filter((row) => row.source === name),
  }))
  return each.length < 2 ? each : [...each, { value: 'between them', name: 'Between them', rows }]
}

/** A bottle at a dilution it may be poured at. */
export interface BathChoice {
  value: string
  name: string
  detail: string
  disabled: boolean
  rolls: number
  bottleId: string
  parts: number[]
}

const bathChoice = ({ bottle, parts, serves }: BathAt<Bottle>, partOf: Record<string, string>): BathChoice => ({
  value: `${bottle.id} ${parts.join('+')}`,
  name: `${bottle.label} ${bottle.name}, ${showParts(parts.length > 1 ? parts : bottle.parts)}`,
  detail: partOf[bottle.formulaId] ? `only a part of ${partOf[bottle.formulaId]}` : detail(bottle),
  disabled: !serves,
  rolls: bottle.state.rollsLeft ?? Infinity,
  bottleId: bottle.id,
  parts,
})

/** Bottles of a family at each of their dilutions, in the order in which they are put to work. */
export const bathChoices = (bottles: Bottle[], family: string, partOf: Record<string, string> = {}): BathChoice[] =>
  bathsOf(bottles, family, partOf).map((bath) => bathChoice(bath, partOf))

/** A bottle that should not be used can be chosen all the same: the plan then asks for the reason. */
export const pickable = <C extends { name: string; detail?: string; disabled?: boolean }>(choices: C[]): C[] =>
  choices.map((choice) => (choice.disabled ? { ...choice, disabled: false, detail: `only with a reason: ${choice.detail ?? ''}` } : choice))

/** The second baths that may follow a first one of a two-bath pair. */
export const secondBaths = (bottles: Bottle[], first: Bottle | undefined): BathChoice[] =>
  secondBathsOf(bottles, first).map((bath) => bathChoice(bath, {}))

/** The oldest bottle that bears two rolls or the films already named. */
export const firstThatServes = (choices: { value: string; disabled: boolean; rolls: number }[], films: number): string | null =>
  choices.find((choice) => !choice.disabled && choice.rolls >= Math.max(2, films))?.value ?? null

/** Tanks that take a format, of the kind a process is for, those made for it first. */
export const vesselChoices = (vessels: Vessel[], format: Format, kind?: Vessel['kind']) =>
  vesselsFor(vessels, format, kind).map((vessel) => {
    const places = filmsIn(vessel, format)
    const what = loadKindOf(format) === 'sheets' ? ['sheet', 'sheets'] : ['film', 'films']
    return {
      value: vessel.id,
      name: vessel.name,
      detail: `${places} ${what[places === 1 ? 0 : 1]}, ${vessel.kind === 'rotary' ? 'rotary' : 'by hand'}`,
    }
  })

/** What film comes in; sheets are counted one by one. */
export const formats = [
  { value: '135-36' as const, name: '135, 36 exposures' },
  { value: '135-24' as const, name: '135, 24 exposures' },
  { value: '135-12' as const, name: '135, 12 exposures' },
  { value: '120' as const, name: '120' },
  { value: '220' as const, name: '220' },
  { value: '4x5in' as const, name: 'Sheets, 4×5 in' },
]
export type Format = (typeof formats)[number]['value']

const pushName = (stops: number): string =>
  stops === 0 ? 'as exposed' : `${stops > 0 ? 'push' : 'pull'} ${Math.abs(stops).toLocaleString('en')}`
const halves = (from: number, to: number): number[] => Array.from({ length: (to - from) * 2 + 1 }, (_, i) => from + i / 2)

/** How far film may be pushed or pulled in a process, by halves of a stop: by its own factors, else as far as black-and-white film bears. */
export function pushChoices(steps: Pick<ProcessStep, 'push' | 'time'>[]): { value: string; name: string }[] {
  const own = steps.flatMap((step) => step.push?.map((one) => one.stops) ?? [])
  const charted = steps.some((step) => step.time === 'chart')
  const stops = charted ? halves(-2, 3) : own.length > 0 ? halves(Math.min(0, ...own), Math.max(0, ...own)) : [0]
  return stops.map((one) => ({ value: String(one), name: pushName(one) }))
}

export const agitationChoices = Object.entries(agitations)
  .filter(([key]) => key !== 'none')
  .map(([value, one]) => ({ value, name: one.name }))
