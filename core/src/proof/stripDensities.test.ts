import { contactSeconds } from '../print/calibration'
import { areaLight, type Area } from './density'
import { stripDensities } from './stripDensities'
import { testPicture } from './testPicture'

const wanted = [1.4, 1.75, 1.95, 2.05, 2.07, 2.08]
/** A strip of those bands in a made-up photograph, marked as a whole, with the bare paper beside it. */
function strip(ask: { densities: number[]; lightLevel?: number; seed?: number }) {
  const made = testPicture({ width: 1400, height: 500, ...ask })
  const light = (area: Area) => areaLight(made.rgba, made.width, area)
  const slot = made.width / (ask.densities.length + 1)
  const whole: Area = { x: Math.round(slot), y: Math.round(500 * 0.26), width: Math.round(slot * ask.densities.length), height: 270 }
  return { light, marks: { paper: made.empty, strip: whole, bands: ask.densities.length } }
}

test('bands are read to ±0.03 off a photograph, and say the contact time they say by their densities', () => {
  let worst = 0
  for (const seed of [1, 2, 3, 4, 5]) {
    const { light, marks } = strip({ densities: wanted, seed })
    const seen = stripDensities(light, marks)
    worst = Math.max(worst, ...seen.map((one, i) => Math.abs(one - (wanted[i] ?? 0))))
    const densities = seen.map((one) => Number(one.toFixed(2)))
    expect(contactSeconds({ firstS: 4, stepStops: 0.5, bands: 6, chosen: null, densities })?.toFixed(2)).toBe('11.31')
  }
  expect(worst).toBeLessThan(0.03)
})

test('a strip that lies the other way round, or upright, is read from its lightest band', () => {
  const { light, marks } = strip({ densities: [...wanted].reverse() })
  const seen = stripDensities(light, marks)
  expect(seen.every((one, i) => Math.abs(one - (wanted[i] ?? 0)) < 0.03)).toBe(true)
  // upright: the same light, asked for with its sides changed
  const turned = stripDensities(({ x, y, width, height }) => light({ x: y, y: x, width: height, height: width }), {
    paper: turn(marks.paper),
    strip: turn(marks.strip),
    bands: 6,
  })
  expect(turned).toEqual(seen)
})
const turn = ({ x, y, width, height }: Area): Area => ({ x: y, y: x, width: height, height: width })

test('white that is burnt out or black, and what is no strip, are said', () => {
  const burnt = strip({ densities: wanted, lightLevel: 1.3 })
  expect(() => stripDensities(burnt.light, burnt.marks)).toThrow(/burnt out/)
  const dark = strip({ densities: wanted, lightLevel: 0.01 })
  expect(() => stripDensities(dark.light, dark.marks)).toThrow(/nearly black/)
  const mixed = strip({ densities: [0.4, 1.2, 0.3, 1.5] })
  expect(() => stripDensities(mixed.light, mixed.marks)).toThrow(/do not darken/)
})
