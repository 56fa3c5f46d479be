import { withSign, type Manner, type RoomBody } from '@selvrin/core'
import { readClock } from '../order/when'

/* The room as it is written in a form: every figure as its text, in the units and with the sign of whoever writes. */

export interface RoomDraft {
  hours: { opens: string; closes: string }[]
  closures: { from: string; until: string; why: string }[]
  hands: string
  cleanMinutes: string
  closets: string
  washPlaces: string
  printPlaces: string
  printing: { spanMinutes: string; atOnceHours: string; weekHours: string; aheadDays: string; freeHours: string }
  resetHand: string
  resetRotary: string
  rooms: RoomBody['rooms']
  baths: { id: string; name: string; startC: string; heatCPerMin: string; coolCPerMin: string; places: string }[]
}

/** °C as they are read, and back; and what is a degree more. */
const shownC = (c: number, { units }: Manner): number => (units === 'us' ? c * 1.8 + 32 : c)
const asC = (shown: number, { units }: Manner): number => (units === 'us' ? (shown - 32) / 1.8 : shown)
const degree = ({ units }: Manner): number => (units === 'us' ? 1.8 : 1)
const written = (value: number, manner: Manner): string => withSign(String(Number(value.toFixed(3))), manner)
const exactly = (value: number): number => Number(value.toFixed(4))

export const writeRoom = (room: RoomBody, manner: Manner): RoomDraft => ({
  hours: room.hours.map((day) => ({ opens: day?.opens ?? '', closes: day?.closes ?? '' })),
  closures: room.closures.map((one) => ({ ...one })),
  ...{
    hands: String(room.hands),
    cleanMinutes: String(room.cleanMinutes),
    closets: String(room.closets),
    washPlaces: String(room.washPlaces),
  },
  ...{ printPlaces: String(room.printPlaces), resetHand: String(room.resetMinutes.hand), resetRotary: String(room.resetMinutes.rotary) },
  printing: {
    spanMinutes: String(room.printing.spanMinutes),
    atOnceHours: written(room.printing.atOnceMinutes / 60, manner),
    weekHours: written(room.printing.weekMinutes / 60, manner),
    aheadDays: String(room.printing.aheadDays),
    freeHours: written(room.printing.freeMinutes / 60, manner),
  },
  rooms: room.rooms.map((one) => ({ ...one, uses: [...one.uses] })),
  baths: room.baths.map(({ id, name, startC, heatCPerMin, coolCPerMin, places }) => ({
    ...{ id, name, startC: written(shownC(startC, manner), manner), places: String(places) },
    heatCPerMin: written(heatCPerMin * degree(manner), manner),
    coolCPerMin: written(coolCPerMin * degree(manner), manner),
  })),
})

/** A figure as people write it. @throws Error with a sentence that names it */
function figure(text: string, what: string): number {
  const value = Number(text.trim().replace(',', '.'))
  if (text.trim() === '' || !Number.isFinite(value)) throw new Error(`${what}: write a number.`)
  return value
}
const time = (text: string): string => {
  const { hour, minute } = readClock(text)
  return `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`
}

/** What was written, as the room takes it. @throws Error, DomainError with a sentence */
export function readRoom(draft: RoomDraft, manner: Manner): RoomBody {
  return {
    hours: draft.hours.map(({ opens, closes }) =>
      opens.trim() === '' && closes.trim() === '' ? null : { opens: time(opens), closes: time(closes) },
    ),
    closures: draft.closures.map(({ from, until, why }) => ({
      from: from.trim(),
      until: until.trim() === '' ? from.trim() : until.trim(),
      why: why.trim(),
    })),
    hands: figure(draft.hands, 'People at an ordinary opening'),
    cleanMinutes: figure(draft.cleanMinutes, 'Cleaning before closing'),
    closets: figure(draft.closets, 'Loading in the dark'),
    washPlaces: figure(draft.washPlaces, 'In the wash'),
    printPlaces: figure(draft.printPlaces, 'Enlargers'),
    printing: {
      spanMinutes: figure(draft.printing.spanMinutes, 'Places begin every'),
      atOnceMinutes: Math.round(60 * figure(draft.printing.atOnceHours, 'At once, at most')),
      weekMinutes: Math.round(60 * figure(draft.printing.weekHours, 'A member’s week, at most')),
      aheadDays: figure(draft.printing.aheadDays, 'Given out ahead'),
      freeMinutes: Math.round(60 * figure(draft.printing.freeHours, 'Counts for nobody’s week')),
    },
    resetMinutes: { hand: figure(draft.resetHand, 'Hand tank'), rotary: figure(draft.resetRotary, 'Drum') },
    rooms: draft.rooms.map((one) => ({ ...one, name: one.name.trim() })),
    baths: draft.baths.map((bath) => ({
      ...{ id: bath.id, name: bath.name.trim(), startC: exactly(asC(figure(bath.startC, `${bath.name || 'The bath'} stands at`), manner)) },
      heatCPerMin: exactly(figure(bath.heatCPerMin, `${bath.name || 'The bath'} heats`) / degree(manner)),
      coolCPerMin: exactly(figure(bath.coolCPerMin, `${bath.name || 'The bath'} cools`) / degree(manner)),
      places: figure(bath.places, `${bath.name || 'The bath'}: tanks at once`),
    })),
  }
}
