import { showConcentration, showDegrees, showMass, showTemperature, showVolume } from './format'
import { gallonMl, usualManner, withSign, type Manner } from './manner'

/** A figure that is a whole number or a decimal with a point, as every sentence of core is written. */
const figure = String.raw`(?<![\w.,:/])[−-]?\d+(?:\.\d+)?`
const join = String.raw`(?:–| to about | to | and | or )`
const unit = String.raw`(g\/L|°C|kg|g|ml|L)(?![\w/])`
const amounts = new RegExp(`(${figure})(?:(${join})(${figure.replace(/\(\?<!.*?\]\)/, '')}))?[ \u00a0]${unit}`, 'g')
const apart = /(?:by|within|±|more than|less than|bears?) ?$/
const apartAfter = /^ (?:off|from|apart|away|further|is what it bears)/

/**
 * A sentence of core or of the server in a person's manner. They are written in metric units with a decimal point; amounts, temperatures,
 * spans of degrees (“2.4 °C from”, “within 6 °C”), g/L and “a litre” become the person's. Example: 'It holds 500 ml at 20 °C' → 'It holds 16.9 fl oz at 68.0 °F'.
 * @example
 * inManner('It reads 20 °C.', { units: 'us', decimal: 'point' }) // → 'It reads 68.0 °F.'
 */
export function inManner(sentence: string, manner: Manner): string {
  if (manner.units === usualManner.units && manner.decimal === usualManner.decimal) return sentence
  if (manner.units === 'metric') return commas(sentence, manner)
  return sentence
    .split(/(?<=[.:;!?]) /)
    .map((clause) => usClause(clause, manner))
    .join(' ')
}

const commas = (text: string, manner: Manner): string =>
  text.replace(/(?<![\d.,:])\d+\.\d+(?![\d.]*\.\d)/g, (number) => withSign(number, manner))

/** One clause: where it speaks of a litre its grams and rolls are those of a litre. */
function usClause(clause: string, manner: Manner): string {
  const ofALitre = /\b(?:a|per|each|one) litre\b/.test(clause)
  const perGallon = gallonMl / 1000
  const one = (number: number, name: string, difference: boolean): string => {
    if (name === '°C') return difference ? showDegrees(number, manner) : showTemperature(number, manner)
    if (name === 'g/L') return showConcentration(number, manner)
    if (name === 'ml' || name === 'L') return showVolume(name === 'L' ? number * 1000 : number, manner)
    return showMass((name === 'kg' ? number * 1000 : number) * (ofALitre ? perGallon : 1), manner)
  }
  let said = clause.replace(
    amounts,
    (whole, first: string, joined: string | undefined, second: string | undefined, name: string, at: number) => {
      const difference = name === '°C' && (apart.test(clause.slice(0, at)) || apartAfter.test(clause.slice(at + whole.length)))
      const value = (text: string) => Number(text.replace('−', '-'))
      if (joined === undefined || second === undefined) return one(value(first), name, difference)
      const [low, high] = [one(value(first), name, difference), one(value(second), name, difference)]
      const [lowNumber, lowUnit] = low.split(' ')
      return high.endsWith(` ${lowUnit}`) ? `${lowNumber}${joined}${high}` : `${low}${joined}${high}`
    },
  )
  if (ofALitre)
    said = said
      .replace(
        /(\d+(?:\.\d+)?)( (?:colour )?(?:rolls?|prints?))(?= (?:a|per) litre\b)/g,
        (_, count: string, what: string) => `${withSign((Number(count) * perGallon).toFixed(1).replace(/\.0$/, ''), manner)}${what}`,
      )
      .replace(/\b(a|per|each|one) litre\b/g, '$1 gallon')
  return manner.decimal === 'comma' ? commas(said, manner) : said
}
