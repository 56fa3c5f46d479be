// Starts the simulated devices of the demo as processes of their own and answers their ports, as the server takes them.
import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'

const usual = { scale: 4791, thermometer: 4792, 'ph-meter': 4793, bath: 4794, post: 4795, lamp: 4796 }

/** `env` for the server, and `stop`. With `anyPort` the usual ports are left to whoever wants them. */
export async function startDevices({ anyPort = false } = {}) {
  const processes = []
  const ports = {}
  const pages = {}
  await Promise.all(
    Object.entries(usual).map(
      ([kind, port]) =>
        new Promise((resolve, reject) => {
          const script = fileURLToPath(new URL(`${kind}.mjs`, import.meta.url))
          const device = spawn(process.execPath, [script, String(anyPort ? 0 : port)], { stdio: ['ignore', 'pipe', 'inherit', 'ipc'] })
          processes.push(device)
          device.once('exit', () => reject(new Error(`The simulated ${kind} did not start.`)))
          device.stdout.on('data', (chunk) => {
            ports[kind] = Number(/listening (\d+)/.exec(String(chunk))?.[1] ?? ports[kind])
            pages[kind] = Number(/page (\d+)/.exec(String(chunk))?.[1] ?? pages[kind])
            if (ports[kind]) resolve()
          })
        }),
    ),
  )
  const { post, ...read } = ports
  const env = {
    SELVRIN_DEVICES: JSON.stringify(read),
    SELVRIN_SMTP: `smtp://127.0.0.1:${post}`,
    SELVRIN_MAIL_FROM: 'darkroom@tidewheel.example',
  }
  return { env, ports, pages, stop: () => processes.forEach((device) => device.kill('SIGTERM')) }
}
