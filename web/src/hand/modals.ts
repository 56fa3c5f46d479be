import { shallowReactive } from 'vue'

/** Dialogs that are open, the topmost last. */
export const openModals = shallowReactive<symbol[]>([])
