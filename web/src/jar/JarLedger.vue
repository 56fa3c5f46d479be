<script setup lang="ts">
import { api, type JarEntry, type JarPage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import TakeBackPanel from '../fields/TakeBackPanel.vue'
import { showMoment } from '../marks/words'
import { useShow } from '../session/useShow'

/** What came into a jar and went out of it, line by line; a wrong line is taken back by a second one. */
const { jar, zone } = defineProps<{ jar: JarPage; zone: string }>()
const emit = defineEmits<{ changed: [jar: JarPage] }>()
const show = useShow()
const { busy, problem, act } = useAction()
const wrong = ref<JarEntry | null>(null)
const newId = ref(uuid())
const words: Record<JarEntry['kind'], string> = {
  receive: 'Received',
  consume: 'Taken',
  correct: 'Counted',
  discard: 'Discarded',
  reverse: 'Taken back',
}
const change = (entry: JarEntry) => (entry.grams === 0 ? 'right' : `${entry.grams > 0 ? '+' : '−'}${show.mass(Math.abs(entry.grams))}`)

function begin(entry: JarEntry): void {
  wrong.value = entry
  newId.value = uuid()
  problem.value = ''
}
async function takeBack(reason: string): Promise<void> {
  const params = { id: jar.id, entryId: wrong.value?.id ?? '' }
  const good = await act(async () => emit('changed', await call(api.jar.reverse, { params, body: { newId: newId.value, reason } })))
  if (good) wrong.value = null
}
</script>

<template>
  <section aria-labelledby="ledger" class="overflow-x-auto">
    <h2 id="ledger" class="mb-2 text-2xl font-bold">Ledger</h2>
    <table class="w-full border-collapse text-left">
      <thead>
        <tr class="border-b-2 border-ink">
          <th class="py-2 pr-3">When, who</th>
          <th class="pr-3">What</th>
          <th class="pr-3 text-right">Change</th>
          <th class="pr-3 text-right">Holds</th>
          <th><span class="sr-only">Take back</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="entry in jar.ledger"
          :key="entry.id"
          class="border-b border-line align-top"
          :class="entry.reversedBy || entry.kind === 'reverse' ? 'text-quiet' : ''"
        >
          <td class="py-2 pr-3">
            {{ showMoment(entry.at, zone) }}<br /><span class="text-quiet">{{ entry.by }}</span>
          </td>
          <td class="py-2 pr-3">
            <b :class="entry.reversedBy ? 'line-through' : ''">{{ words[entry.kind] }}</b>
            <RouterLink v-if="entry.mixId" class="link ml-1" :to="`/scales/${entry.mixId}`">on the scales</RouterLink>
            <span v-if="entry.note" class="block text-quiet">{{ show.said(entry.note) }}</span>
          </td>
          <td class="py-2 pr-3 text-right font-mono whitespace-nowrap">{{ change(entry) }}</td>
          <td class="py-2 pr-3 text-right font-mono whitespace-nowrap">{{ show.mass(entry.balanceG) }}</td>
          <td class="py-1 text-right">
            <button
              v-if="!entry.reversedBy && entry.kind !== 'reverse'"
              class="link min-h-11 whitespace-nowrap"
              :aria-label="`Take back: ${words[entry.kind]} ${change(entry)}`"
              @click="begin(entry)"
            >
              Take back
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <TakeBackPanel
      v-if="wrong"
      :what="`${words[wrong.kind]} ${change(wrong)}`"
      says="The line stays readable; a second line takes it back."
      :busy="busy"
      :problem="problem"
      @close="wrong = null"
      @take="takeBack"
    />
  </section>
</template>
