import { is, isAny, type Line } from '../lines'
import { after, before, finding, moveAfter, moveBefore, type Rule } from './rule'

const sulfites = (line: Line): boolean => isAny(line, 'sulfite', 'acid-sulfite')
const acids = (line: Line): boolean => isAny(line, 'weak-acid', 'strong-acid', 'concentrated-acid')

/** mix-7: in fixers thiosulfate, sulfite, acid, boric acid, alum last and below 30 °C. */
export const fixerOrder: Rule = (_formula, lines) => {
  const thiosulfate = lines.filter((line) => is(line, 'thiosulfate'))
  if (thiosulfate.length === 0) return []
  const sulfur = thiosulfate.flatMap((fixer) => {
    const meeting = lines.find((line) => acids(line) && line.step > fixer.step) ?? lines.find(acids)
    if (!meeting) return []
    const second = meeting.step > fixer.step ? meeting : fixer
    const laterSulfite = after(lines, second).find(sulfites)
    return before(lines, second).some(sulfites)
      ? []
      : [
          finding(
            'mix-7',
            'error',
            `${meeting.chemical.name} meets thiosulfate without sulfite: sulfur comes out and the fixer is milky for good. Dissolve the sulfite before the acid.`,
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
  const alum = lines.filter((line) => is(line, 'alum')).flatMap((line) => alumFindings(line, lines))
  return [...unique(sulfur), ...early, ...boric, ...alum]
}

function alumFindings(alum: Line, lines: Line[]) {
  const acidBefore = before(lines, alum).some((line) => acids(line) || is(line, 'acid-sulfite'))
  const laterAcid = after(lines, alum).findLast((line) => acids(line) || is(line, 'acid-sulfite'))
  const order = acidBefore
    ? []
    : [
        finding(
          'mix-7',
          'error',
          `${alum.chemical.name} before the acid: aluminium hydroxide comes out and the fixer is milky for good. Add the acid first.`,
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
