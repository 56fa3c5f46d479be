<script setup lang="ts">
import { api, sheetBytes, sheetTypes, type JarPage } from '@selvrin/core/contract'
import { useTemplateRef } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { useSending } from '../api/useSending'
import ProblemLine from '../fields/ProblemLine.vue'
import ProgressBar from '../fields/ProgressBar.vue'
import { digits } from '../session/manner'

/** The supplier's safety sheet, attached to the jar. */
const { jar } = defineProps<{ jar: JarPage }>()
const emit = defineEmits<{ changed: [] }>()
const { busy, problem, act } = useAction()
const { share, sending, stop } = useSending()
const input = useTemplateRef<HTMLInputElement>('input')

async function attach(): Promise<void> {
  const file = input.value?.files?.[0]
  if (!file) return
  if (file.size > sheetBytes) {
    problem.value = `A safety sheet may have ${sheetBytes / 1e6} MB; this one has ${digits(file.size / 1e6, 1)} MB.`
    return
  }
  const good = await act(() =>
    sending((parts) => call(api.jar.putSheet, { params: { id: jar.id }, body: { name: file.name }, file, ...parts })),
  )
  if (input.value) input.value.value = ''
  if (good) emit('changed')
}
const remove = () => act(() => call(api.jar.removeSheet, { params: { id: jar.id } })).then((good) => void (good && emit('changed')))
</script>

<template>
  <section aria-labelledby="sheet">
    <h2 id="sheet" class="mb-1 text-xl font-bold">Supplier’s safety sheet</h2>
    <p v-if="jar.sheet" class="mb-2">
      <a class="link" :href="`/api/jars/${jar.id}/sheet`" target="_blank" rel="noopener">{{ jar.sheet.name }}</a>
      <span class="text-quiet"> {{ Math.max(1, Math.round(jar.sheet.bytes / 1000)) }} kB</span>
    </p>
    <p v-else class="mb-2 text-quiet">None attached yet. It decides over everything said here.</p>
    <ProblemLine :problem="problem" class="mb-2" />
    <ProgressBar v-if="share !== null" class="mb-3" words="Sending the sheet" :share="share" :stoppable="share < 1" @stop="stop" />
    <div class="flex flex-wrap gap-3">
      <button class="button button-small" :disabled="busy" @click="input?.click()">{{ jar.sheet ? 'Replace it' : 'Attach it' }}</button>
      <button v-if="jar.sheet" class="button button-small" :disabled="busy" @click="remove">Take it off</button>
    </div>
    <p class="mt-2 text-quiet">
      A photograph of it is made anew, without its place and time. A PDF stays as it came, with what it says of who made it.
    </p>
    <input
      ref="input"
      type="file"
      class="sr-only"
      tabindex="-1"
      aria-label="Safety sheet file"
      :accept="sheetTypes.join()"
      @change="attach"
    />
  </section>
</template>
