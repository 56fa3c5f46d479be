import {
  bareUnit,
  gallonMl,
  inManner,
  ounceG,
  parseQuantity,
  showConcentration,
  showDegrees,
  showMass,
  showTemperature,
  showVolume,
  withSign,
  type QuantityKind,
} from '@selvrin/core'
import { digits } from './manner'
import { useSession } from './store'

/**
 * Amounts as the person reads and writes them: their units and their decimal sign. Every figure with a unit goes through here, and every sentence
 * that comes from core or from the server, so that no screen speaks in someone else's units.
 */
export function useShow() {
  const session = useSession()
  const litreMl = () => (session.units === 'us' ? gallonMl : 1000)
  const number = (value: number, decimals = 0): string => digits(value, decimals)
  return {
    mass: (grams: number) => showMass(grams, session.manner),
    volume: (ml: number) => showVolume(ml, session.manner),
    /** 'not measured' where nobody did */
    temperature: (celsius: number | null) => (celsius === null ? 'not measured' : showTemperature(celsius, session.manner)),
    /** a temperature to the hundredth, where that counts, and how far two may be apart */
    finely: (celsius: number) =>
      `${digits(session.units === 'us' ? celsius * 1.8 + 32 : celsius, 2)} ${session.units === 'us' ? '°F' : '°C'}`,
    apart: (kelvin: number) => `${digits(session.units === 'us' ? kelvin * 1.8 : kelvin, 2)} ${session.units === 'us' ? '°F' : '°C'}`,
    /** a temperature on an axis, and the unit there */
    temperatureOn: (celsius: number): number => (session.units === 'us' ? celsius * 1.8 + 32 : celsius),
    temperatureUnit: () => (session.units === 'us' ? '°F' : '°C'),
    /** degrees between two temperatures */
    degrees: (kelvin: number) => showDegrees(kelvin, session.manner),
    /** from g/L */
    concentration: (gramsPerLitre: number) => showConcentration(gramsPerLitre, session.manner),
    /** grams of a litre as of the person's larger measure: '12.0 g' or '1.602 oz'; `big` names the measure */
    massEach: (gramsPerLitre: number) => showMass((gramsPerLitre * litreMl()) / 1000, session.manner),
    /** a figure that counts per litre, per the person's larger measure */
    each: (perLitre: number): number => (perLitre * litreMl()) / 1000,
    /** a figure in g/L on an axis, and the unit there */
    concentrationOn: (gramsPerLitre: number): number =>
      session.units === 'us' ? Number(((gramsPerLitre * gallonMl) / 1000 / ounceG).toFixed(4)) : gramsPerLitre,
    concentrationUnit: () => (session.units === 'us' ? 'oz/gal' : 'g/L'),
    /** 'litre' or 'gallon' */
    big: () => (session.units === 'us' ? 'gallon' : 'litre'),
    /** the same amount in the other system, for those who work in both */
    otherUnits: (value: number, kind: Exclude<QuantityKind, 'time'>): string => {
      const other = { ...session.manner, units: session.units === 'us' ? ('metric' as const) : ('us' as const) }
      return kind === 'mass' ? showMass(value, other) : kind === 'volume' ? showVolume(value, other) : showTemperature(value, other)
    },
    number,
    /** a number as a whole or with as many decimals as it has, three at most: 24, 2.5 */
    plain: (value: number): string => withSign(String(Number(value.toFixed(3))), session.manner),
    /** a sentence of core or of the server */
    said: (sentence: string): string => inManner(sentence, session.manner),
    /** the unit beside a field whose value is `near` */
    unit: (kind: QuantityKind, near: number | null) => bareUnit(kind, near, session.units),
    /** what was typed, in g, ml, °C or s; throws as `parseQuantity` */
    read: (text: string, kind: QuantityKind, bare?: string): number =>
      parseQuantity(text, kind, { bare: bare ?? (bareUnit(kind, null, session.units) || undefined), decimal: session.manner.decimal }),
  }
}
