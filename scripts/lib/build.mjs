import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './place.mjs'
import { step } from './say.mjs'

function* filesBelow(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    if (['node_modules', 'dist', '.build'].includes(entry.name)) continue
    const path = join(folder, entry.name)
    if (entry.isDirectory()) yield* filesBelow(path)
    else yield path
  }
}

/** Changes whenever a source does. */
function sourcesHash() {
  const hash = createHash('sha256').update(readFileSync(join(root, 'package-lock.json')))
  for (const part of ['core', 'server', 'web'])
    for (const file of [...filesBelow(join(root, part))].sort()) {
      const { mtimeMs, size } = statSync(file)
      hash.update(`${file} ${mtimeMs} ${size}\n`)
    }
  return hash.digest('hex')
}

/** Builds web with Vite and server with esbuild, when a source changed since the last time. */
export async function build() {
  const folder = join(root, '.build')
  const stamp = join(folder, 'sources')
  const hash = sourcesHash()
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return
  rmSync(stamp, { force: true })
  mkdirSync(folder, { recursive: true })
  step('building …')
  const { build: bundle } = await import('esbuild')
  const { build: buildWeb } = await import('vite')
  const own = JSON.parse(readFileSync(join(root, 'server/package.json'), 'utf8'))
  await Promise.all([
    bundle({
      // beside the server, what it runs in threads of their own
      entryPoints: {
        main: join(root, 'server/src/main.ts'),
        'arrange-thread': join(root, 'server/src/rota/arrange.thread.ts'),
        'weeks-thread': join(root, 'server/src/weeks/weeks.thread.ts'),
      },
      outdir: join(root, 'server/dist'),
      outExtension: { '.js': '.mjs' },
      bundle: true,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      sourcemap: true,
      logLevel: 'warning',
      external: Object.keys(own.dependencies),
      alias: { '@selvrin/core/contract': join(root, 'core/src/contract/index.ts'), '@selvrin/core': join(root, 'core/src/index.ts') },
    }),
    buildWeb({ root: join(root, 'web'), logLevel: 'warn' }),
  ])
  // the browser's own helper stands beside the page, under one name for good
  await bundle({
    entryPoints: [join(root, 'web/src/offline/page.worker.ts')],
    outfile: join(root, 'web/dist/page-worker.js'),
    bundle: true,
    format: 'iife',
    target: 'es2022',
    minify: true,
    define: { 'process.env.NODE_ENV': '"production"' },
    logLevel: 'warning',
  })
  writeFileSync(stamp, hash)
}
