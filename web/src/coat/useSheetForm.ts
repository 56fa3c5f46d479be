import {
  coatMix,
  coatPer1000Cm2,
  contrastFor,
  dropMl,
  scaleOfSheet,
  type CoatedBody,
  type CoatedProcess,
  type CoatedWith,
  type PlatinumContrast,
} from '@selvrin/core'
import { computed, reactive } from 'vue'
import { sentence } from '../api/call'
import { readFigure, readSize } from '../fields/figure'
import { useShow } from '../session/useShow'

const inMetal = (process: CoatedProcess | null): boolean => process === 'platinum' || process === 'palladium'

/** What a hand-coated sheet is to be, as it is typed; beside it what is measured out for it. */
export function useSheetForm(first: CoatedBody | null) {
  const show = useShow()
  const typed = reactive({
    title: first?.title ?? '',
    process: (first?.process ?? 'cyanotype') as CoatedProcess | null,
    negative: first?.negative ?? '',
    range: first?.range == null ? '' : show.plain(first.range),
    size: first ? `${show.plain(first.widthCm)} × ${show.plain(first.heightCm)}` : '20 × 25',
    strips: String(first?.strips ?? 1),
    coatedWith: (first?.coatedWith ?? 'brush') as CoatedWith | null,
    coats: (first?.coats ?? 1) as number | null,
    mlPer1000: show.plain(first?.mlPer1000 ?? coatPer1000Cm2.usual),
    drops: String(Math.round(1 / (first?.dropMl ?? dropMl))),
    contrast: (first?.contrast ?? 'normal') as PlatinumContrast | null,
    platinum: String(first?.platinumDrops ?? 0),
    paper: first?.paper ?? '',
    price: first?.paperPrice == null ? '' : show.plain(first.paperPrice),
  })
  const isMetal = computed(() => inMetal(typed.process))

  /** The sheet, or a sentence on what is missing. */
  function read(): CoatedBody | string {
    const size = readSize(typed.size)
    const [range, strips, per1000, drops, platinum, price] = [typed.range, typed.strips, typed.mlPer1000, typed.drops, typed.platinum, typed.price].map(readFigure) // prettier-ignore
    if (typed.title.trim() === '') return 'Give the print a name.'
    if (typed.process === null) return 'Say what it is coated with.'
    if (!size) return 'The size that is coated is two sides in cm, such as 20 × 25.'
    if (typed.paper.trim() === '') return 'Say which paper it is.'
    if (range === undefined || price === undefined)
      return 'The density range and the price are numbers, or nothing where nobody knows them.'
    if (!per1000) return 'Say how much the paper takes, such as 2.8 ml for 1,000 cm².'
    if (!drops || drops < 10 || drops > 50) return 'A ml has 10 to 50 drops: count twenty into a syringe.'
    if (!Number.isInteger(strips ?? 0) || !Number.isInteger(platinum ?? 0)) return 'Strips and drops are whole numbers.'
    return {
      ...{ title: typed.title, process: typed.process, negative: typed.negative, range, ...size, strips: strips ?? 0 },
      ...{ coatedWith: typed.coatedWith ?? 'brush', coats: typed.coats ?? 1, mlPer1000: per1000, dropMl: Number((1 / drops).toFixed(4)) },
      ...{ contrast: isMetal.value ? typed.contrast : null, platinumDrops: typed.process === 'palladium' ? (platinum ?? 0) : 0 },
      ...{ paper: typed.paper, paperPrice: price },
    }
  }
  /** What would be measured out, and what it prints; a sentence where that cannot be said. */
  const mix = computed(() => {
    const body = read()
    if (typeof body === 'string') return null
    try {
      return { parts: coatMix(body), scale: scaleOfSheet(body) }
    } catch (error) {
      return sentence(error)
    }
  })
  /** The contrast of palladium that the negative’s range asks for. */
  const proposed = computed(() => {
    const range = readFigure(typed.range)
    return typed.process === 'palladium' && range ? contrastFor(range) : null
  })
  return { typed, isMetal, read, mix, proposed }
}
export type SheetForm = ReturnType<typeof useSheetForm>
