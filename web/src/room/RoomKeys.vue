<script setup lang="ts">
import { defineAsyncComponent, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useSession } from '../session/store'
import { darker, light, lighter } from './light'
import { useKeys } from './keys'
import { memberStations, stations } from './stations'

const FinderPanel = defineAsyncComponent(() => import('./FinderPanel.vue'))
const KeyList = defineAsyncComponent(() => import('./KeyList.vue'))
const router = useRouter()
const session = useSession()
const finding = ref(false)
const listing = ref(false)

useKeys((event) => {
  const station = (session.isTechnician ? stations : memberStations).find((one) => String(one.key) === event.key)
  if (station) void router.push(station.path)
  else if (event.key === '/') finding.value = true
  else if (event.key === '?') listing.value = true
  else if (event.key.toLowerCase() === 'l' && session.person?.letterKeys !== false && !event.repeat) darker()
  else return false
  return true
})

/** Going lighter is deliberate: L and Enter held together for a second, or two fingers for two. */
const held = new Set<string>()
let wait = 0
const lightenAfter = (ms: number) => {
  clearTimeout(wait)
  if (light.value === 'safelight') wait = window.setTimeout(lighter, ms)
}
const onKey = (event: KeyboardEvent) => {
  const name = event.key.toLowerCase()
  if (event.type === 'keydown') {
    if (event.repeat) return
    held.add(name)
    if (held.has('l') && held.has('enter')) lightenAfter(1000)
  } else {
    held.delete(name)
    clearTimeout(wait)
  }
}
const onTouch = (event: TouchEvent) => (event.touches.length === 2 ? lightenAfter(2000) : clearTimeout(wait))
onMounted(() => {
  for (const type of ['keydown', 'keyup'] as const) window.addEventListener(type, onKey)
  for (const type of ['touchstart', 'touchend', 'touchcancel'] as const) window.addEventListener(type, onTouch, { passive: true })
})
onBeforeUnmount(() => {
  for (const type of ['keydown', 'keyup'] as const) window.removeEventListener(type, onKey)
  for (const type of ['touchstart', 'touchend', 'touchcancel'] as const) window.removeEventListener(type, onTouch)
})
</script>

<template>
  <FinderPanel v-if="finding" @close="finding = false" />
  <KeyList v-if="listing" @close="listing = false" />
</template>
