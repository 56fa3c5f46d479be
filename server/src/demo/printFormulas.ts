import type { FormulaBody } from '@selvrin/core/contract'
import { body, counted, g, keeps } from './recipe'

/** Print developers of the house beside its usual one. Amounts are of the usual published size for each kind; names are made up. */
export const printFormulas: Record<string, FormulaBody> = {
  coldPrint: body({
    name: 'Cold print developer',
    family: 'print-developer',
    purpose: 'Phenidone–hydroquinone carbonate developer with benzotriazole: blue-black tones, clean whites',
    mixC: 45,
    additions: [
      g('sodium-sulfite', 50),
      g('hydroquinone', 13),
      g('phenidone', 0.5),
      g('sodium-carbonate-monohydrate', 72),
      g('potassium-bromide', 1),
      g('benzotriazole', 0.2),
    ],
    use: counted(
      [
        [1, 3],
        [1, 4],
      ],
      30,
      keeps(180, 60, 1),
    ),
    usualS: 90,
  }),
  softPrint: body({
    name: 'Soft print developer',
    family: 'print-developer',
    purpose: 'Metol alone in carbonate: a grade softer than the usual one, for hard negatives and for two baths with it',
    mixC: 45,
    additions: [
      g('sodium-sulfite', 2),
      g('metol', 8),
      g('sodium-sulfite', 23),
      g('sodium-carbonate-monohydrate', 20),
      g('potassium-bromide', 1),
    ],
    use: counted(
      [
        [1, 1],
        [1, 2],
      ],
      20,
      keeps(120, 45, 1),
    ),
    usualS: 120,
  }),
}
