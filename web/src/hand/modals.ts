import { shallowReactive, type Component, type InjectionKey } from 'vue'

/** Dialogs that are open, the topmost last. */
export const openModals = shallowReactive<symbol[]>([])

/** What shows help: a dialog that is open has it within itself, or it would be shut out with the rest of the page. */
export const helpKey: InjectionKey<Component> = Symbol('help')
