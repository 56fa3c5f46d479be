// npm run formats: writes docs/formats/*.schema.json from the Zod schemas of core/src/exchange.
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { build } from 'esbuild'
import { root } from './lib/place.mjs'
import { step } from './lib/say.mjs'

const { outputFiles } = await build({
  stdin: { contents: `export { jsonSchemas } from './core/src/exchange/jsonSchemas'`, resolveDir: root },
  bundle: true,
  platform: 'node',
  format: 'esm',
  write: false,
})
const { jsonSchemas } = await import(`data:text/javascript;base64,${Buffer.from(outputFiles[0].contents).toString('base64')}`)
for (const [name, schema] of Object.entries(jsonSchemas())) {
  writeFileSync(join(root, 'docs/formats', `${name}.schema.json`), `${JSON.stringify(schema, null, 2)}\n`)
  step(`docs/formats/${name}.schema.json`)
}
