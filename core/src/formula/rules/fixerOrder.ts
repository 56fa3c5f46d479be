import type { Catalogue } from '../../chemical/chemical'
import { reachOf, type Reach } from '../../meeting/reach'
import { showMass } from '../../quantity/format'
import { is, isAny, type Line } from '../lines'
import { after, before, finding, moveAfter, moveBefore, type Rule } from './rule'

const sulfites = (line: Line): boolean => isAny(line, 'sulfite', 'acid-sulfite')
const acids = (line: Line): boolean => isAny(line, 'weak-acid', 'strong-acid', 'concentrated-acid')

/** mol/L of acid that is too little to bring sulfur out */
const traceAcid = 0.005
/** mol of sulfite for one of acid that keeps the sulfur in: usual fixers hold half. Rounded literature value. */
const enoughSulfite = 0.2
/** pH under which thiosulfate without sulfite falls apart, and over which alum comes out as hydroxide. Rounded literature values. */
const sulfurUnder = 5
const hydroxideOver = 5.5

const moles = (lines: Line[], each: (line: Line) => number): number =>
  lines.reduce(
    (sum, line) => sum + (each(line) * line.gramsPerLitre * (line.chemical.content ?? 1)) / (line.chemical.molarMass ?? Infinity),
    0,
  )
/** mol of protons an acid can give, mol of sulfite a sulfite brings */
const protonsOf = ({ chemical }: Line): number => (/citric/.test(chemical.id) ? 3 : /tartaric|oxalic|sulfuric/.test(chemical.id) ? 2 : 1)
const sulfitesOf = (line: Line): number => (is(line, 'acid-sulfite') ? (line.chemical.units ?? 2) : 1)

const phOf = (lines: Line[], catalogue: Catalogue): Reach =>
  reachOf(
    lines.map(({ chemical, gramsPerLitre }) => ({ chemical, gramsPerLitre, form: 'solution' })),
    catalogue,
  )

/** mix-7: in fixers thiosulfate, sulfite, acid, boric acid, alum last and below 30 °C. */
export const fixerOrder: Rule = (_formula, lines, catalogue) => {
  const thiosulfate = lines.filter((line) => is(line, 'thiosulfate'))
  if (thiosulfate.length === 0) return []
  const sulfur = thiosulfate.flatMap((fixer) => {
    const meeting = lines.find((line) => acids(line) && line.step > fixer.step) ?? lines.find(acids)
    if (!meeting) return []
    const second = meeting.step > fixer.step ? meeting : fixer
    const inIt = lines.slice(0, second.step + 1)
    const acid = moles(inIt.filter(acids), protonsOf)
    const sulfite = moles(inIt.filter(sulfites), sulfitesOf)
    // the two in one bought liquid, or a whiff of acid, bring nothing out
    if (acid <= traceAcid || sulfite >= enoughSulfite * acid || phOf(inIt, catalogue).low >= sulfurUnder) return []
    const laterSulfite = after(lines, second).find(sulfites)
    return [
      finding(
        'mix-7',
        'error',
        sulfite === 0
          ? `${meeting.chemical.name} meets thiosulfate without sulfite: sulfur comes out and the fixer is milky for good. Dissolve the sulfite before the acid.`
          : `${meeting.chemical.name} meets thiosulfate with too little sulfite for so much acid: sulfur comes out and the fixer is milky for good. It wants at least ${showMass(enoughSulfite * acid * 126.04)} of sulfite a litre before the acid.`,
        second.step,
        laterSulfite && moveBefore(laterSulfite, second),
      ),
    ]
  })
  const early = lines
    .filter((line) => sulfites(line) && after(lines, line).some((later) => is(later, 'thiosulfate')))
    .map((line) =>
      finding(
        'mix-7',
        'advice',
        `${line.chemical.name} goes in after the thiosulfate, which needs the warm water most.`,
        line.step,
        moveAfter(line, thiosulfate.at(-1) ?? line),
      ),
    )
  const boric = lines
    .filter((line) => is(line, 'boric-acid') && after(lines, line).some(acids))
    .map((line) =>
      finding(
        'mix-7',
        'advice',
        'Boric acid goes in after the acid and before the alum.',
        line.step,
        moveAfter(line, lines.findLast(acids) ?? line),
      ),
    )
  const alum = lines.filter((line) => is(line, 'alum')).flatMap((line) => alumFindings(line, lines, catalogue))
  return [...unique(sulfur), ...early, ...boric, ...alum]
}

function alumFindings(alum: Line, lines: Line[], catalogue: Catalogue) {
  const acidBefore = phOf(before(lines, alum), catalogue).high <= hydroxideOver
  const any = before(lines, alum).some((line) => acids(line) || is(line, 'acid-sulfite'))
  const laterAcid = after(lines, alum).findLast((line) => acids(line) || is(line, 'acid-sulfite'))
  const order = acidBefore
    ? []
    : [
        finding(
          'mix-7',
          'error',
          any && !laterAcid
            ? `${alum.chemical.name} goes into a fixer that is not acid enough: hydroxide comes out and it is milky for good. It wants a pH of 5.5 or less before the alum.`
            : `${alum.chemical.name} before the acid: aluminium hydroxide comes out and the fixer is milky for good. Add the acid first.`,
          alum.step,
          laterAcid && moveAfter(alum, laterAcid),
        ),
      ]
  const last = after(lines, alum).some((line) => !is(line, 'alum'))
    ? [finding('mix-7', 'warning', `${alum.chemical.name} goes in last of all.`, alum.step, moveAfter(alum, lines.at(-1) ?? alum))]
    : []
  const warm =
    alum.celsius >= 30
      ? [
          finding(
            'mix-7',
            'warning',
            `${alum.chemical.name} goes in at ${alum.celsius} °C: let the fixer cool below 30 °C first.`,
            alum.step,
            { kind: 'temperature', step: alum.step, celsius: 25 },
          ),
        ]
      : []
  return [...order, ...last, ...warm]
}

const unique = <T extends { step?: number }>(findings: T[]): T[] => [...new Map(findings.map((one) => [one.step, one])).values()]
