import { ref } from 'vue'

/** A running clock takes the whole screen: its own actions stand where the bench edge was. */
export const benchHidden = ref(false)
