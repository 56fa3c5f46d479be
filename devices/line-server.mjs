// A bench device behind a serial-to-TCP adapter: sends a line so many times a second to whoever is connected, and takes commands, one a line.
import { createServer } from 'node:net'

/** `line()` is what to send now; `command(word, value)` does what was asked. Prints the port it listens on. */
export function serveLines({ everyMs, line, command }) {
  const sockets = new Set()
  const server = createServer((socket) => {
    sockets.add(socket)
    let said = ''
    socket.setEncoding('ascii')
    socket.on('data', (chunk) => {
      said = (said + chunk).slice(-1000)
      for (let end = said.indexOf('\n'); end >= 0; end = said.indexOf('\n')) {
        const [word = '', value = '0'] = said.slice(0, end).trim().split(/\s+/)
        said = said.slice(end + 1)
        const number = Number(value)
        if (Number.isFinite(number)) command(word, number)
      }
    })
    for (const event of ['close', 'error']) socket.on(event, () => sockets.delete(socket))
  })
  setInterval(() => {
    const text = `${line()}\n`
    for (const socket of sockets) if (socket.writableLength < 10_000) socket.write(text)
  }, everyMs)
  const port = Number(process.argv[2] ?? 0)
  server.listen(port, '127.0.0.1', () => console.log(`listening ${server.address().port}`))
  server.on('error', () => {
    // the usual port is taken: any other does
    server.listen(0, '127.0.0.1', () => console.log(`listening ${server.address().port}`))
  })
  for (const signal of ['SIGINT', 'SIGTERM', 'disconnect']) process.on(signal, () => process.exit(0))
}

/** '+0012.34' */
export const signed = (value, whole, places) =>
  `${value < 0 ? '-' : '+'}${Math.abs(value)
    .toFixed(places)
    .padStart(whole + places + 1, '0')}`

/** Normal noise of standard deviation 1. */
export const noise = () => Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random())
