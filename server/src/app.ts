import { existsSync } from 'node:fs'
import { join } from 'node:path'
import compression from 'compression'
import cookieParser from 'cookie-parser'
import express, { type Express } from 'express'
import { bottleRoutes } from './bottle/routes'
import { calendarRoutes } from './calendar/routes'
import { chartRoutes } from './chart/routes'
import { chemicalRoutes } from './chemical/routes'
import { darkroomRoutes } from './darkroom/routes'
import { pruning } from './database/pruning'
import { demoRoutes } from './demo/routes'
import { deviceRoutes } from './device/routes'
import { noticeRoutes } from './film/notices'
import { filmRoutes } from './film/routes'
import { formulaRoutes } from './formula/routes'
import type { House } from './house/house'
import { ownHost } from './http/hosts'
import { openApi } from './http/openapi'
import { problemHandler } from './http/problems'
import { trusted } from './http/proxy'
import { serve } from './http/route'
import { headers, sameOrigin } from './http/security'
import { importRoutes } from './import/routes'
import { jarRoutes } from './jar/routes'
import { kitRoutes } from './kit/routes'
import { liveStream } from './live/stream'
import { mailRoutes } from './mail/routes'
import { mixRoutes } from './mix/routes'
import { paperRoutes } from './paper/routes'
import { personRoutes } from './person/routes'
import { instrumentRoutes } from './proof/instruments'
import { eveningRoutes } from './evening/routes'
import { orderRoutes } from './order/routes'
import { permissionRoutes } from './permission/routes'
import { practiceRoutes } from './practice/routes'
import { aidRoutes } from './aid/routes'
import { exposureRoutes } from './exposure/routes'
import { trainingRoutes } from './training/routes'
import { yearRoutes } from './sink/year'
import { checkRoutes } from './check/routes'
import { coatRoutes } from './coat/routes'
import { toneRoutes } from './tone/routes'
import { trainerRoutes } from './trainer/routes'
import { processRoutes } from './process/routes'
import { proofRoutes } from './proof/routes'
import { ruleRoutes } from './proof/rules'
import { runRoutes } from './run/routes'
import { sessionRoutes } from './session/routes'
import { shelfRoutes } from './shelf/routes'
import { bookingRoutes } from './booking/routes'
import { lineRoutes } from './line/routes'
import { traysRoutes } from './print/routes'
import { sinkRoutes } from './sink/routes'
import { weeksRoutes } from './weeks/routes'
import { wallRoutes } from './wall/routes'
import { wallStream } from './wall/stream'

/** Everything that is answered, subject by subject. */
const routes = [
  sessionRoutes,
  personRoutes,
  darkroomRoutes,
  demoRoutes,
  formulaRoutes,
  jarRoutes,
  kitRoutes,
  mixRoutes,
  bottleRoutes,
  shelfRoutes,
  proofRoutes,
  ruleRoutes,
  instrumentRoutes,
  noticeRoutes,
  chartRoutes,
  processRoutes,
  runRoutes,
  filmRoutes,
  deviceRoutes,
  orderRoutes,
  eveningRoutes,
  wallRoutes,
  weeksRoutes,
  bookingRoutes,
  sinkRoutes,
  traysRoutes,
  lineRoutes,
  calendarRoutes,
  permissionRoutes,
  practiceRoutes,
  trainerRoutes,
  toneRoutes,
  aidRoutes,
  checkRoutes,
  exposureRoutes,
  trainingRoutes,
  yearRoutes,
  coatRoutes,
  chemicalRoutes,
  paperRoutes,
  importRoutes,
].flat()

export interface Options {
  /** folder of the built pages; none in tests of the API */
  webDir?: string
  trustProxy?: string
  /** letters are sent: a mail server is set up */
  sendsMail?: boolean
  /** further names the house is reached by, as the environment says; a technician adds more in the settings */
  hosts?: string[]
}

/** The application on a migrated database. `close` ends its event stream. */
export function createApp(
  house: House,
  { webDir, trustProxy, hosts = [], sendsMail = false }: Options = {},
): { app: Express; close: () => Promise<void> } {
  const app = express()
  app.disable('x-powered-by')
  app.set('query parser', 'simple')
  // answers of the interface are kept nowhere, and files carry a tag of their own
  app.set('etag', false)
  if (trustProxy !== undefined) app.set('trust proxy', trusted(trustProxy))
  app.use(...headers)
  app.use(ownHost(house, hosts))
  app.use(compression({ filter: (request, response) => request.path !== '/api/events' && compression.filter(request, response) }))

  app.use('/api', (_request, response, next) => {
    response.setHeader('cache-control', 'no-store')
    next()
  })
  app.use('/api', sameOrigin, cookieParser())
  for (const one of [...routes, ...mailRoutes(sendsMail)]) serve(app, house, one)
  app.get('/api/openapi.json', (_request, response) => void response.json(openApi()))
  const { close: closeStream, onTold } = liveStream(app, house)
  const closeWalls = wallStream(app, house, onTold)
  const stopPruning = pruning(house)
  const close = async () => {
    stopPruning()
    closeWalls()
    await closeStream()
  }
  app.use(
    '/api',
    (_request, response) => void response.status(404).json({ code: 'no-route', message: 'There is nothing at this address.' }),
  )

  if (webDir !== undefined && existsSync(webDir)) {
    app.use('/assets', express.static(join(webDir, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }))
    app.use(express.static(webDir, { index: false }))
    app.get('/{*page}', (_request, response) => {
      response.setHeader('cache-control', 'no-cache')
      response.sendFile('index.html', { root: webDir })
    })
  }
  app.use(problemHandler)
  return { app, close }
}
