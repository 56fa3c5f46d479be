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

/** How places at enlargers are given out, so that everybody gets some. Minutes; 0: no limit. */
export const printingLimits = z.strictObject({
  /** places begin and end on so many minutes after opening */
  spanMinutes: z.int().min(5).max(240),
  /** of one place */
  atOnceMinutes: z.int().min(0).max(1440),
  /** of one member from Monday to Sunday */
  weekMinutes: z.int().min(0).max(10_080),
  /** days ahead they are given out */
  aheadDays: z.int().min(1).max(90),
  /** what is still free so long before it begins counts for nobody's week */
  freeMinutes: z.int().min(0).max(10_080),
})
export type PrintingLimits = z.output<typeof printingLimits>
/** House defaults. */
const usualLimits: PrintingLimits = { spanMinutes: 30, atOnceMinutes: 180, weekMinutes: 360, aheadDays: 14, freeMinutes: 120 }

/** What needs a light of its own: film is put on reels, lies open in trays, is shown to a lamp; prints are made. */
export const roomUses = ['loading', 'trays', 'lamp', 'printing'] as const
export type RoomUse = (typeof roomUses)[number]
/** Lights a room has when nobody asks for another: none, a safelight, white. */
export const roomLights = ['dark', 'red', 'amber', 'yellow', 'white'] as const
export type RoomLight = (typeof roomLights)[number]
const aRoom = z.strictObject({ id, name, light: z.enum(roomLights), uses: z.array(z.enum(roomUses)) })
const rooms = z
  .array(aRoom)
  .max(12)
  .refine((all) => new Set(all.map((one) => one.name)).size === all.length, 'Two rooms have the same name.')
  .refine(
    (all) => roomUses.every((use) => all.filter((one) => one.uses.includes(use)).length <= 1),
    'Say of one room only what is done there: two have the same.',
  )

export const roomBody = z.strictObject({
  /** Monday to Sunday; null where it is closed */
  hours: z.array(z.strictObject({ opens: time, closes: time }).nullable()).length(7),
  closures: z.array(z.strictObject({ from: day, until: day, why: name })).max(200),
  /** people whose hands may be counted on at an opening nobody has planned yet */
  hands: z.int().min(1).max(12).default(1),
  /** kept free before closing, minutes */
  cleanMinutes: z.int().min(0).max(180),
  /** loads that can be put on reels in the dark at once */
  closets: z.int().min(0).max(10),
  washPlaces: z.int().min(0).max(40),
  printPlaces: z.int().min(0).max(40),
  printing: printingLimits.default(usualLimits),
  /** from rinsed to dry, minutes, of a hand tank and of a drum */
  resetMinutes: z.strictObject({ hand: z.int().min(0).max(240), rotary: z.int().min(0).max(240) }),
  baths: z.array(roomBath).max(10),
  /** two things that need different light cannot share one */
  rooms,
})
export type RoomBody = z.output<typeof roomBody>

const weekday = { opens: '18:00', closes: '22:00' }
/**
 * The room in which something is done; none where nobody has said.
 * @example
 * roomFor(usualRoom, 'loading').name // → 'Closet'
 */
export const roomFor = ({ rooms: all }: Pick<RoomBody, 'rooms'>, use: RoomUse): RoomBody['rooms'][number] | undefined =>
  all.find((one) => one.uses.includes(use))

/** the safelight prints are made under, where their room says no other */
const printLight = 'red'
/**
 * The light prints are made under: that of their room where it is a safelight.
 * @example
 * printingLight(usualRoom) // → 'red'
 */
export function printingLight(room: Pick<RoomBody, 'rooms'>): RoomLight {
  const light = roomFor(room, 'printing')?.light
  return light === undefined || light === 'dark' || light === 'white' ? printLight : light
}

/**
 * A small community darkroom, until somebody says what theirs is like. House default.
 * @example
 * usualRoom.hours[5] // → { opens: '14:00', closes: '20:00' }
 */
export const usualRoom: RoomBody = {
  hours: [null, weekday, weekday, weekday, weekday, { opens: '14:00', closes: '20:00' }, null],
  closures: [],
  ...{ hands: 1, cleanMinutes: 30, closets: 1, washPlaces: 2, printPlaces: 4, printing: usualLimits },
  resetMinutes: { hand: 10, rotary: 10 },
  rooms: [
    { id: '0190a000-0000-7000-8000-000000000002', name: 'Closet', light: 'dark', uses: ['loading'] },
    { id: '0190a000-0000-7000-8000-000000000003', name: 'Print room', light: 'red', uses: ['printing', 'trays'] },
    { id: '0190a000-0000-7000-8000-000000000004', name: 'Sink room', light: 'white', uses: ['lamp'] },
  ],
  // a tray of tempered water, until somebody says what they have
  baths: [{ id: '0190a000-0000-7000-8000-000000000001', name: 'Water bath', startC: 20, heatCPerMin: 0.5, coolCPerMin: 0.3, places: 6 }],
}
