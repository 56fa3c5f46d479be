<script setup lang="ts">
import { assayOf, neverWith, storageGroup, storageWords } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { catalogue, clashesOf } from '../chemical/chemistry'
import { chemicalAid, standsBefore } from '../aid/before'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import PageState from '../fields/PageState.vue'
import ProtectionSigns from '../hazard/ProtectionSigns.vue'
import { showDate } from '../marks/words'
import PrintLabels from '../label/PrintLabels.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useFormulas, useJars } from '../stores'
import EditJarPanel from './EditJarPanel.vue'
import JarEntryPanel from './JarEntryPanel.vue'
import JarLedger from './JarLedger.vue'
import { enoughFor, nameOf } from './reorder'
import SheetPanel from './SheetPanel.vue'

const route = useRoute()
const session = useSession()
const show = useShow()
const jars = useJars()
const formulas = useFormulas()
const editing = ref(false)
const writing = ref(false)
const id = computed(() => String(route.params.id))
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')

const page = usePage(
  (signal) => call(api.jar.get, { params: { id: id.value }, signal }),
  (event) => event.id === id.value,
)
const { value: jar, missing, load } = page
watch(id, () => page.begin(), { immediate: true })
onMounted(() => void Promise.all([jars.load(), formulas.load()]))

standsBefore(() => (jar.value ? [{ name: nameOf(jar.value), of: chemicalAid(jar.value.chemical, catalogue()) }] : []))
const chemical = computed(() => (jar.value ? catalogue()[jar.value.chemical] : undefined))
const mass = (value: number) => show.mass(value)
const group = computed(() => (chemical.value ? (jar.value?.storage ?? storageGroup(chemical.value)) : null))
const clashes = computed(() =>
  jar.value && jar.value.place !== ''
    ? clashesOf([
        jar.value.chemical,
        ...jars.rows.filter((one) => one.place === jar.value?.place && one.grams > 0).map((one) => one.chemical),
      ]).filter((clash) => clash.one === jar.value?.chemical || clash.other === jar.value?.chemical)
    : [],
)
const enough = computed(() => (jar.value ? enoughFor(jar.value.chemical, jars.rows, formulas.rows).slice(0, 5) : []))
const assay = computed(() => (chemical.value && jar.value ? assayOf(jar.value, chemical.value) : 1))
</script>

<template>
  <div class="station">
    <template v-if="jar && chemical">
      <p v-if="missing || page.problem.value" role="status" class="mb-2 border-l-4 border-alarm pl-3 font-semibold">
        This may be old. {{ missing || page.problem.value }}
      </p>
      <RouterLink to="/formulary/jars" class="link inline-flex min-h-11 items-center">← Jars</RouterLink>
      <div class="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)] gap-10 max-lg:grid-cols-1">
        <section>
          <h1 class="text-4xl font-bold">{{ nameOf(jar) }}</h1>
          <p class="mt-3 text-5xl font-bold">
            <span class="font-mono">{{ mass(jar.grams) }}</span>
          </p>
          <p class="mt-1 text-xl">
            {{
              [jar.lot && `lot ${jar.lot}`, jar.place, jar.openedAt === null ? 'sealed' : `opened ${showDate(jar.openedAt, zone)}`]
                .filter(Boolean)
                .join(' · ')
            }}
          </p>
          <ul v-if="enough.length > 0" class="mt-3">
            <li v-for="one in enough" :key="one.formula.id">
              {{
                one.batches === 0
                  ? 'Not enough for'
                  : one.batches === 1
                    ? 'Enough for one more batch of'
                    : `Enough for ${one.batches} more batches of`
              }}
              <RouterLink :to="`/formulary/${one.formula.id}`" class="link">{{ one.formula.body.name }}</RouterLink>
            </li>
          </ul>
          <ProtectionSigns :chemical="chemical" full class="mt-5" />
          <p v-if="group" class="mt-3">
            <b>{{ storageWords[group].split(':')[0] }}:</b>{{ storageWords[group].split(':')[1] }}.
          </p>
          <p v-for="one in neverWith(chemical)" :key="one.what + one.danger" class="mt-1">
            <b>Never with {{ one.what }}:</b> {{ one.danger }}.
          </p>
          <p v-for="clash in clashes" :key="clash.message" class="mt-1 font-semibold text-alarm">▲ {{ show.said(clash.message) }}</p>
          <p class="mt-3 text-quiet">
            Assay {{ Math.round(assay * 1000) / 10 }} %{{ jar.assay === null ? ', the usual' : '' }} ·
            {{ jar.pricePerKg === null ? 'no price' : `${jar.pricePerKg} ${session.darkroom?.currency ?? ''} a kg` }} ·
            {{ jar.reorderG === null ? 'no reorder level' : `order below ${mass(jar.reorderG)}` }} · code
            <b class="font-mono">{{ jar.code }}</b>
          </p>
          <p v-if="chemical.note" class="text-quiet">{{ chemical.note }} ({{ chemical.source }}).</p>
          <div class="mt-5 flex flex-wrap gap-3">
            <button class="button" @click="editing = true">Edit</button>
            <button class="button" @click="writing = true">Take, fill up, count, discard</button>
            <PrintLabels :jars="[jar.id]" name="Print its label" />
          </div>
          <SheetPanel :jar="jar" class="mt-5" @changed="load" />
        </section>
        <JarLedger :jar="jar" :zone="zone" @changed="jar = $event" />
      </div>
      <EditJarPanel v-if="editing" :jar="jar" @close="editing = false" @kept="((jar = $event), (editing = false))" />
      <JarEntryPanel v-if="writing" :jar="jar" @close="writing = false" @kept="((jar = $event), (writing = false))" />
    </template>
    <PageState v-else :missing="missing" :problem="page.problem.value" what="the jar" back="Back to the jars" back-to="/formulary/jars" />
  </div>
</template>
