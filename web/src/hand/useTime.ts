import { useIntervalFn } from '@vueuse/core'
import { readonly, ref, type Ref } from 'vue'
import { now } from '../clock'

/** The time (ms) as it goes on, for what is said in minutes. */
export function useTime(everyMs = 10_000): Readonly<Ref<number>> {
  const time = ref(now())
  useIntervalFn(() => (time.value = now()), everyMs)
  return readonly(time)
}
