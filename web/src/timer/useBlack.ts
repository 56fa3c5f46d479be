import { onScopeDispose, watch } from 'vue'
import { askedInTheDark } from '../light/dark'
import { goDark, light, openFilm } from '../light/light'

/** Colour paper bears no light: the screen goes black, and any key but the pedal's has it said what is next. Answers how it is made black. */
export function useBlack(tell: () => void): () => void {
  let unasked: (() => void) | null = null
  watch(
    () => light.value === 'dark',
    (dark) => {
      unasked?.()
      unasked = null
      if (dark)
        unasked = askedInTheDark((done) => {
          if (!done) tell()
        })
      openFilm.value = dark ? 'the open paper' : null
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    unasked?.()
    openFilm.value = null
  })
  return () => {
    goDark()
    tell()
  }
}
