<script setup lang="ts">
import { lampGives, uvCaution, uvKindNames } from '@selvrin/core'
import type { UvLamp } from '@selvrin/core/contract'
import { ref } from 'vue'
import { sentence } from '../api/call'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import LampPanel from './LampPanel.vue'

/** UV lamps of the house: what each gives now. */
const { lamps } = defineProps<{ lamps: UvLamp[] }>()
const emit = defineEmits<{ changed: [] }>()
const show = useShow()
const session = useSession()
const changing = ref<{ lamp: UvLamp | null } | null>(null)
function gives({ body }: UvLamp): string {
  try {
    return `${show.plain(Math.round(lampGives(body)))} W`
  } catch (error) {
    return show.said(sentence(error))
  }
}
</script>

<template>
  <section aria-labelledby="lamps">
    <div class="mb-2 flex flex-wrap items-center gap-4">
      <h2 id="lamps" class="text-2xl font-bold">UV lamps</h2>
      <button v-if="session.isTechnician" type="button" class="button button-small" @click="changing = { lamp: null }">A new lamp</button>
    </div>
    <p v-if="lamps.length === 0" class="text-lg">None yet.</p>
    <div v-else class="overflow-x-auto" tabindex="0" role="region" aria-label="Table of UV lamps">
      <table class="w-full min-w-3xl text-left">
        <thead>
          <tr class="border-b-2 border-ink">
            <th class="py-1 pr-4">Lamp</th>
            <th class="pr-4 text-right">Power</th>
            <th class="pr-4 text-right">Hours</th>
            <th class="pr-4">Gives now</th>
            <th class="pr-4">Distance</th>
            <th><span class="sr-only">Change</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in lamps" :key="one.id" class="border-b border-line">
            <th scope="row" class="py-2 pr-4 font-normal">
              <b>{{ one.body.name }}</b><span class="block text-quiet"
                >{{ uvKindNames[one.body.kind] }}{{ one.body.note ? `; ${one.body.note}` : '' }}</span
              >
            </th>
            <td class="pr-4 text-right font-mono">{{ show.plain(one.body.watts) }} W</td>
            <td class="pr-4 text-right font-mono">{{ show.number(one.body.hours, 0) }} h</td>
            <td class="pr-4">
              <span class="font-mono">{{ gives(one) }}</span>
              <span class="block text-quiet">{{ one.body.measured === null ? 'by its hours' : 'by the UV meter' }}</span>
            </td>
            <td class="pr-4 text-quiet">
              {{ one.body.bankCm === null ? 'its square counts' : `nothing changes nearer than ${show.plain(one.body.bankCm)} cm` }}
            </td>
            <td>
              <button v-if="session.isTechnician" type="button" class="button button-small" @click="changing = { lamp: one }">
                Change<span class="sr-only"> {{ one.body.name }}</span>
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="mt-2 max-w-3xl text-quiet">
      {{ uvCaution }} What it loses with its hours is a rounded literature value until a UV meter has spoken.
    </p>
    <LampPanel v-if="changing" :lamp="changing.lamp" @close="((changing = null), emit('changed'))" />
  </section>
</template>
