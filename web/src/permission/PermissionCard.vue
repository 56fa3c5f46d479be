<script setup lang="ts">
import type { Permission } from '@selvrin/core/contract'
import { computed } from 'vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useBottles } from '../stores'
import { useMine } from './mine'
import { termWords } from './words'

/** What a member may develop, and what is to be done before. */
const { permission } = defineProps<{ permission: Permission }>()
const session = useSession()
const mine = useMine()
const bottles = useBottles()
void bottles.load()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const terms = computed(() =>
  termWords(permission, { vessels: mine.answer?.vessels ?? [], bottles: bottles.rows, loaded: bottles.loaded, own: true }),
)
</script>

<template>
  <li class="card flex flex-wrap items-center gap-x-6 gap-y-2">
    <div class="min-w-56 flex-1">
      <p class="text-xl font-bold">{{ permission.processName }}</p>
      <p v-for="line in terms" :key="line">{{ line }}</p>
      <p class="text-quiet">
        {{ permission.by }}, {{ showDate(permission.at, zone)
        }}{{ permission.until === null ? '' : `, until ${showDate(permission.until, zone)}` }}
      </p>
      <p v-if="permission.before" class="mt-2 border-l-4 border-alarm pl-3 font-semibold">{{ permission.before }}</p>
    </div>
    <RouterLink v-if="permission.before === ''" :to="`/tanks/plan?process=${permission.processId}`" class="button">Plan it</RouterLink>
    <RouterLink v-else-if="permission.practice" :to="`/practice?process=${permission.processId}`" class="button">Practise it</RouterLink>
  </li>
</template>
