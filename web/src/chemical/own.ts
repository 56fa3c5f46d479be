import type { Chemical } from '@selvrin/core'
import { shallowRef } from 'vue'

/** This darkroom's own chemicals and edits. Kept apart from the chemistry that reckons with them, which is large and not needed on the Shelf. */
export const ownChemicals = shallowRef<Chemical[]>([])
