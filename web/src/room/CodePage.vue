<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useSession } from '../session/store'
import { useBottles, useJars } from '../stores'

/** Where the code of a printed label leads: its bottle, or its jar. */
const route = useRoute()
const router = useRouter()
const session = useSession()
const bottles = useBottles()
const jars = useJars()
const unknown = ref(false)
const code = String(route.params.code).toUpperCase()
onMounted(async () => {
  await Promise.all([bottles.load(), session.isTechnician ? jars.load() : undefined])
  const bottle = bottles.rows.find((row) => row.code === code)
  const jar = jars.rows.find((row) => row.code === code)
  if (bottle) await router.replace(`/shelf/${bottle.id}`)
  else if (jar) await router.replace(`/formulary/jars/${jar.id}`)
  else unknown.value = true
})
</script>

<template>
  <div class="station">
    <p v-if="unknown" class="text-xl">
      Nothing here carries the code <b class="font-mono">{{ code }}</b>{{ session.isTechnician ? '' : ' that members may see' }}.
      <RouterLink to="/shelf" class="link">To the shelf</RouterLink>
    </p>
    <p v-else class="text-quiet" role="status">Looking for {{ code }} … {{ bottles.problem || jars.problem }}</p>
  </div>
</template>
