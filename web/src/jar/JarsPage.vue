<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { searchText } from '@selvrin/core'
import { belowReorder, catalogue, clashesOf } from '../chemical/chemistry'
import { useShow } from '../session/useShow'
import { useJars } from '../stores'
import JarVessel from './JarVessel.vue'
import NewJarPanel from './NewJarPanel.vue'
import { byPlace } from './reorder'
import WaitFor from '../fields/WaitFor.vue'
import FindField from '../fields/FindField.vue'
import PressOne from '../fields/PressOne.vue'
import { matches } from '../fields/matches'
import { useKept } from '../hand/useKept'
import { part } from '../part/part'

/** The jars of raw chemicals as they stand: by place, with what runs out and what must not stand together. */
const JarTable = part(() => import('./JarTable.vue'))
const show = useShow()
const router = useRouter()
const jars = useJars()
onMounted(() => void jars.load())
const adding = ref(false)
const showEmpty = ref(false)
useKept('jars with the empty', showEmpty)
const find = ref('')
const seen = ref<'shelves' | 'list' | null>('shelves')
useKept('jars seen', seen)
const ways = [
  { value: 'shelves' as const, name: 'As they stand' },
  { value: 'list' as const, name: 'As a list' },
]
const held = computed(() =>
  jars.rows.filter(
    (jar) =>
      (showEmpty.value || jar.grams > 0) &&
      matches([searchText(jar.chemical, catalogue()), jar.lot, jar.place, jar.code].join(' '), find.value),
  ),
)
const empty = computed(() => jars.rows.length - jars.rows.filter((jar) => jar.grams > 0).length)
const places = computed(() =>
  byPlace(held.value).map(([place, list]) => ({
    place,
    list,
    clashes: place === 'no place' ? [] : clashesOf(list.map((jar) => jar.chemical)),
  })),
)
const order = computed(() => belowReorder(jars.rows))
const low = (chemical: string) => order.value.some((one) => one.chemical === chemical)
/** g a jar of this kind may have held when it was full, for its level on the picture. */
const mostG = (grams: number) => [25, 50, 100, 250, 500, 1000, 2500, 5000, 10_000].find((size) => size >= grams) ?? grams
</script>

<template>
  <div class="station">
    <RouterLink to="/formulary" class="link inline-flex min-h-11 items-center">← Formulary</RouterLink>
    <div class="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2">
      <h1 class="text-3xl font-bold">Jars</h1>
      <p v-if="jars.loaded" class="text-lg text-quiet">{{ held.length }} on the shelf</p>
      <button v-if="empty > 0" class="link min-h-11" @click="showEmpty = !showEmpty">
        {{ showEmpty ? 'Without the empty ones' : `and ${empty} empty` }}
      </button>
      <RouterLink to="/formulary/jars/count" class="button button-small ml-auto">Stock-take</RouterLink>
      <RouterLink to="/formulary/chemicals" class="button button-small">Chemicals</RouterLink>
      <RouterLink to="/formulary/exchange?kind=jars" class="button button-small">Files</RouterLink>
      <button class="button button-small button-main" @click="adding = true">A new jar</button>
    </div>
    <WaitFor :of="[jars]" what="the jars">
      <div v-if="jars.rows.length > 0" class="mb-4 flex flex-wrap items-start gap-x-6 gap-y-3">
        <FindField v-model="find" class="max-w-sm" label="Find a jar" kept="jars" :count="held.length" :of="jars.rows.length" what="jars" />
        <PressOne v-model="seen" class="pt-7" label="How the jars are shown" :choices="ways" />
      </div>
      <p v-if="jars.rows.length > 0 && held.length === 0" class="text-xl">No jar like that stands here.</p>
      <section v-if="order.length > 0" class="mb-5 border-l-4 border-alarm pl-4" aria-labelledby="to-order">
        <h2 id="to-order" class="text-xl font-bold">To order</h2>
        <p class="text-lg">
          <template v-for="(one, i) in order" :key="one.chemical"
            >{{ i > 0 ? ' · ' : '' }}<b>{{ one.name }}</b> {{ show.mass(one.heldG) }} of at least {{ show.mass(one.wantedG) }}</template
          >
        </p>
      </section>
      <p v-if="jars.rows.length === 0" class="text-xl">No jar yet. Put the first on the shelf, and the scales will keep count of it.</p>
      <JarTable v-if="seen === 'list' && held.length > 0" :jars="held" :low="low" />
      <div v-else class="columns-3 gap-8 max-xl:columns-2 max-md:columns-1">
        <section v-for="{ place, list, clashes } in places" :key="place" class="mb-6 break-inside-avoid">
          <h2 class="border-b-4 border-plank pb-1 text-xl font-bold">{{ place }}</h2>
          <p v-for="clash in clashes" :key="clash.message" class="border-b border-line py-1.5 font-semibold text-alarm">
            ▲ {{ show.said(clash.message) }}
          </p>
          <JarVessel v-for="jar in list" :key="jar.id" :jar="jar" :most-g="mostG(jar.grams)" :low="low(jar.chemical)" />
        </section>
      </div>
    </WaitFor>
    <NewJarPanel v-if="adding" @close="adding = false" @made="(id) => ((adding = false), void router.push(`/formulary/jars/${id}`))" />
  </div>
</template>
