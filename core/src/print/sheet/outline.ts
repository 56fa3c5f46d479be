import { z } from 'zod'

const share = z.number().min(0, 'An area lies within the picture.').max(1, 'An area lies within the picture.')
const area = z.strictObject({
  name: z.string().trim().min(1, 'Name the place.').max(80, 'A place is 80 characters at most.'),
  shape: z.enum(['round', 'straight']),
  ...{ x: share, y: share },
  ...{ width: share.gt(0, 'An area has some width.'), height: share.gt(0, 'An area has some height.') },
})

/** Where the places of a print lie: shares of the picture's width and height, from its upper left corner, each place once. */
export const printOutline = z
  .array(area)
  .max(30, 'Thirty places at most.')
  .refine((all) => new Set(all.map((one) => one.name)).size === all.length, 'Each place is drawn once.')
  .refine((all) => all.every((one) => one.x + one.width <= 1 + 1e-6 && one.y + one.height <= 1 + 1e-6), 'An area lies within the picture.')
export type PrintOutline = z.output<typeof printOutline>
export type PrintArea = PrintOutline[number]

/**
 * An outline with an area drawn anew, or for the first time; what else is drawn stays.
 * @example
 * drawnInto([], { name: 'sky', shape: 'straight', x: 0, y: 0, width: 1, height: 0.3 }).length // → 1
 */
export const drawnInto = (outline: PrintOutline, area: PrintArea): PrintOutline =>
  outline.some((one) => one.name === area.name) ? outline.map((one) => (one.name === area.name ? area : one)) : [...outline, area]
