import type { RequestHandler } from 'express'
import helmet from 'helmet'

/** Security headers that also hold over plain http on the local network. */
export const headers: RequestHandler[] = [
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        'default-src': ["'self'"],
        'script-src': ["'self'"],
        'img-src': ["'self'", 'data:', 'blob:'],
        'style-src': ["'self'", "'unsafe-inline'"],
        'object-src': ["'none'"],
        'base-uri': ["'none'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
      },
    },
    // both mean nothing, and warn, where the page did not come by https
    crossOriginOpenerPolicy: false,
    originAgentCluster: false,
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'same-origin' },
  }),
  (request, response, next) => {
    if (request.secure) response.setHeader('strict-transport-security', 'max-age=15552000')
    next()
  },
]

/** Writes are taken from our own pages only. */
export const sameOrigin: RequestHandler = (request, response, next) => {
  if (request.method === 'GET' || request.method === 'HEAD') return next()
  const origin = request.get('origin')
  const site = request.get('sec-fetch-site')
  const host = request.get('host') ?? ''
  const foreign =
    (origin !== undefined && origin !== `${request.protocol}://${host}`) ||
    (site !== undefined && site !== 'same-origin' && site !== 'none')
  if (!foreign) return next()
  response
    .status(403)
    .json({ code: 'foreign', message: 'Writes are taken from this darkroom’s own pages only. Open it at its own address.' })
}
