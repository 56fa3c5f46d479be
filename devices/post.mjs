// The demo's mail server: takes what is sent to anybody (SMTP, on loopback), keeps it until it ends, and shows it on a page. What comes twice with one Message-ID is one letter.
// node devices/post.mjs [port]: the page is on the next port; a port of 0 takes any.
import { createServer } from 'node:http'
import { simpleParser } from 'mailparser'
import { SMTPServer } from 'smtp-server'

const wanted = Number(process.argv[2] ?? 4795)
/** letters by their Message-ID, in the order in which they came first */
const letters = new Map()

function take({ messageId, from, to, subject, text, date }) {
  const id = messageId ?? `without a name ${letters.size}`
  const known = letters.get(id)
  if (known) return void known.times++
  letters.set(id, {
    id,
    from: from?.text ?? '',
    to: to?.text ?? '',
    subject: subject ?? '',
    text: text ?? '',
    date: date ?? new Date(),
    times: 1,
  })
}
const smtp = new SMTPServer({
  authOptional: true,
  disabledCommands: ['STARTTLS', 'AUTH'],
  logger: false,
  onData: (stream, _session, done) => {
    simpleParser(stream).then(
      (mail) => {
        take(mail)
        done()
      },
      (error) => done(error),
    )
  },
})
smtp.on('error', () => undefined)

const plain = (text) => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`)
const letterRow = ({ from, to, subject, text, date, times }) => `<article>
  <h2>${plain(subject)}</h2>
  <p>to <b>${plain(to)}</b>, from ${plain(from)}, ${date.toISOString().slice(0, 16).replace('T', ' ')}${times > 1 ? `, came ${times} times` : ''}</p>
  <pre>${plain(text)}</pre>
</article>`
const page =
  () => `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>The demo’s post</title>
<style>body{font:18px/1.5 sans-serif;max-width:50rem;margin:2rem auto;padding:0 1rem;background:#EFEDE6;color:#1F2421}article{border-top:1px solid #5B635D;padding:1rem 0}h2{margin:0;font-size:1.2rem}p{margin:.2rem 0}pre{font:inherit;white-space:pre-wrap;margin:.5rem 0}</style>
<h1>The demo’s post</h1><p>What the demo would have sent: nothing leaves this machine. Load the page again for what came since.</p>
${letters.size === 0 ? '<p>Nothing has come yet.</p>' : [...letters.values()].reverse().map(letterRow).join('\n')}`
const http = createServer((request, response) => {
  if (request.url === '/letters.json') response.setHeader('content-type', 'application/json').end(JSON.stringify([...letters.values()]))
  else response.setHeader('content-type', 'text/html; charset=utf-8').end(page())
})

const listen = (server, port) => new Promise((resolve, reject) => server.once('error', reject).listen(port, '127.0.0.1', resolve))
// where the usual port is taken any other does
const open = (server, port) => listen(server, port).catch(() => listen(server, 0))
await open(smtp, wanted)
const { port } = smtp.server.address()
await open(http, wanted === 0 ? 0 : wanted + 1)
console.log(`listening ${port} page ${http.address().port}`)
process.on('SIGTERM', () => process.exit(0))
process.on('disconnect', () => process.exit(0))
