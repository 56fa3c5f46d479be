import { showMass } from '../quantity/format'
import type { Line } from './lines'
import { is } from './lines'

/** g/L that dissolve without caking when they go in together. Rounded literature value. */
const portionGramsPerLitre = 25

function inPortions(line: Line): string {
  const count = Math.ceil(line.gramsPerLitre / portionGramsPerLitre)
  return count < 2 ? 'Slowly' : `In ${count} portions of about ${showMass(line.grams / count)}`
}

/**
 * What to watch while an addition goes in, in one sentence; empty where nothing is special.
 * @example
 * whatToWatch(metolLine) // → 'Stir until no grain is left: it will not dissolve once the sulfite is in.'
 */
export function whatToWatch(line: Line): string {
  if (line.addition.note) return line.addition.note
  if (line.dissolved) return 'Measure it with a syringe or a small graduate; it counts towards the water.'
  if (is(line, 'hydroxide')) return 'A little at a time into cold water, stirring: it heats hard and burns skin and eyes.'
  if (is(line, 'strong-acid')) return 'Acid into water, never water into acid: slowly, stirring, away from your face.'
  if (is(line, 'weak-acid')) return 'Slowly, stirring well.'
  if (line.chemical.id === 'metol') return 'Stir until no grain is left: it will not dissolve once the sulfite is in.'
  if (is(line, 'sulfite')) return `${inPortions(line)}, stirring, until clear; poured in at once it cakes.`
  if (is(line, 'acid-sulfite')) return 'Cool water and an open door: it gives off choking gas.'
  if (line.chemical.id === 'sodium-thiosulfate-pentahydrate') return `${inPortions(line)}: it cools the water hard, stir long.`
  if (is(line, 'alum')) return 'Only when the bath has cooled below 30 °C, slowly, stirring.'
  if (is(line, 'developing-agent')) return 'No dust: open the jar low over the water and stir until clear.'
  if (is(line, 'restrainer')) return 'A small weight: weigh it on paper, twice.'
  if (is(line, 'alkali')) return 'Stir until clear; the solution may warm a little.'
  return 'Stir until clear.'
}
