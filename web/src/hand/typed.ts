import { openModals } from './modals'
import { inject, onBeforeUnmount, provide, ref, shallowReactive, type InjectionKey, type Ref } from 'vue'

/* What is being typed and not kept yet: known in one place, so that leaving asks whoever is about to lose it. */

const key: InjectionKey<() => void> = Symbol('typed')
/** with the dialog it is in, if it is one */
const open = shallowReactive(new Map<Ref<boolean>, symbol | null>())

/** A form that says when something in it was typed. `kept` when it was written down; it is forgotten with the component. */
export function useTyped(dialog: symbol | null = null): { touched: Ref<boolean>; kept: () => void } {
  const touched = ref(false)
  open.set(touched, dialog)
  provide(key, () => (touched.value = true))
  onBeforeUnmount(() => open.delete(touched))
  return { touched, kept: () => (touched.value = false) }
}

/** Nothing typed below this component is anybody's draft. */
export const notTyped = (): void => provide(key, () => undefined)

/** For fields: call it when a person changed the value. */
export const useTyping = (): (() => void) => inject(key, () => undefined)

export const anythingTyped = (): boolean => [...open.keys()].some((touched) => touched.value)
export const dropTyped = (): void => open.forEach((_, touched) => (touched.value = false))
/** Something was written down: what was typed for it, in the topmost dialog or on the page, is kept. */
export const typedIsKept = (): void => {
  const top = openModals.at(-1) ?? null
  open.forEach((dialog, touched) => {
    if (top === null || dialog === top) touched.value = false
  })
}
