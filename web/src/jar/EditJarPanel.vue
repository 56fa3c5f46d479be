<script setup lang="ts">
import { api, type Jar, type JarPage } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { jarDraft, readJar, type JarDraft } from './draft'
import JarFields from './JarFields.vue'
import { nameOf } from './reorder'

/** Edits what is known of a jar. Where someone else was first, both versions are shown and what was typed stays. */
const { jar } = defineProps<{ jar: JarPage }>()
const emit = defineEmits<{ close: []; kept: [jar: JarPage] }>()
const draft = ref(jarDraft(jar))
const problems = ref<Record<string, string>>({})
const based = ref(jar.version)
const { busy, problem, current, act } = useAction()
const theirs = computed(() => current.value as Jar | null)
const words: Record<keyof JarDraft, string> = {
  lot: 'Lot',
  place: 'Place',
  opened: 'Opened',
  assay: 'Assay',
  price: 'Price a kg',
  reorderG: 'Order below, g',
  spoonG: 'Spoon, g',
  storage: 'Stands with',
}
const differing = computed(() => {
  if (!theirs.value) return []
  const now = jarDraft(theirs.value)
  return (Object.keys(words) as (keyof JarDraft)[])
    .filter((key) => now[key] !== draft.value[key])
    .map((key) => ({ name: words[key], theirs: now[key] || 'nothing', mine: draft.value[key] || 'nothing' }))
})

async function keep(version = based.value): Promise<void> {
  const { facts, problems: wrong } = readJar(draft.value)
  problems.value = wrong
  if (!facts) {
    problem.value = 'Some of it cannot be read yet: see the marked fields.'
    return
  }
  await act(async () => emit('kept', await call(api.jar.change, { params: { id: jar.id }, body: { version, ...facts } })))
}
</script>

<template>
  <ModalPanel open wide :title="`Edit ${nameOf(jar)}`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="keep()">
      <JarFields v-model="draft" :problems="problems" />
      <ProblemLine :problem="problem" />
      <div v-if="theirs" class="space-y-3">
        <table class="w-full border-collapse text-left" aria-label="Both versions">
          <thead>
            <tr class="border-b-2 border-ink">
              <th class="py-1 pr-3" />
              <th class="pr-3">Theirs, kept now</th>
              <th>Yours</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in differing" :key="line.name" class="border-b border-line">
              <th class="py-1 pr-3 font-normal">{{ line.name }}</th>
              <td class="pr-3">{{ line.theirs }}</td>
              <td class="font-bold">{{ line.mine }}</td>
            </tr>
          </tbody>
        </table>
        <div class="flex flex-wrap gap-3">
          <button type="button" class="button button-main" :disabled="busy" @click="keep(theirs.version)">Keep mine</button>
          <button
            type="button"
            class="button"
            @click="((based = theirs.version), (draft = jarDraft(theirs)), (current = null), (problem = ''))"
          >
            Take theirs
          </button>
        </div>
      </div>
      <div v-else class="flex gap-3">
        <button class="button button-main" :disabled="busy">Keep</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
