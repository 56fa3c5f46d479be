// A process of its own with browsers that listen, and tell when each change of a bottle comes to them: by what was poured of it, how many heard it and when the last did.
import { request } from 'node:http'

const [address, cookie, count] = process.argv.slice(2)
/** of each pour, by what its bottle holds after it: how many heard, and when the last did */
const heard = new Map()

const listen = () =>
  new Promise((open) => {
    const asked = request(`${address}/api/events`, { headers: { cookie }, agent: false }, (answer) => {
      let text = ''
      answer.setEncoding('utf8')
      answer.on('data', (part) => {
        text += part
        const lines = text.split('\n')
        text = lines.pop()
        for (const line of lines) {
          if (!line.startsWith('data: ')) continue
          const event = JSON.parse(line.slice(6))
          if (event.subject !== 'bottle' || !event.row) continue
          const key = `${event.id} ${event.row.state.volumeMl}`
          heard.set(key, { count: (heard.get(key)?.count ?? 0) + 1, lastAt: Date.now() })
        }
      })
      open()
    })
    asked.end()
  })
await Promise.all(Array.from({ length: Number(count) }, listen))
process.on('message', (message) => {
  if (message === 'heard') process.send([...heard])
  else process.exit(0)
})
process.send('open')
