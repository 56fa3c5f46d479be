import { aidApi } from './aid'
import { api } from './api'
import { calendarApi } from './calendar'
import type { Endpoint } from './endpoint'
import { exposureApi } from './exposure'
import { trainingApi } from './training'
import { yearApi } from './year'
import { eveningApi } from './evening'
import { importApi } from './import'
import { mailApi } from './mail'
import { practiceApi } from './practice'
import { printApi } from './print'
import { wallApi } from './wall'
import { printingApi } from './printing'
import { sinkApi } from './sink'
import { lineApi } from './line'
import { checkApi } from './check'
import { coatApi } from './coat'
import { toneApi } from './tone'
import { trainerApi } from './trainer'
import { traysApi } from './trays'
import { weeksApi } from './weeks'

/** Every route in one list, for what holds of them all. */
export const endpoints: Endpoint[] = [
  ...Object.values(api),
  aidApi,
  checkApi,
  exposureApi,
  trainingApi,
  yearApi,
  importApi,
  practiceApi,
  printApi,
  eveningApi,
  printingApi,
  sinkApi,
  traysApi,
  trainerApi,
  toneApi,
  coatApi,
  lineApi,
  wallApi,
  weeksApi,
  calendarApi,
  mailApi,
].flatMap((subject) => Object.values(subject) as Endpoint[])
