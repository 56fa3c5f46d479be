<script setup lang="ts">
import { aidOfFamily } from '@selvrin/core'
import type { Tray, TrayFill } from '@selvrin/core/contract'
import { ref } from 'vue'
import { standsBefore } from '../aid/before'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TakeBackPanel from '../fields/TakeBackPanel.vue'
import { showClock } from '../marks/words'
import { useRoom } from '../printroom/useRoom'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import ClosePanel from './ClosePanel.vue'
import EmergencePanel from './EmergencePanel.vue'
import LineRow from './LineRow.vue'
import { roleName } from './lineWords'
import PassPanel from './PassPanel.vue'
import ReplacePanel from './ReplacePanel.vue'
import SetUpLine from './SetUpLine.vue'
import TrayPanel from './TrayPanel.vue'
import { useLine } from './useLine'

/** The tray line: set up in one go, watched while prints go through, replaced tray by tray, closed. */
const view = useLine()
const room = useRoom()
const { page, there, line } = view
const session = useSession()
const show = useShow()
standsBefore(() =>
  (line.value?.fills ?? []).flatMap(({ role, bottle }) =>
    bottle ? [{ name: `${roleName(role)}, ${bottle.label}`, bottleId: bottle.id, of: aidOfFamily(bottle.drum) }] : [],
  ),
)
const zone = session.session?.darkroom.zone ?? 'UTC'
const passing = ref(false)
const closing = ref(false)
const replacing = ref<TrayFill | null>(null)
const reading = ref<TrayFill | null>(null)
const traying = ref<{ tray: Tray | null } | null>(null)
const back = ref<{ id: string; what: string } | null>(null)
const paperWords = (base: 'rc' | 'fibre'): string => (base === 'rc' ? 'resin-coated paper' : 'fibre paper')
async function takeBack(why: string): Promise<void> {
  if (back.value && (await view.passBack(back.value.id, why))) back.value = null
}
</script>

<template>
  <div class="station">
    <RouterLink to="/trays" class="link inline-flex min-h-11 items-center">← Trays</RouterLink>
    <div class="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
      <h1 class="text-3xl font-bold">Tray line{{ line ? ` ${line.number}` : '' }}</h1>
      <p v-if="line" class="text-lg text-quiet">
        for {{ paperWords(line.base) }}, {{ show.temperature(line.celsius) }}, since {{ showClock(line.openedAt, zone) }} by
        {{ line.openedBy }}
      </p>
      <div v-if="line" class="ml-auto flex flex-wrap gap-2">
        <button type="button" class="button button-main" @click="passing = true">Prints went through</button>
        <button v-if="session.isTechnician" type="button" class="button" @click="closing = true">Close the line</button>
      </div>
    </div>
    <PageState
      v-if="!there || !room.there.value"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the tray line"
      back="To the Trays"
      back-to="/trays"
    />
    <template v-else>
      <ProblemLine :problem="page.problem.value" />
      <template v-if="line">
        <LineRow v-slot="{ fill }" :view="view" :fills="line.fills">
          <div class="mt-2 flex flex-wrap gap-2">
            <button v-if="session.isTechnician" type="button" class="button button-small" @click="replacing = fill">
              Replace<span class="sr-only"> {{ roleName(fill.role) }}</span>
            </button>
            <button v-if="fill.role === 'develop'" type="button" class="button button-small" @click="reading = fill">A tone shows</button>
          </div>
        </LineRow>
        <section class="mt-6 max-w-3xl" aria-labelledby="through">
          <h2 id="through" class="mb-1 text-2xl font-bold">
            Went through: {{ show.plain(Number(line.equivalents.toFixed(1))) }} prints of 8×10 in
          </h2>
          <p v-if="line.passes.length === 0" class="text-lg">Nothing yet. What is exposed on a print’s sheet is counted by itself.</p>
          <ul>
            <li v-for="one in line.passes" :key="one.id" class="flex flex-wrap items-center gap-x-4 border-b border-line py-1">
              <span class="min-w-48 flex-1" :class="one.back ? 'line-through' : ''"
                ><b>{{ show.plain(Number(one.equivalents.toFixed(2))) }}</b> of {{ paperWords(one.base)
                }}<span class="text-quiet">{{ one.what ? `, ${one.what}` : '' }}</span></span
              >
              <span class="text-quiet">{{ showClock(one.at, zone) }}, {{ one.by }}</span>
              <button
                v-if="!one.back"
                type="button"
                class="button button-small"
                @click="
                  back = {
                    id: one.id,
                    what: one.equivalents === 1 ? '1 print' : `${show.plain(Number(one.equivalents.toFixed(2)))} prints`,
                  }
                "
              >
                Take back<span class="sr-only">: {{ one.what || paperWords(one.base) }}, {{ showClock(one.at, zone) }}</span>
              </button>
            </li>
          </ul>
        </section>
      </template>
      <template v-else-if="there.trays.length === 0">
        <p class="mb-3 text-lg">No trays are written down yet.</p>
        <button v-if="session.isTechnician" type="button" class="button button-main" @click="traying = { tray: null }">A tray</button>
      </template>
      <SetUpLine v-else-if="session.isTechnician" :view="view" :room="room" :trays="there.trays" />
      <p v-else class="text-lg">No tray line stands now. A technician sets one up.</p>
      <section v-if="session.isTechnician && !line && there.trays.length > 0" class="mt-8 max-w-3xl" aria-labelledby="house-trays">
        <div class="mb-2 flex flex-wrap items-center gap-4">
          <h2 id="house-trays" class="text-2xl font-bold">Trays of the house</h2>
          <button type="button" class="button" @click="traying = { tray: null }">A new tray</button>
        </div>
        <ul>
          <li v-for="tray in there.trays" :key="tray.id" class="flex flex-wrap items-center gap-x-4 border-b border-line py-2">
            <b class="text-lg">{{ tray.name }}</b>
            <span class="flex-1 text-quiet">{{ show.plain(tray.widthCm) }} × {{ show.plain(tray.heightCm) }} cm inside</span>
            <button type="button" class="button button-small" @click="traying = { tray }">
              Change<span class="sr-only"> {{ tray.name }}</span>
            </button>
          </li>
        </ul>
      </section>
      <PassPanel v-if="passing && line" :line="line" :view="view" @close="passing = false" />
      <ClosePanel v-if="closing && line" :line="line" :view="view" @close="closing = false" />
      <ReplacePanel v-if="replacing && line" :line="line" :fill="replacing" :view="view" :trays="there.trays" @close="replacing = null" />
      <EmergencePanel v-if="reading && line" :line="line" :fill="reading" :view="view" :room="room" @close="reading = null" />
      <TrayPanel v-if="traying" :tray="traying.tray" @close="((traying = null), page.load())" />
      <TakeBackPanel
        v-if="back"
        :what="back.what"
        says="A second line takes them out of every tray’s ledger."
        :busy="view.busy.value"
        :problem="view.problem.value"
        @close="back = null"
        @take="takeBack"
      />
    </template>
  </div>
</template>
