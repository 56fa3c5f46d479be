<script setup lang="ts">
import { ref } from 'vue'
import { useEventListener } from '@vueuse/core'
import { useRouter } from 'vue-router'
import { useSession } from '../session/store'
import { darker, light } from '../light/light'
import { lAlone, useWayBack } from './useWayBack'
import { useKeys } from '../hand/keys'
import { memberStations, stations } from './stations'
import { part } from '../part/part'

const FinderPanel = part(() => import('./FinderPanel.vue'))
const KeyList = part(() => import('./KeyList.vue'))
const router = useRouter()
const session = useSession()
const finding = ref(false)
const listing = ref(false)

useKeys((event) => {
  // switched off as a whole, for those who meet them by accident
  if (session.person?.letterKeys === false) return false
  const station = (session.isTechnician ? stations : memberStations).find((one) => String(one.key) === event.key)
  if (station) void router.push(station.path)
  else if (event.key === '/') finding.value = true
  else if (event.key === '?') listing.value = true
  else if (event.key.toLowerCase() === 'l' && !event.repeat) {
    if (light.value === 'white') darker()
    else darkens = light.value === 'safelight'
  } else return false
  return true
})

// out of safelight the same key begins the way back to white, with Enter: alone, it darkens as it is let go
let darkens = false
useEventListener(document, 'keyup', (event) => {
  if (darkens && lAlone.value && event.key.toLowerCase() === 'l') darker()
  if (event.key.toLowerCase() === 'l') darkens = false
})
useWayBack()
</script>

<template>
  <FinderPanel v-if="finding" @close="finding = false" />
  <KeyList v-if="listing" @close="listing = false" />
</template>
