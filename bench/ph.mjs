// node bench/ph.mjs: how near the predicted pH comes to tabulated values, and how many solves one core does a second.
import { build } from 'esbuild'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))
const { outputFiles } = await build({
  stdin: { contents: `export { airOxidation, estimatePh } from './core/src/index'`, resolveDir: root },
  bundle: true,
  platform: 'node',
  format: 'esm',
  write: false,
})
const { airOxidation, estimatePh } = await import(`data:text/javascript;base64,${Buffer.from(outputFiles[0].contents).toString('base64')}`)

const borax = { metol: 2, hydroquinone: 5, 'sodium-sulfite': 100, 'borax-decahydrate': 2 }
const print = { metol: 3, hydroquinone: 12, 'sodium-sulfite': 45, 'sodium-carbonate-monohydrate': 80, 'potassium-bromide': 2 }
const table = [
  ['phosphate buffer, 0.025 + 0.025 mol/L', { 'potassium-dihydrogen-phosphate': 3.4023, 'disodium-phosphate': 3.549 }, '6.86', 6.86, 6.86],
  ['borax, 0.01 mol/L', { 'borax-decahydrate': 3.8137 }, '9.18', 9.18, 9.18],
  ['carbonate buffer, 0.025 + 0.025 mol/L', { 'sodium-bicarbonate': 2.1003, 'sodium-carbonate': 2.6498 }, '10.01', 10.01, 10.01],
  ['acetic acid, 0.1 mol/L', { 'acetic-acid-glacial': 6.0231 }, '2.88', 2.88, 2.88],
  ['borax film developer', borax, '8.4 to 8.7', 8.4, 8.7],
  ['metol and sulfite alone', { metol: 7.5, 'sodium-sulfite': 100 }, '7.8 to 8.1', 7.8, 8.1],
  ['carbonate print developer', print, '10.1 to 10.5', 10.1, 10.5],
]
console.log(`${'solution'.padEnd(40)} ${'tabulated'.padEnd(14)} predicted   off`)
for (const [name, amounts, says, low, high] of table) {
  const { ph } = estimatePh(amounts)
  const off = ph < low ? ph - low : ph > high ? ph - high : 0
  console.log(`${name.padEnd(40)} ${says.padEnd(14)} ${ph.toFixed(2).padStart(6)} ${off.toFixed(2).padStart(9)}`)
}
console.log('\nborax film developer, hydroquinone taken by air')
const published = [8.65, 8.87, 9.17, 9.61]
airOxidation(borax, [0, 0.2, 0.5, 1]).forEach(({ share, ph }, i) =>
  console.log(
    `${`${share * 100} %`.padEnd(40)} ${String(published[i]).padEnd(14)} ${ph.toFixed(2).padStart(6)} ${(ph - published[i]).toFixed(2).padStart(9)}`,
  ),
)

/** solves a second over one second */
function rate(amounts) {
  const until = performance.now() + 1000
  let count = 0
  while (performance.now() < until) {
    for (let i = 0; i < 100; i++) estimatePh(amounts)
    count += 100
  }
  return count
}
rate(borax)
console.log('')
for (const [name, amounts] of [
  ['borax film developer', borax],
  ['carbonate print developer', print],
]) {
  const perSecond = rate(amounts)
  console.log(`${name.padEnd(40)} ${perSecond} solves a second, ${(perSecond / 2000).toFixed(1)} × the 2,000 wanted`)
}
