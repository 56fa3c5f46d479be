import type { OrderState } from '../order/order'

/** An order as a calendar has it; times in ms. */
export interface AgendaOrder {
  id: string
  version: number
  number: number
  count: number
  film: string
  state: OrderState
  beginsAt: number | null
  hangsAt: number | null
  /** of the calendar */
  promisedFor: string | null
}

/** '1 roll', '3 rolls' */
export const countWord = (count: number): string => `${count} ${count === 1 ? 'roll' : 'rolls'}`
