<script setup lang="ts">
import { api } from '@selvrin/core/contract'
import { computed, onMounted } from 'vue'
import { call } from '../api/call'
import { useTime } from '../hand/useTime'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useNotices } from '../stores'
import { useShow } from '../session/useShow'

const show = useShow()
/** What the darkroom has to tell a person about their films, until they have seen it. */
const session = useSession()
const notices = useNotices()
onMounted(() => void notices.load())
/** a reminder waits for its time */
const time = useTime()
const open = computed(() => notices.rows.filter((notice) => !notice.read && notice.at <= time.value))
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
async function seen(id: string): Promise<void> {
  await call(api.proof.read, { params: { id } }).catch(() => undefined)
  await notices.load(true)
}
</script>

<template>
  <ul v-if="open.length > 0" class="space-y-3" aria-label="Told to you">
    <li v-for="notice in open" :key="notice.id" class="flex flex-wrap items-center gap-4 border-l-4 border-alarm pl-4">
      <p class="min-w-0 flex-1 text-lg max-sm:basis-full">
        {{ show.said(notice.text) }} <span class="text-quiet">{{ showDate(notice.at, zone) }}</span>
      </p>
      <button class="button button-small" @click="seen(notice.id)">I have seen it</button>
    </li>
  </ul>
</template>
