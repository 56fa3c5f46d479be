// npm run picture -- FILE.png [densities] [WIDTHxHEIGHT]: a made-up photograph of scraps of known density, to try the reading with.
// Densities from left to right, such as 1.2,0.96,0.3,0.6; the bare light is left of the first patch.
import { writeFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { makePicture } from './lib/picture.mjs'
import { giveUp } from './lib/say.mjs'

const [file, list = '1.2,0.96,0.3,0.6,0.9,1.2,1.5', size = '1500x1000'] = process.argv.slice(2)
const densities = list.split(',').map(Number)
const [width, height] = size.split('x').map(Number)
if (!file || densities.some((one) => !Number.isFinite(one)) || !(width > 0) || !(height > 0))
  giveUp('Name the file, and if you like densities and a size: npm run picture -- scraps.png 1.2,0.96,0.3 1500x1000')
const { png, empty, patches } = await makePicture({ width, height, densities, seed: 1 })
writeFileSync(resolve(process.env.INIT_CWD ?? '.', file), png)
console.log(
  `${file}: bare light at ${empty.x},${empty.y}; ${patches.map((patch) => `D ${patch.density} at ${patch.area.x},${patch.area.y}`).join('; ')}`,
)
