import {
  filterSays,
  inManner,
  percentSays,
  saidSays,
  secondsSay,
  stopsSay,
  turnSays,
  type PrintFilter,
  type PrintSaid,
} from '@selvrin/core'
import { manner } from '../session/manner'

/** Words of the print room, in the person's manner. */
const said = (text: string): string => inManner(text, manner.value)
export const secondsWords = (s: number): string => said(secondsSay(s))
export const stopWords = (stops: number): string => said(stopsSay(stops))
export const percentWords = (stops: number): string => said(percentSays(stops))
export const filterWords = (filter: PrintFilter): string => said(filterSays(filter))
export const turnWords = (by: { y: number; m: number }): string => said(turnSays(by))
export const saidWords = (one: PrintSaid, exposures: number): string => said(saidSays(one, exposures))
export { gradeName } from '@selvrin/core'
