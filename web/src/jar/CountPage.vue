<script setup lang="ts">
import { api, type Jar } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { readKept, writeKept } from '../hand/useKept'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { useBench } from '../device/readings'
import TakeReading from '../device/TakeReading.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import PageState from '../fields/PageState.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useShow } from '../session/useShow'
import { useJars } from '../stores'
import { byPlace, nameOf } from './reorder'
import { useTyped } from '../hand/typed'

/** Stock-take: along the shelf, one jar after another. */
const show = useShow()
const jars = useJars()
const { busy, problem, act } = useAction()
const typing = useTyped()
const scale = useBench('scale')
const order = shallowRef<Jar[]>([])
/** ids in the order they are looked at, and how far: a reload goes on there */
const at = ref(0)
const weighed = ref<number | null>(null)
const off = ref<{ name: string; grams: number }[]>([])
const seen = ref(0)
let entryId = uuid()
const keptAs = 'stock-take'
const started = ref(false)
onMounted(async () => {
  await jars.load(true)
  const before = readKept<{ ids: string[]; at: number; seen: number; off: typeof off.value }>(keptAs)
  const along = byPlace(jars.rows.filter((jar) => jar.grams > 0)).flatMap(([, list]) => list)
  const known = before?.ids.flatMap((id) => jars.rows.find((jar) => jar.id === id) ?? []) ?? []
  order.value = known.length > 0 ? known : along
  if (before && known.length > 0) {
    at.value = before.at
    seen.value = before.seen
    off.value = before.off
  }
  started.value = true
})
watch([at, seen, off, order], () => {
  const over = at.value >= order.value.length
  writeKept(keptAs, over ? null : { ids: order.value.map((one) => one.id), at: at.value, seen: seen.value, off: off.value })
})
/** The jar to look at, as it is now: someone may mix meanwhile. */
const jar = computed(() => {
  const wanted = order.value[at.value]
  return jars.rows.find((one) => one.id === wanted?.id) ?? wanted
})
const mass = (grams: number) => show.mass(grams)
function next(): void {
  at.value += 1
  weighed.value = null
  typing.kept()
  problem.value = ''
  entryId = uuid()
}
async function keep(grams: number): Promise<void> {
  const counted = jar.value
  if (!counted) return
  const body = { entryId, grams, expectedG: counted.grams }
  const good = await act(() => call(api.jar.count, { params: { id: counted.id }, body }))
  await jars.load(true)
  if (!good) return
  seen.value += 1
  if (Math.abs(grams - counted.grams) > 0.05) off.value = [...off.value, { name: nameOf(counted), grams: grams - counted.grams }]
  next()
}
function count(): void {
  if (weighed.value === null) problem.value = 'Write what the jar holds, without its own weight.'
  else void keep(weighed.value)
}
</script>

<template>
  <div class="station max-w-4xl">
    <RouterLink to="/formulary/jars" class="link inline-flex min-h-11 items-center">← Jars</RouterLink>
    <template v-if="jar">
      <p class="text-xl text-quiet">Stock-take, jar {{ at + 1 }} of {{ order.length }} · {{ jar.place || 'no place' }}</p>
      <h1 class="text-5xl font-bold max-sm:text-3xl">{{ nameOf(jar) }}</h1>
      <p class="mt-1 text-xl">
        {{ jar.lot ? `lot ${jar.lot} · ` : '' }}code <b class="font-mono">{{ jar.code }}</b>
      </p>
      <p class="my-5 text-2xl">
        Its record says <b class="font-mono text-5xl">{{ mass(jar.grams) }}</b>
      </p>
      <form class="space-y-4" @submit.prevent="count">
        <div class="flex flex-wrap items-start gap-4">
          <div class="w-64"><QuantityField v-model="weighed" kind="mass" label="It holds" hint="without the jar’s own weight" /></div>
          <TakeReading v-slot="{ value }" :bench="scale" steady class="button mt-7" @take="(grams) => (weighed = Math.max(0, grams))">
            From the scale: <span class="font-mono">{{ mass(value) }}</span>
          </TakeReading>
        </div>
        <ProblemLine :problem="problem" />
        <div class="flex flex-wrap gap-3">
          <button type="button" class="button button-main min-h-16 px-8" :disabled="busy" data-next @click="keep(jar?.grams ?? 0)">
            It looks right, next
          </button>
          <button class="button min-h-16" :disabled="busy">Correct it, next</button>
          <button type="button" class="button min-h-16" @click="next">Leave it out</button>
        </div>
      </form>
    </template>
    <template v-else-if="started">
      <h1 class="text-4xl font-bold">Along the shelf</h1>
      <p class="mt-3 text-xl">{{ seen }} {{ seen === 1 ? 'jar' : 'jars' }} seen, {{ off.length }} corrected.</p>
      <ul class="mt-2 text-lg">
        <li v-for="one in off" :key="one.name">
          <b>{{ one.name }}</b> {{ one.grams > 0 ? '+' : '−' }}{{ mass(Math.abs(one.grams)) }}
        </li>
      </ul>
    </template>
    <PageState v-else missing="" :problem="jars.problem" what="the jars" back="" back-to="/formulary/jars" />
  </div>
</template>
