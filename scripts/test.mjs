// npm test: installs what is missing, then type check, lint, unit, server and end-to-end tests. Last line: N passed, N failed.
import { spawn } from 'node:child_process'
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { availableParallelism, tmpdir } from 'node:os'
import { join, relative } from 'node:path'
import { chromium, ensureDebian, ensureModules, needsChromium, needsPostgres, requireNode } from './lib/install.mjs'
import { root } from './lib/place.mjs'
import { step } from './lib/say.mjs'

requireNode()
ensureDebian([needsPostgres, needsChromium])
ensureModules()
const { build } = await import('./lib/build.mjs')
const { startPostgres } = await import('./lib/postgres.mjs')

// PostgreSQL's own user must reach its data
const folder = mkdtempSync(join(tmpdir(), 'selvrin-test-'))
chmodSync(folder, 0o755)
const postgres = await startPostgres(folder, { throwaway: true })
const running = new Set()
const end = () => {
  for (const child of running) child.kill()
  postgres.stop()
  rmSync(folder, { recursive: true, force: true })
}
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    end()
    process.exit(130)
  })

let passed = 0
let failed = 0
const env = { ...process.env, TEST_DATABASE_URL: postgres.url, CHROMIUM: chromium(), FORCE_COLOR: '0' }
/** Runs a command and tells whether it went well; `kept` until it is done is what one says that runs beside others. */
async function run(title, command, args, { extra = {}, kept = false } = {}) {
  step(title)
  const started = Date.now()
  const out = kept ? 'pipe' : 'inherit'
  const child = spawn(join(root, 'node_modules/.bin', command), args, { cwd: root, stdio: ['ignore', out, out], env: { ...env, ...extra } })
  running.add(child)
  const said = []
  for (const stream of [child.stdout, child.stderr]) stream?.on('data', (chunk) => said.push(chunk))
  const status = await new Promise((resolve) => child.once('error', () => resolve(1)).once('close', resolve))
  running.delete(child)
  process.stdout.write(Buffer.concat(said))
  step(`${title}: ${status === 0 ? 'good' : 'FAILED'} after ${Math.round((Date.now() - started) / 1000)} s`)
  return status === 0
}
/** Runs what needs nothing of each other, two at a time: each takes a core and up to 2 GB. */
async function runBeside(checks) {
  const left = [...checks]
  const worker = async () => {
    for (let next = left.shift(); next; next = left.shift()) counted(await run(...next, { kept: true }), () => [0, 0])
  }
  await Promise.all([worker(), worker()])
}
const counted = (good, count) => {
  try {
    const [p, f] = count()
    passed += p
    failed += Math.max(f, good ? 0 : 1)
  } catch {
    failed += 1
  }
}
/** s and name of what took its time */
const longest = []
const report = (name) => JSON.parse(readFileSync(join(folder, name), 'utf8'))

try {
  await runBeside([
    ['types of web', 'vue-tsc', ['-p', 'web']],
    ['lint', 'eslint', ['.']],
    ['format', 'prettier', ['--check', '--log-level', 'warn', '.']],
    ...['server', 'core', 'e2e'].map((part) => [`types of ${part}`, 'tsc', ['-p', part]]),
    ['folders that import each other', 'depcruise', ['core/src', 'server/src', 'web/src']],
    ['exports and packages nobody uses', 'knip', ['--no-config-hints']],
  ])
  const unit = [
    '--json',
    `--outputFile=${join(folder, 'jest.json')}`,
    '--silent',
    `--maxWorkers=${Math.max(2, availableParallelism() - 1)}`,
  ]
  counted(await run('unit and server tests', 'jest', unit), () => {
    const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites, testResults } = report('jest.json')
    for (const { name, startTime, endTime } of testResults) longest.push([(endTime - startTime) / 1000, relative(root, name)])
    return [numPassedTests, numFailedTests + numRuntimeErrorTestSuites]
  })
  await build()
  counted(
    await run('end-to-end tests', 'playwright', ['test', '-c', 'e2e', '--reporter=list,json'], {
      extra: { PLAYWRIGHT_JSON_OUTPUT_NAME: join(folder, 'e2e.json') },
    }),
    () => {
      const { stats, suites } = report('e2e.json')
      const walks = (one) => [...(one.specs ?? []), ...(one.suites ?? []).flatMap(walks)]
      for (const { title, file, tests } of suites.flatMap(walks))
        longest.push([
          tests.flatMap((test) => test.results).reduce((ms, result) => ms + result.duration, 0) / 1000,
          `e2e/${file}: ${title}`,
        ])
      return [stats.expected, stats.unexpected + stats.flaky]
    },
  )
} catch (error) {
  console.error(error)
  failed += 1
} finally {
  end()
}
if (longest.length > 0) {
  console.log('\nWhat took longest:')
  for (const [seconds, name] of longest.sort(([a], [b]) => b - a).slice(0, 12)) console.log(`${seconds.toFixed(0).padStart(5)} s  ${name}`)
  console.log('')
}
console.log(`${passed} passed, ${failed} failed`)
process.exitCode = failed === 0 && passed > 0 ? 0 : 1
