import { type Cause } from '@selvrin/core'
import { chemicalOf } from '../chemical/chemistry'

/** A slip at the scale in words: "borax taken twice". */
export function causeWords(cause: Cause): string {
  const name = chemicalOf(cause.chemical).name
  switch (cause.slip) {
    case 'left-out':
      return `${name} left out`
    case 'half':
      return `half of the ${name}`
    case 'twice':
      return `twice the ${name}`
    case 'other-product':
      return `${chemicalOf(cause.instead ?? cause.chemical).name} taken for ${name}, gram for gram`
  }
}
