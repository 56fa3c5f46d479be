import {
  beakerWater,
  inManner,
  reelPlace,
  showParts,
  showTemperature,
  showTime,
  showVolume,
  washFigures,
  type Manner,
  type Plan,
  type PlanStep,
} from '@selvrin/core'
import type { Darkroom, Run } from '@selvrin/core/contract'
import { bottom, ladder, left, right } from './ladder'
import { finished, mark, mm, newDocument, oneLine, printable, qr, type Page } from './page'

type Taps = Pick<Darkroom, 'tapHotC' | 'tapColdC' | 'roomC'>

/** What stands in the beaker of a step, and how its water is taken from the taps. */
function beaker(plan: Plan, step: PlanStep, { tapHotC, tapColdC, roomC }: Taps): string {
  const { liquid } = step
  if (typeof liquid === 'object' && 'savedFrom' in liquid)
    return `what “${plan.steps.find((one) => one.key === liquid.savedFrom)?.name ?? liquid.savedFrom}” left`
  const taps = tapHotC !== null && tapColdC !== null && roomC !== null ? { hotC: tapHotC, coldC: tapColdC, roomC } : null
  const blend = taps ? beakerWater(step, taps) : null
  const water =
    blend === 'unreached'
      ? 'the taps alone do not reach its temperature'
      : blend
        ? `${showVolume(Math.round(blend.hotMl))} hot and ${showVolume(Math.round(blend.coldMl))} cold water`
        : ''
  const from = step.bottle
    ? `${step.bottle.label} ${step.bottle.name}${step.partsMl.length > 1 ? `, ${showParts(step.bottle.parts)}: ${showVolume(step.partsMl[0] ?? 0)} of it` : ''}`
    : ''
  return [from, water].filter(Boolean).join(', ')
}

function fateOf({ fate, bottle }: PlanStep): string {
  if (fate === 'back') return bottle?.oneShot ? 'then pour it away' : 'pour it back'
  if (fate === 'drain') return ''
  if (fate === 'discard') return bottle && !bottle.oneShot ? 'pour it back' : 'then to the waste'
  return 'saveAs' in fate ? 'save it' : `then to the drum ${fate.drum}`
}
const lightOf = ({ light }: PlanStep): string =>
  light === 'dark'
    ? 'in the dark'
    : light === 'tank'
      ? 'tank closed'
      : light === 'white'
        ? 'white light allowed'
        : `safelight, ${light.safelight}`

/** What is done in a step besides its time. */
const watch = (plan: Plan, step: PlanStep, taps: Taps): string =>
  [
    beaker(plan, step, taps),
    showTemperature(step.temperatureC),
    step.agitation.name === 'none' ? '' : step.agitation.name,
    lightOf(step),
    fateOf(step),
    step.note ?? '',
  ]
    .filter(Boolean)
    .join(' · ')

function heading(doc: Page, run: Run, origin: string, manner: Manner): number {
  const { plan } = run
  const width = right - left - 46 - 70
  mark(doc, plan.steps.find((step) => step.bottle)?.family ?? 'other', left, 18 * mm, 34)
  oneLine(doc, `Run ${run.number}: ${plan.processName}`, left + 46, 18 * mm, width, 'bold', 20)
  const developer = plan.developing ? `developed ${showTime(plan.developing.seconds, 5)} at ${showTemperature(plan.temperatureC)}` : ''
  const place = reelPlace(
    plan.vessel,
    plan.films.reduce((sum, film) => sum + film.count, 0),
  )
  oneLine(
    doc,
    inManner([plan.vessel.name, developer, showVolume(plan.vessel.coversMl)].filter(Boolean).join(' · '), manner),
    left + 46,
    18 * mm + 26,
    width,
    'text',
    10,
  )
  qr(doc, `${origin}/tanks/${run.id}`, right - 52, 16 * mm, 52)
  let y = 40 * mm
  for (const film of [...run.filmRows].sort((a, b) => (a.reel ?? 0) - (b.reel ?? 0))) {
    oneLine(
      doc,
      `${film.reel ?? '–'}   ${film.film}, ${film.format}, exposed at ${film.ei}   ${film.member}   hanger ______   sleeve ____________`,
      left,
      y,
      right - left,
      'text',
      11,
    )
    y += 17
  }
  if (place) {
    oneLine(doc, `Reels from the bottom; ${place}.`, left, y, right - left, 'text', 9.5)
    y += 14
  }
  return y + 6
}

/** A run on paper: its films and reels, every step with its clock, its beaker, its light and a box to tick, and room for what was measured. */
export function runSheetPdf(run: Run, taps: Taps, origin: string, manner: Manner): Promise<Uint8Array> {
  const { plan } = run
  const doc = newDocument('A4', `Run ${run.number}`)
  const { rung, reached } = ladder(doc, manner, heading(doc, run, origin, manner))
  let clock = 0
  for (const [i, step] of plan.steps.entries()) {
    rung(showTime(step.seconds, 5), `${i + 1}  ${step.name}, from ${showTime(clock, 5)}${step.waits ? '' : ' on'}`, watch(plan, step, taps))
    clock += step.seconds
  }
  closing(doc, reached(), run, manner)
  return finished(doc)
}

/** What the wash leaves, what speaks against the plan, cautions, and what is written by hand. */
function closing(doc: Page, from: number, { plan, overruled }: Run, manner: Manner): void {
  let y = from + 8
  const say = (text: string, font: 'text' | 'bold' = 'text'): void => {
    const said = printable(inManner(text, manner))
    const height = doc
      .font(font)
      .fontSize(9.5)
      .heightOfString(said, { width: right - left })
    if (y + height > bottom) {
      doc.addPage({ size: 'A4', margin: 0 })
      y = 20 * mm
    }
    doc.text(said, left, y, { width: right - left })
    y += height + 3
  }
  for (const finding of plan.findings.filter((one) => one.severity !== 'advice')) say(finding.message, 'bold')
  if (overruled) say(`Overruled: ${overruled}`)
  for (const warning of washFigures(plan)?.warnings ?? []) say(warning, 'bold')
  say(
    'Gloves, eye protection, apron; air on. The supplier’s safety sheet decides. Skin or eye: water for 15 to 20 minutes, and call. Waste by your local rules.',
  )
  y += 8
  const unit = manner.units === 'us' ? '°F' : '°C'
  say(`Developer in ______ ${unit}   out ______ ${unit}   poured at ________   hung at ________   by ________________`)
}
