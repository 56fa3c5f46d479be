// npm test: installs what is missing, then type check, lint, unit, server and end-to-end tests. Last line: N passed, N failed.
import { spawnSync } from 'node:child_process'
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
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
const end = () => {
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
function run(title, command, args, extra = {}) {
  step(title)
  const started = Date.now()
  const done = spawnSync(join(root, 'node_modules/.bin', command), args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...env, ...extra },
  })
  step(`${title}: ${done.status === 0 ? 'good' : 'FAILED'} after ${Math.round((Date.now() - started) / 1000)} s`)
  return done.status === 0
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
  for (const part of ['core', 'server', 'e2e']) counted(run(`types of ${part}`, 'tsc', ['-p', part]), () => [0, 0])
  counted(run('types of web', 'vue-tsc', ['-p', 'web']), () => [0, 0])
  counted(run('lint', 'eslint', ['.']), () => [0, 0])
  counted(run('folders that import each other', 'depcruise', ['core/src', 'server/src', 'web/src']), () => [0, 0])
  counted(run('exports and packages nobody uses', 'knip', ['--no-config-hints']), () => [0, 0])
  counted(run('format', 'prettier', ['--check', '--log-level', 'warn', '.']), () => [0, 0])
  counted(run('unit and server tests', 'jest', ['--json', `--outputFile=${join(folder, 'jest.json')}`, '--silent']), () => {
    const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites, testResults } = report('jest.json')
    for (const { name, startTime, endTime } of testResults) longest.push([(endTime - startTime) / 1000, relative(root, name)])
    return [numPassedTests, numFailedTests + numRuntimeErrorTestSuites]
  })
  await build()
  counted(
    run('end-to-end tests', 'playwright', ['test', '-c', 'e2e', '--reporter=list,json'], {
      PLAYWRIGHT_JSON_OUTPUT_NAME: join(folder, 'e2e.json'),
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
