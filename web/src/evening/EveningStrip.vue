<script setup lang="ts">
import { type EveningSummary, eveningApi } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import { useTime } from '../hand/useTime'
import { counted, showClock, showDate } from '../marks/words'
import { useSession } from '../session/store'
import NewEvening from './NewEvening.vue'

/** The evening that is next, and those behind and after it: what a technician walks up with. */
const session = useSession()
const router = useRouter()
const time = useTime()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const page = usePage(
  (signal) => call(eveningApi.list, { query: { limit: 40 }, signal }),
  (event) => event.subject === 'evening',
)
onMounted(() => void page.load())
const evenings = computed(() => page.value.value?.rows ?? [])
const coming = computed(() => evenings.value.filter((one) => one.closesAt > time.value).sort((a, b) => a.opensAt - b.opensAt))
const planning = ref(false)
const words = ({ loads, without }: EveningSummary): string =>
  loads === 0 ? 'nothing in it yet' : `${counted(loads, 'load')}${without === 0 ? '' : `, ${without} without a place`}`
</script>

<template>
  <section class="mb-6" aria-labelledby="evenings">
    <div class="flex flex-wrap items-stretch gap-3">
      <h2 id="evenings" class="sr-only">Evenings</h2>
      <RouterLink
        v-for="(one, i) in coming.slice(0, 4)"
        :key="one.id"
        :to="`/rota/evenings/${one.id}`"
        class="card min-h-16 min-w-52 underline-offset-4 hover:underline"
        :class="i === 0 ? 'border-2 border-ink' : ''"
      >
        <b class="block text-xl">{{ showDate(one.opensAt, zone) }}</b>
        <span class="block">{{ showClock(one.opensAt, zone) }} to {{ showClock(one.closesAt, zone) }}</span>
        <span class="block text-quiet">{{ words(one) }}</span>
      </RouterLink>
      <div class="flex flex-col gap-2">
        <button class="button" @click="planning = true">Plan an evening</button>
        <RouterLink to="/rota/room" class="button">The room</RouterLink>
      </div>
      <div class="flex flex-col gap-2">
        <RouterLink to="/rota/weeks" class="button">The coming weeks</RouterLink>
        <RouterLink to="/rota/printing" class="button">Printing places</RouterLink>
      </div>
    </div>
    <NewEvening v-if="planning" :there="evenings" @close="planning = false" @planned="router.push(`/rota/evenings/${$event}`)" />
  </section>
</template>
