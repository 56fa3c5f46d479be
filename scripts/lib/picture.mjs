import { join } from 'node:path'
import { root } from './place.mjs'

/** A made-up photograph of patches of known density, as a PNG, and where its patches are. Options as core's testPicture takes them. */
export async function makePicture(options) {
  const { build } = await import('esbuild')
  const { PNG } = (await import('pngjs')).default
  const bundled = await build({
    entryPoints: [join(root, 'core/src/proof/testPicture.ts')],
    bundle: true,
    format: 'esm',
    write: false,
    logLevel: 'warning',
  })
  const { testPicture } = await import(`data:text/javascript;base64,${Buffer.from(bundled.outputFiles[0].text).toString('base64')}`)
  const picture = testPicture(options)
  const png = new PNG({ width: picture.width, height: picture.height })
  png.data = Buffer.from(picture.rgba.buffer)
  return { ...picture, png: PNG.sync.write(png) }
}
