<script setup lang="ts">
import DimLayer from '../src/room/DimLayer.vue'
import ChartRoom from './ChartRoom.vue'
import ClockRoom from './ClockRoom.vue'
import FieldRoom from './FieldRoom.vue'
import MarkRoom from './MarkRoom.vue'
import PanelRoom from './PanelRoom.vue'
import VesselRoom from './VesselRoom.vue'
import WaitingRoom from './WaitingRoom.vue'

/** A room in the light of this page. */
const { room } = defineProps<{ room: string }>()
const rooms = {
  fields: FieldRoom,
  marks: MarkRoom,
  vessels: VesselRoom,
  clock: ClockRoom,
  charts: ChartRoom,
  panels: PanelRoom,
  waiting: WaitingRoom,
}
</script>

<template>
  <main class="min-h-screen space-y-6 bg-ground p-4 text-ink">
    <component :is="rooms[room as keyof typeof rooms]" />
  </main>
  <DimLayer />
</template>
