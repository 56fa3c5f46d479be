<script setup lang="ts">
import { computed } from 'vue'
import { useSession } from '../session/store'
import { placeWords, usePrinting } from './usePrinting'

/** The way to the places at the enlargers, with one's own next one. */
const session = useSession()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const { coming } = usePrinting(() => zone.value)
const next = computed(() => coming.value.find((one) => one.memberId === session.person?.id))
</script>

<template>
  <RouterLink to="/rota/printing" class="card block min-h-14 underline-offset-4 hover:underline">
    <b class="block text-xl">Printing places</b>
    <span class="block">{{ next ? `You print ${placeWords(next, zone)}` : 'Book an enlarger' }}</span>
  </RouterLink>
</template>
