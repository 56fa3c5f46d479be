import type { Lacking } from '@selvrin/core'
import { shallowRef, type Component, type InjectionKey } from 'vue'
import { openModals } from './modals'

interface Asked {
  lacking: Lacking
  /** the dialog it was asked in, which has the question within itself; null on a page */
  under: symbol | null
  answer: (confirmed: boolean) => void
}
/** What somebody lacks for what they pressed, while a technician who is present is asked to stand in. */
export const presenceAsked = shallowRef<Asked | null>(null)

/** Asks for a technician who is present. Answers whether one stood in; false at once where somebody else is being asked. */
export function askPresence(lacking: Lacking): Promise<boolean> {
  if (presenceAsked.value) return Promise.resolve(false)
  return new Promise((resolve) => {
    presenceAsked.value = {
      lacking,
      under: openModals.at(-1) ?? null,
      answer: (confirmed) => {
        presenceAsked.value = null
        resolve(confirmed)
      },
    }
  })
}

/** What asks: a dialog that is open has it within itself. */
export const presenceKey: InjectionKey<Component> = Symbol('presence')
