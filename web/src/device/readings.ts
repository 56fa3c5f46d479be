import type { Device, DeviceKind, Reading } from '@selvrin/core/contract'
import { useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowReactive, watch, type ComputedRef } from 'vue'
import { onReading } from '../api/live'
import { useSession } from '../session/store'
import { useDevices } from '../stores'

/** ms after which a reading no longer says anything about now */
const freshMs = 4000

/** The latest reading of every device at the bench. */
export const useReadings = defineStore('readings', () => {
  const latest = shallowReactive(new Map<string, Reading & { heard: number }>())
  onReading((reading) => void latest.set(reading.deviceId, { ...reading, heard: performance.now() }))
  return { latest }
})

export interface AtBench {
  device: ComputedRef<Device | undefined>
  /** null while there is none, or it does not answer */
  reading: ComputedRef<Reading | null>
  lost: ComputedRef<boolean>
}

/** The bench device of a kind that speaks now, and what it says. */
export function useBench(kind: DeviceKind): AtBench {
  const devices = useDevices()
  const session = useSession()
  const readings = useReadings()
  watch(
    () => session.isTechnician,
    (technician) => void (technician && devices.load()),
    { immediate: true },
  )
  const now = ref(performance.now())
  useIntervalFn(() => (now.value = performance.now()), 1000)
  const heard = (device: Device) => {
    const reading = readings.latest.get(device.id)
    return reading && reading.value !== null && now.value - reading.heard < freshMs ? reading : null
  }
  const mine = computed(() => devices.rows.filter((one) => one.kind === kind && one.active))
  const device = computed(() => mine.value.find(heard) ?? mine.value[0])
  const reading = computed(() => (device.value ? heard(device.value) : null))
  return { device, reading, lost: computed(() => device.value !== undefined && reading.value === null) }
}
