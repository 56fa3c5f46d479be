import { z } from 'zod'
import { id, name } from '../shape/common'

/* What a darkroom has beside its tanks, and when it is open. */

const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write a time such as 18:00.')
const day = z.iso.date('Write a day such as 2026-04-14.')
/** A tempering bath: one temperature at a time. */
const roomBath = z.strictObject({
  id,
  name,
  /** °C it stands at before it is switched on */
  startC: z.number().min(0).max(60),
  heatCPerMin: z.number().min(0).max(10),
  coolCPerMin: z.number().min(0).max(10),
  /** tanks that stand in it at once */
  places: z.int().min(1).max(40),
})
export type RoomBath = z.output<typeof roomBath>

export const roomBody = z.strictObject({
  /** Monday to Sunday; null where it is closed */
  hours: z.array(z.strictObject({ opens: time, closes: time }).nullable()).length(7),
  closures: z.array(z.strictObject({ from: day, until: day, why: name })).max(200),
  /** kept free before closing, minutes */
  cleanMinutes: z.int().min(0).max(180),
  /** loads that can be put on reels in the dark at once */
  closets: z.int().min(0).max(10),
  washPlaces: z.int().min(0).max(40),
  printPlaces: z.int().min(0).max(40),
  /** from rinsed to dry, minutes, of a hand tank and of a drum */
  resetMinutes: z.strictObject({ hand: z.int().min(0).max(240), rotary: z.int().min(0).max(240) }),
  baths: z.array(roomBath).max(10),
})
export type RoomBody = z.output<typeof roomBody>

const weekday = { opens: '18:00', closes: '22:00' }
/**
 * A small community darkroom, until somebody says what theirs is like. House default.
 * @example
 * usualRoom.hours[5] // → { opens: '14:00', closes: '20:00' }
 */
export const usualRoom: RoomBody = {
  hours: [null, weekday, weekday, weekday, weekday, { opens: '14:00', closes: '20:00' }, null],
  closures: [],
  ...{ cleanMinutes: 30, closets: 1, washPlaces: 2, printPlaces: 4 },
  resetMinutes: { hand: 10, rotary: 10 },
  // a tray of tempered water, until somebody says what they have
  baths: [{ id: '0190a000-0000-7000-8000-000000000001', name: 'Water bath', startC: 20, heatCPerMin: 0.5, coolCPerMin: 0.3, places: 6 }],
}
