<script setup lang="ts">
import { computed, ref } from 'vue'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useSession } from '../session/store'
import BeginPrint from '../print/BeginPrint.vue'
import FindPrints from '../print/FindPrints.vue'
import LineRow from '../line/LineRow.vue'
import { useLine } from '../line/useLine'
import { useRoom } from '../printroom/useRoom'

/** The print room: what is being printed, and the next of it. */
const session = useSession()
const view = useRoom()
const standing = useLine()
const { page, there } = view
const beginning = ref(false)
const sheets = computed(() => there.value?.sheets ?? [])
const hasColour = computed(() => there.value?.papers.some((one) => one.material !== 'black-and-white') ?? false)
const ready = computed(() => view.boxChoices.value.length > 0 && view.enlargerChoices.value.length > 0)
</script>

<template>
  <div class="station">
    <div class="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2">
      <h1 class="text-3xl font-bold">Trays</h1>
      <p v-if="there" class="text-lg text-quiet" role="status">
        {{
          sheets.length === 0
            ? 'nothing is being printed'
            : sheets.length === 1
              ? 'one print in the making'
              : `${sheets.length} prints in the making`
        }}
      </p>
      <div class="ml-auto flex flex-wrap gap-2">
        <button v-if="ready" type="button" class="button button-main" data-next @click="beginning = true">Begin a print</button>
        <RouterLink to="/trays/toning" class="button">Toning</RouterLink>
        <RouterLink to="/trays/coating" class="button">Hand-coated</RouterLink>
        <RouterLink v-if="hasColour" to="/trays/trainer" class="button">Practise casts</RouterLink>
        <RouterLink v-if="session.isTechnician" to="/trays/stock" class="button">Papers and enlargers</RouterLink>
      </div>
    </div>
    <PageState
      v-if="!there"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the print room"
      back="To the Shelf"
      back-to="/shelf"
    />
    <template v-else>
      <ProblemLine :problem="page.problem.value" />
      <p v-if="!ready" class="mb-4 border-l-4 border-alarm pl-3 text-lg">
        A print needs an enlarger and a box of paper.
        <template v-if="session.isTechnician"
          ><RouterLink to="/trays/stock" class="link">Write down what stands here</RouterLink>.</template
        >
        <template v-else>A technician writes down what stands here.</template>
      </p>
      <section v-if="standing.there.value" class="mb-6" aria-labelledby="standing">
        <div class="mb-2 flex flex-wrap items-center gap-4">
          <h2 id="standing" class="text-2xl font-bold">Tray line</h2>
          <p v-if="!standing.line.value" class="text-lg text-quiet">none stands now</p>
          <RouterLink v-if="standing.line.value || session.isTechnician" to="/trays/line" class="button">{{
            standing.line.value ? 'Look after it' : 'Set it up'
          }}</RouterLink>
        </div>
        <LineRow v-if="standing.line.value" :view="standing" :fills="standing.line.value.fills" />
      </section>
      <ul class="mb-8 flex flex-wrap gap-3" aria-label="In the making">
        <li v-for="sheet in sheets" :key="sheet.id">
          <RouterLink :to="`/trays/prints/${sheet.id}`" class="block w-72 border-2 border-line bg-panel p-4 hover:border-ink max-sm:w-full">
            <b class="block text-2xl">{{ sheet.title }}</b>
            <span class="block">{{ sheet.negative.what }}</span>
            <span class="block text-quiet"
              >{{ sheet.member }};
              {{ sheet.tries === 0 ? 'nothing exposed yet' : sheet.tries === 1 ? 'one try' : `${sheet.tries} tries` }}</span
            >
            <span class="block text-quiet">{{ view.paperOf(sheet.setup.boxId)?.name ?? '' }}</span>
          </RouterLink>
        </li>
      </ul>
      <FindPrints />
      <BeginPrint v-if="beginning" :view="view" @close="beginning = false" />
    </template>
  </div>
</template>
