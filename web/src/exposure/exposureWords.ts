import type { ExposureWay } from '@selvrin/core'

export const wayWords: Record<ExposureWay, string> = {
  skin: 'on the skin',
  breath: 'breathed in',
  eyes: 'in the eyes',
  swallowed: 'swallowed',
}
export const wayChoices = (Object.entries(wayWords) as [ExposureWay, string][]).map(([value, name]) => ({ value, name }))
