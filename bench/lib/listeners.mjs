// A process of its own with browsers that listen, as light as they can be: each counts the bytes that come, and asks as a page with the shelf and its list of what is
// due would: a row that comes along is taken; a change without one is a list asked for again, a moment after the last.
import { Agent, request } from 'node:http'

const [address, cookie, count, retired] = process.argv.slice(2)
const agent = new Agent({ keepAlive: true, maxSockets: 64 })
const settleMs = { '/api/bottles': 120, '/api/supply': 400 }
let bytes = 0
let requests = 0

const ask = (path) =>
  new Promise((resolve, reject) => {
    requests++
    const asked = request(address + path, { agent, headers: { cookie, 'accept-encoding': 'gzip' } }, (answer) => {
      answer.on('data', (part) => (bytes += part.length))
      answer.on('end', () => resolve(answer))
    })
    asked.on('error', reject)
    asked.end()
  })
const pages = JSON.parse(retired)

function listen() {
  const waiting = new Map()
  const soon = (path, paths) => {
    clearTimeout(waiting.get(path))
    waiting.set(
      path,
      setTimeout(async () => {
        for (const one of paths) await ask(one).catch(() => undefined)
      }, settleMs[path]),
    )
  }
  return new Promise((open) => {
    const asked = request(`${address}/api/events`, { headers: { cookie }, agent: false }, (answer) => {
      let text = ''
      answer.setEncoding('utf8')
      answer.on('data', (part) => {
        bytes += Buffer.byteLength(part)
        text += part
        const lines = text.split('\n')
        text = lines.pop()
        for (const line of lines) {
          if (!line.startsWith('data: ')) continue
          const event = JSON.parse(line.slice(6))
          if (event.subject !== 'bottle' || event.row !== undefined) continue
          soon('/api/bottles', pages)
          soon('/api/supply', ['/api/supply'])
        }
      })
      open()
    })
    asked.end()
  })
}
await Promise.all(Array.from({ length: Number(count) }, listen))
process.on('message', (message) => {
  if (message === 'count') process.send({ bytes, requests })
  else process.exit(0)
})
process.send('open')
