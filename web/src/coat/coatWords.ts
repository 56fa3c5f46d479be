import {
  coatPartNames,
  uvKindNames,
  type CoatedBody,
  type CoatedProcess,
  type CoatPart,
  type CoatStanding,
  type UvLight,
} from '@selvrin/core'

export const processNames: Record<CoatedProcess, string> = {
  cyanotype: 'cyanotype',
  'iron-silver': 'iron–silver',
  platinum: 'platinum',
  palladium: 'palladium',
}
export const partName = (part: CoatPart): string => coatPartNames[part]

const stages: Record<CoatStanding['stage'], string> = {
  coat: 'to be coated',
  dry: 'drying',
  expose: 'dry, to be exposed',
  process: 'in its baths',
  done: 'done',
}
export const stageWords = (stage: CoatStanding['stage']): string => stages[stage]

/** Such as: palladium, normal, 20 × 25 cm on rag paper. */
export const sheetWords = (body: CoatedBody, plain: (value: number) => string): string =>
  [
    processNames[body.process],
    body.contrast,
    body.platinumDrops > 0 ? `${body.platinumDrops} drops of platinum` : null,
    `${plain(body.widthCm)} × ${plain(body.heightCm)} cm on ${body.paper}`,
  ]
    .filter(Boolean)
    .join(', ')

export const lightWords = ({ kind, watts, distanceCm }: UvLight, plain: (value: number) => string): string =>
  `${uvKindNames[kind]}, ${plain(Math.round(watts))} W at ${plain(distanceCm)} cm`
