// npm run rooms: every field, mark, vessel and panel in its states, in three lights side by side, drawn anew with every change of a file. For developers; part of no build.
import { createRequire } from 'node:module'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { root } from './lib/place.mjs'

const vite = createRequire(join(root, 'web/package.json')).resolve('vite')
const { createServer } = await import(pathToFileURL(vite).href)
const server = await createServer({
  configFile: join(root, 'web/vite.config.ts'),
  server: { port: Number(process.env.PORT ?? 4795), host: '127.0.0.1' },
})
await server.listen()
const { port } = server.httpServer.address()
console.log(`The rooms: http://127.0.0.1:${port}/rooms/index.html   Ctrl-C stops it.`)
