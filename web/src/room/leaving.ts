import { ref } from 'vue'

/** Where someone wanted to go from a page with something typed on it; null while nobody does. */
export const leavingFor = ref<string | null>(null)
