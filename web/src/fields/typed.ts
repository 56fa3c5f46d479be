import { inject, onBeforeUnmount, provide, ref, shallowReactive, type InjectionKey, type Ref } from 'vue'

/* What is being typed and not kept yet: known in one place, so that leaving asks whoever is about to lose it. */

const key: InjectionKey<() => void> = Symbol('typed')
const open = shallowReactive(new Set<Ref<boolean>>())

/** A form that says when something in it was typed. `kept` when it was written down; it is forgotten with the component. */
export function useTyped(): { touched: Ref<boolean>; kept: () => void } {
  const touched = ref(false)
  open.add(touched)
  provide(key, () => (touched.value = true))
  onBeforeUnmount(() => open.delete(touched))
  return { touched, kept: () => (touched.value = false) }
}

/** Nothing typed below this component is anybody's draft. */
export const notTyped = (): void => provide(key, () => undefined)

/** For fields: call it when a person changed the value. */
export const useTyping = (): (() => void) => inject(key, () => undefined)

export const anythingTyped = (): boolean => [...open].some((touched) => touched.value)
export const dropTyped = (): void => open.forEach((touched) => (touched.value = false))
