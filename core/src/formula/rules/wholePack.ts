import { finding, type Rule } from './rule'

/** mix-13: powders packed as one mix are used whole: a part weighed out is no fair sample. `wholePack: false` is a part of a pack. */
export const wholePack: Rule = (_formula, lines) =>
  lines
    .filter((line) => line.addition.wholePack !== undefined)
    .map((line) =>
      line.addition.wholePack
        ? finding(
            'mix-13',
            'advice',
            `${line.chemical.name}: the whole pack, as it is sold. Its powders settle apart, so a part of it is no fair sample.`,
            line.step,
          )
        : finding(
            'mix-13',
            'warning',
            `${line.chemical.name} is a part of a pack: its powders settle apart and a part is no fair sample. Mix the whole pack, or confirm it and note it on the batch.`,
            line.step,
          ),
    )
