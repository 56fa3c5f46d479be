import type { RoomBody } from '@selvrin/core'
import { readClock } from '../order/when'

/* The room as it is written in a form: every figure as its text. */

export interface RoomDraft {
  hours: { opens: string; closes: string }[]
  closures: { from: string; until: string; why: string }[]
  cleanMinutes: string
  closets: string
  washPlaces: string
  printPlaces: string
  resetHand: string
  resetRotary: string
  baths: { id: string; name: string; startC: string; heatCPerMin: string; coolCPerMin: string; places: string }[]
}

export const writeRoom = (room: RoomBody): RoomDraft => ({
  hours: room.hours.map((day) => ({ opens: day?.opens ?? '', closes: day?.closes ?? '' })),
  closures: room.closures.map((one) => ({ ...one })),
  ...{ cleanMinutes: String(room.cleanMinutes), closets: String(room.closets), washPlaces: String(room.washPlaces) },
  ...{ printPlaces: String(room.printPlaces), resetHand: String(room.resetMinutes.hand), resetRotary: String(room.resetMinutes.rotary) },
  baths: room.baths.map(({ id, name, startC, heatCPerMin, coolCPerMin, places }) => ({
    ...{ id, name, startC: String(startC), heatCPerMin: String(heatCPerMin), coolCPerMin: String(coolCPerMin), places: String(places) },
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
export function readRoom(draft: RoomDraft): RoomBody {
  return {
    hours: draft.hours.map(({ opens, closes }) =>
      opens.trim() === '' && closes.trim() === '' ? null : { opens: time(opens), closes: time(closes) },
    ),
    closures: draft.closures.map(({ from, until, why }) => ({
      from: from.trim(),
      until: until.trim() === '' ? from.trim() : until.trim(),
      why: why.trim(),
    })),
    cleanMinutes: figure(draft.cleanMinutes, 'Cleaning before closing'),
    closets: figure(draft.closets, 'Loading in the dark'),
    washPlaces: figure(draft.washPlaces, 'In the wash'),
    printPlaces: figure(draft.printPlaces, 'Enlargers'),
    resetMinutes: { hand: figure(draft.resetHand, 'Hand tank'), rotary: figure(draft.resetRotary, 'Drum') },
    baths: draft.baths.map((bath) => ({
      ...{ id: bath.id, name: bath.name.trim(), startC: figure(bath.startC, `${bath.name || 'The bath'} stands at`) },
      heatCPerMin: figure(bath.heatCPerMin, `${bath.name || 'The bath'} heats`),
      coolCPerMin: figure(bath.coolCPerMin, `${bath.name || 'The bath'} cools`),
      places: figure(bath.places, `${bath.name || 'The bath'}: tanks at once`),
    })),
  }
}
