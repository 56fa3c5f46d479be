// node scripts/voice.mjs: makes what the clock says as small sound files, with espeak-ng and lame of Debian (apt-get install espeak-ng lame). The files are kept with the
// source, since a machine may have no voice; it is run again when words.ts changes.
import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { root } from './lib/place.mjs'

const voice = ['-v', 'en-gb', '-s', '165', '-p', '42', '-a', '180']
const folder = join(root, 'web/src/cue/voice')
const work = mkdtempSync(join(tmpdir(), 'selvrin-voice-'))

const { build } = await import('esbuild')
const words = join(work, 'words.mjs')
await build({
  entryPoints: [join(root, 'web/src/cue/words.ts')],
  outfile: words,
  bundle: true,
  format: 'esm',
  platform: 'node',
  alias: { '@selvrin/core': join(root, 'core/src/index.ts') },
  logLevel: 'warning',
})
const { spoken } = await import(pathToFileURL(words).href)

mkdirSync(folder, { recursive: true })
for (const file of readdirSync(folder)) rmSync(join(folder, file))
for (const [name, text] of Object.entries(spoken)) {
  const wave = join(work, `${name}.wav`)
  execFileSync('espeak-ng', [...voice, '-w', wave, text])
  // one channel, 24 kbit/s, without tags: a word is some 3 kB
  execFileSync('lame', ['--silent', '-m', 'm', '-b', '24', '--resample', '22.05', '-t', wave, join(folder, `${name}.mp3`)])
}
rmSync(work, { recursive: true })
const files = readdirSync(folder)
const bytes = files.reduce((sum, file) => sum + statSync(join(folder, file)).size, 0)
console.log(`${files.length} sounds, ${Math.round(bytes / 1000)} kB`)
