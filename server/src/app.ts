import { existsSync } from 'node:fs'
import { join } from 'node:path'
import compression from 'compression'
import cookieParser from 'cookie-parser'
import express, { type Express } from 'express'
import { pouringRoutes } from './bottle/pouring'
import { reversingRoutes } from './bottle/reversing'
import { bottleRoutes } from './bottle/routes'
import { standingRoutes } from './bottle/standing'
import { chartRoutes } from './chart/routes'
import { chemicalRoutes } from './chemical/routes'
import { darkroomRoutes } from './darkroom/routes'
import { deviceRoutes } from './device/routes'
import { formulaRoutes } from './formula/routes'
import { openApi } from './http/openapi'
import { pruning } from './http/pruning'
import { problemHandler } from './http/problems'
import type { House } from './http/route'
import { ownHost } from './http/hosts'
import { trusted } from './http/proxy'
import { headers, sameOrigin } from './http/security'
import { importRoutes } from './import/routes'
import { jarRoutes } from './jar/routes'
import { liveStream } from './live/stream'
import { mixRoutes } from './mix/routes'
import { personRoutes } from './person/routes'
import { printRoutes } from './print/routes'
import { instrumentRoutes } from './proof/instruments'
import { noticeRoutes } from './proof/notices'
import { proofRoutes } from './proof/routes'
import { runRoutes } from './run/routes'
import { sessionRoutes } from './session/routes'
import { shelfRoutes } from './shelf/routes'

export interface Options {
  /** folder of the built pages; none in tests of the API */
  webDir?: string
  trustProxy?: string
  /** further names the house is reached by, as the environment says; a technician adds more in the settings */
  hosts?: string[]
}

/** The application on a migrated database. `close` ends its event stream. */
export function createApp(house: House, { webDir, trustProxy, hosts = [] }: Options = {}): { app: Express; close: () => Promise<void> } {
  const app = express()
  app.disable('x-powered-by')
  app.set('query parser', 'simple')
  if (trustProxy !== undefined) app.set('trust proxy', trusted(trustProxy))
  app.use(...headers)
  app.use(ownHost(house, hosts))
  app.use(compression({ filter: (request, response) => request.path !== '/api/events' && compression.filter(request, response) }))

  app.use('/api', (_request, response, next) => {
    response.setHeader('cache-control', 'no-store')
    next()
  })
  app.use('/api', sameOrigin, cookieParser())
  for (const routes of [
    sessionRoutes,
    personRoutes,
    darkroomRoutes,
    formulaRoutes,
    jarRoutes,
    mixRoutes,
    bottleRoutes,
    pouringRoutes,
    standingRoutes,
    reversingRoutes,
    shelfRoutes,
    proofRoutes,
    instrumentRoutes,
    noticeRoutes,
    chartRoutes,
    runRoutes,
    deviceRoutes,
    chemicalRoutes,
    printRoutes,
    importRoutes,
  ])
    routes(app, house)
  app.get('/api/openapi.json', (_request, response) => void response.json(openApi()))
  const closeStream = liveStream(app, house)
  const stopPruning = pruning(house)
  const close = async () => {
    stopPruning()
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
