import { goodForWords, leftWords } from '../bottle/lifeWords'
import { agitations, mayBeUsed, pouredFirst, showParts, showVolume } from '@selvrin/core'
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

/** A bath that is used again is offered as it is, and at dilutions its formula knows; what is mixed for one run at every charted one. */
function chartedFor(bottle: Bottle, rows: ChartRow[]): ChartRow[] {
  const own = rows.filter((row) => row.formulaId === bottle.formulaId)
  const asItIs = own.filter((row) => row.parts.join() === (bottle.parts ?? [1]).join())
  if (bottle.parts !== null) return asItIs
  if (bottle.use.school === 'one-shot' || asItIs.length === 0) return own
  const diluted = new Set(bottle.use.dilutions.map((parts) => parts.join()))
  return [...asItIs, ...own.filter((row) => !asItIs.includes(row) && diluted.has(row.parts.join()))]
}

/** Bottles of film developer for which the chart has a time for this film, at every charted dilution. */
export function developerChoices(bottles: Bottle[], chart: ChartRow[], film: string | null, ei: number): DeveloperChoice[] {
  const rows = chart.filter((row) => row.film === film && row.ei === ei)
  return bottles
    .filter((bottle) => bottle.family === 'film-developer' && bottle.retiredAt === null)
    .sort(pouredFirst)
    .flatMap((bottle) =>
      uniqueTexts(chartedFor(bottle, rows).map((row) => row.parts.join('+'))).map((text) => {
        const parts = text.split('+').map(Number)
        return {
          value: `${bottle.id} ${text}`,
          name: `${bottle.label} ${bottle.name}, ${parts.length > 1 ? text : showParts(null)}`,
          detail: detail(bottle),
          disabled: !mayBeUsed(bottle),
          bottleId: bottle.id,
          formulaId: bottle.formulaId,
          charted: parts,
          parts: bottle.parts === null ? parts : [1],
        }
      }),
    )
}

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
  return uniqueTexts(rows.map((row) => row.source)).map((name) => ({
    value: name || 'no source',
    name: name || 'no source',
    rows: rows.filter((row) => row.source === name),
  }))
}

const forPaper = (bottle: Bottle): boolean => bottle.use.fixes !== undefined && bottle.use.fixes !== 'film'

/** Bottles of a family, those for film before those for paper, the oldest that can still serve first. */
export const bathChoices = (bottles: Bottle[], family: string) =>
  bottles
    .filter((bottle) => bottle.family === family && bottle.retiredAt === null)
    .sort(
      (a, b) =>
        Number(!mayBeUsed(a)) - Number(!mayBeUsed(b)) ||
        Number(forPaper(a)) - Number(forPaper(b)) ||
        Number(a.parts === null && (a.use.dilutions[0] ?? [1]).length > 1) -
          Number(b.parts === null && (b.use.dilutions[0] ?? [1]).length > 1) ||
        pouredFirst(a, b),
    )
    .map((bottle) => ({
      value: bottle.id,
      name: `${bottle.label} ${bottle.name}, ${showParts(bottle.parts)}`,
      detail: detail(bottle),
      disabled: !mayBeUsed(bottle),
      rolls: bottle.state.rollsLeft ?? Infinity,
    }))

/** A bottle that should not be used can be chosen all the same: the plan then asks for the reason. */
export const pickable = <C extends { name: string; detail?: string; disabled?: boolean }>(choices: C[]): C[] =>
  choices.map((choice) => (choice.disabled ? { ...choice, disabled: false, detail: `only with a reason: ${choice.detail ?? ''}` } : choice))

/** What is poured between developer and fixer: a bottle, or water. */
export const stopChoices = (bottles: Bottle[]) => [
  ...bathChoices(bottles, 'stop-bath'),
  { value: 'none', name: 'Water instead', detail: 'after it the fixer carries the developer’s alkali', disabled: false, rolls: Infinity },
]

/** The second baths that may follow a first fixer: of its formula, and paired with one. */
export function secondFixers(bottles: Bottle[], first: Bottle | undefined) {
  const seconds = bottles.filter((one) => one.formulaId === first?.formulaId && one.state.twoBath?.position === 2)
  return bathChoices(seconds, 'fixer')
}

/** The oldest bottle that bears two rolls or the films already named. */
export const firstThatServes = (choices: { value: string; disabled: boolean; rolls: number }[], films: number): string | null =>
  choices.find((choice) => !choice.disabled && choice.rolls >= Math.max(2, films))?.value ?? null

const fits = (vessel: Vessel, format: Format): boolean => vessel.format === (format === '120' ? '120' : '135')

export const vesselChoices = (vessels: Vessel[], format: Format) =>
  vessels
    .filter((vessel) => fits(vessel, format))
    .map((vessel) => ({
      value: vessel.id,
      name: vessel.name,
      detail: `${vessel.reels} ${vessel.reels === 1 ? 'reel' : 'reels'}, ${vessel.kind === 'rotary' ? 'rotary' : 'by hand'}`,
    }))

/** The first tank that takes that many films of a format. */
export const vesselFor = (vessels: Vessel[], format: Format, films: number): string | null =>
  vessels.find((vessel) => fits(vessel, format) && vessel.reels >= films)?.id ?? null

export const formats = [
  { value: '135-36' as const, name: '135, 36 exposures' },
  { value: '135-24' as const, name: '135, 24 exposures' },
  { value: '135-12' as const, name: '135, 12 exposures' },
  { value: '120' as const, name: '120' },
]
export type Format = (typeof formats)[number]['value']

export const pushes = ['-2', '-1', '0', '1', '2', '3'].map((value) => ({
  value,
  name: value === '0' ? 'as exposed' : Number(value) > 0 ? `push ${value}` : `pull ${value.slice(1)}`,
}))

export const agitationChoices = Object.entries(agitations)
  .filter(([key]) => key !== 'none')
  .map(([value, one]) => ({ value, name: one.name }))
