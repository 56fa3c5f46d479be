<script setup lang="ts">
import { sinkApi, type Pickup } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import ProgressBar from '../fields/ProgressBar.vue'
import { counted, showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import ArrangeCollection from './ArrangeCollection.vue'
import CollectedPanel from './CollectedPanel.vue'
import { drumName, kilosIn } from './drumWords'
import { useSink } from './useSink'

/** Drums that wait for a contractor, and those that were collected, with what each weighed against its lines. */
const session = useSession()
const show = useShow()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const view = useSink()
const page = usePage(
  (signal) => call(sinkApi.pickups, { query: { limit: 50 }, signal }),
  (event) => event.subject === 'sink' || event.subject === 'drum',
)
void page.load()
const kilos = (kg: number): string => kilosIn(kg, session.manner)
const rows = computed(() => page.value.value?.rows ?? [])
const ready = computed(() =>
  view.drums.value.filter((one) => one.pickupId === null && (one.state.standing === 'sealed' || one.state.standing === 'quarantined')),
)
const arranging = ref(false)
const collecting = ref<Pickup | null>(null)
const off = ({ kg, collectedKg }: Pickup['drums'][number]): string => {
  if (collectedKg === null) return ''
  const more = collectedKg - kg
  return `; collected ${kilos(collectedKg)}, ${kilos(Math.abs(more))} ${more < 0 ? 'less' : 'more'} than by its lines`
}
const { busy, problem, act } = useAction()
const sent = ref<number | null>(null)
async function attach(pickup: Pickup, file: File | undefined): Promise<void> {
  if (!file) return
  await act(() =>
    call(sinkApi.putReceipt, { params: { id: pickup.id }, body: { name: file.name }, file, sent: (share) => void (sent.value = share) }),
  )
  sent.value = null
  await page.load()
}
function closed(): void {
  arranging.value = false
  collecting.value = null
  void page.load()
  void view.page.load()
}
</script>

<template>
  <div class="station max-w-4xl">
    <RouterLink to="/sink" class="link inline-flex min-h-11 items-center">← Sink</RouterLink>
    <div class="mb-3 flex flex-wrap items-center gap-4">
      <h1 class="text-3xl font-bold">Collections</h1>
      <p v-if="view.sink.value" class="text-lg text-quiet" role="status">
        {{ ready.length === 0 ? 'no sealed drum waits' : `${counted(ready.length, 'drum')} ready to be collected` }}
      </p>
      <button v-if="ready.length > 0" type="button" class="button button-main ml-auto" @click="arranging = true">
        Arrange a collection
      </button>
    </div>
    <PageState
      v-if="!page.value.value"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the collections"
      back="To the Sink"
      back-to="/sink"
    />
    <template v-else>
      <ProblemLine :problem="problem" />
      <ProgressBar v-if="sent !== null" class="mb-3" :share="sent" words="Sending the receipt" :stoppable="false" />
      <p v-if="rows.length === 0" class="text-xl">Nothing was collected yet. A drum that is sealed can be.</p>
      <section v-for="row in rows" :key="row.id" class="card mb-4" :aria-label="`Collection ${row.number}`">
        <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
          <h2 class="text-2xl font-bold">Collection {{ row.number }}</h2>
          <p class="text-lg">{{ row.contractor }}, licence {{ row.licence }}</p>
          <p class="text-quiet">
            {{
              row.collectedAt === null
                ? `arranged ${showDate(row.at, zone)}`
                : `collected ${showDate(row.collectedAt, zone)}, receipt ${row.receipt}`
            }}
          </p>
        </div>
        <ul class="my-2">
          <li v-for="drum in row.drums" :key="drum.id">
            <RouterLink :to="`/sink/drums/${drum.id}`" class="link inline-flex min-h-11 items-center font-mono">{{ drum.code }}</RouterLink>
            {{ drumName({ family: drum.family, metal: null }) }}: {{ show.volume(drum.ml) }}, {{ kilos(drum.kg) }} with the drum{{
              off(drum)
            }}
          </li>
        </ul>
        <div class="flex flex-wrap gap-2">
          <a :href="`/api/print/pickups/${row.id}`" target="_blank" class="button">The note to hand over</a>
          <button v-if="row.collectedAt === null" type="button" class="button button-main" @click="collecting = row">They have it</button>
          <a v-if="row.file" :href="`/api/pickups/${row.id}/receipt`" target="_blank" class="button">Receipt: {{ row.file }}</a>
          <label class="button cursor-pointer">
            {{ row.file ? 'Another file' : 'Attach the receipt' }}<span class="sr-only"> of collection {{ row.number }}</span>
            <input
              type="file"
              accept="application/pdf,image/png,image/jpeg"
              class="sr-only"
              :disabled="busy"
              @change="attach(row, ($event.target as HTMLInputElement).files?.[0])"
            />
          </label>
        </div>
      </section>
      <ArrangeCollection v-if="arranging" :drums="ready" @close="closed" />
      <CollectedPanel v-if="collecting" :pickup="collecting" @close="closed" />
    </template>
  </div>
</template>
