<script setup lang="ts">
import type { RoomBody, RoomUse } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import PressOne from '../fields/PressOne.vue'
import PressSome from '../fields/PressSome.vue'
import TextField from '../fields/TextField.vue'
import { useTyping } from '../hand/typed'
import { roomLightWords } from './lights'

/** The rooms, the light each has, and what is done there that needs one of its own. */
const rooms = defineModel<RoomBody['rooms']>({ required: true })
const typed = useTyping()
const lights = Object.entries(roomLightWords).map(([value, name]) => ({ value: value as RoomBody['rooms'][number]['light'], name }))
const uses: { value: RoomUse; name: string }[] = [
  { value: 'loading', name: 'Film is put on reels' },
  { value: 'trays', name: 'Film lies open in trays' },
  { value: 'lamp', name: 'Film is shown to a lamp' },
  { value: 'printing', name: 'Prints are made' },
]
function change(at: number, more: Partial<RoomBody['rooms'][number]>): void {
  rooms.value = rooms.value.map((one, i) => {
    if (i === at) return { ...one, ...more }
    // what is done here is not done there any more
    return more.uses ? { ...one, uses: one.uses.filter((use) => !more.uses?.includes(use)) } : one
  })
  typed()
}
function add(): void {
  rooms.value = [...rooms.value, { id: uuid(), name: '', light: 'white', uses: [] }]
  typed()
}
function takeAway(at: number): void {
  rooms.value = rooms.value.filter((_, i) => i !== at)
  typed()
}
</script>

<template>
  <section aria-labelledby="rooms">
    <h2 id="rooms" class="mb-2 text-2xl font-bold">Rooms and their light</h2>
    <p class="mb-2 text-quiet">
      What needs another light waits until the room is free. A screen is no tested safelight, and neither is a lamp, until the coin test
      says so.
    </p>
    <div
      v-for="(one, i) in rooms"
      :key="one.id"
      class="mb-3 grid grid-cols-[12rem_minmax(0,1fr)] gap-x-4 gap-y-2 border-b border-line pb-3 max-sm:grid-cols-1"
    >
      <TextField :model-value="one.name" label="Name" @update:model-value="change(i, { name: $event })" />
      <div>
        <p class="mb-1 font-semibold">Light, while nothing else is asked for</p>
        <PressOne
          :model-value="one.light"
          :choices="lights"
          :label="`Light of ${one.name || 'the room'}`"
          @update:model-value="$event && change(i, { light: $event })"
        />
      </div>
      <button type="button" class="button self-end justify-self-start" @click="takeAway(i)">
        Take away<span class="sr-only"> {{ one.name || 'this room' }}</span>
      </button>
      <div>
        <p class="mb-1 font-semibold">What is done there</p>
        <PressSome
          :model-value="one.uses"
          :choices="uses"
          :label="`What is done in ${one.name || 'the room'}`"
          @update:model-value="change(i, { uses: $event })"
        />
      </div>
    </div>
    <button type="button" class="button" @click="add">Another room</button>
  </section>
</template>
