<script setup lang="ts">
import { api, sinkApi } from '@selvrin/core/contract'
import { onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call'
import { keepTrying } from '../api/keepTrying'
import { useSession } from '../session/store'
import { useBottles, useJars } from '../stores'

/** Where the code of a printed label leads: its bottle, its jar, its drum. */
const route = useRoute()
const router = useRouter()
const session = useSession()
const bottles = useBottles()
const jars = useJars()
const unknown = ref(false)
const problem = ref('')
const code = String(route.params.code).toUpperCase()
/** A label outlives its bottle's use. */
const retired = async () => {
  const found = await keepTrying(
    (signal) => call(api.bottle.retired, { query: { find: code }, signal }),
    (said) => void (problem.value = said),
  ).catch(() => null)
  return found?.rows.find((row) => row.code === code)
}
/** A drum stands among what is not collected yet. */
async function openDrum(): Promise<boolean> {
  const sink = await call(sinkApi.get, {}).catch(() => null)
  const drum = sink?.drums.find((row) => row.code === code)
  if (drum) await router.replace(`/sink/drums/${drum.id}`)
  return drum !== undefined
}
onMounted(async () => {
  await Promise.all([bottles.load(), session.isTechnician ? jars.load() : undefined])
  const bottle = bottles.rows.find((row) => row.code === code) ?? (await retired())
  const jar = jars.rows.find((row) => row.code === code)
  if (bottle) await router.replace(`/shelf/${bottle.id}`)
  else if (jar) await router.replace(`/formulary/jars/${jar.id}`)
  else if (session.isTechnician && (await openDrum())) return
  else unknown.value = true
})
</script>

<template>
  <div class="station">
    <p v-if="unknown" class="text-xl">
      Nothing here carries the code <b class="font-mono">{{ code }}</b>{{ session.isTechnician ? '' : ' that members may see' }}.
      <RouterLink to="/shelf" class="link">To the shelf</RouterLink>
    </p>
    <p v-else class="text-quiet" role="status">Looking for {{ code }} … {{ problem || bottles.problem || jars.problem }}</p>
  </div>
</template>
