import {
  bathCourse,
  bathHolds,
  DomainError,
  fitBath,
  raisedBath,
  switchOnBefore,
  tankCourse,
  timeOnDay,
  type Jug,
  type WaterBath,
} from '@selvrin/core'
import type { Device } from '@selvrin/core/contract'
import { computed, reactive, ref, watch, type Ref } from 'vue'
import { now } from '../clock'
import { useKept } from '../hand/useKept'
import { useTime } from '../hand/useTime'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useBathLog } from './useBathLog'

/** How far a bath is set above what it warms at the most, °C. */
const raisedByC = 5
const usualLitres = 20

/** What is asked of a tempering bath, and what its model answers: when to switch on, whether it holds, how to bring jugs up. */
export function useTempering() {
  const session = useSession()
  const show = useShow()
  const { bench, readings, findings } = useBathLog()
  const time = useTime()
  const device = bench.device as Ref<Device | undefined>

  const asked = reactive({
    targetC: 37.8 as number | null,
    toleranceC: 0.15 as number | null,
    startAt: '' as string,
    stepS: 195 as number | null,
    tankMl: 600 as number | null,
    litres: usualLitres as number | null,
    bathC: null as number | null,
    covered: false,
  })
  const jugs = ref<Jug[]>([{ litres: 1, fromC: session.darkroom?.roomC ?? 20 }])
  const kept = ref({ asked: { ...asked }, jugs: jugs.value })
  useKept('tempering', kept)
  Object.assign(asked, kept.value.asked)
  jugs.value = kept.value.jugs
  watch([asked, jugs], () => (kept.value = { asked: { ...asked }, jugs: jugs.value }), { deep: true })

  const roomC = computed(() => session.darkroom?.roomC ?? 20)
  const water = computed(() => device.value?.water ?? { litres: asked.litres ?? usualLitres, covered: asked.covered })
  const nowC = computed(() => bench.reading.value?.value ?? asked.bathC ?? roomC.value)
  /** a bath that is covered is fitted as it is: its loss comes out of its log */
  const fit = computed(() => fitBath({ readings: readings.value, litres: water.value.litres, roomC: roomC.value }))
  const bathFrom = (setC: number, fromC: number): WaterBath => ({
    ...{ litres: water.value.litres, covered: water.value.covered, roomC: roomC.value, setC, fromC },
    ...(fit.value.fitted ? { powerW: fit.value.powerW, uaWPerK: fit.value.uaWPerK } : {}),
  })
  const zone = computed(() => session.darkroom?.zone ?? 'UTC')
  const startsAt = computed(() => {
    const read = /^([01]?\d|2[0-3])[:.]([0-5]\d)$/.exec(asked.startAt.trim())
    return read ? timeOnDay(now(), { hour: Number(read[1]), minute: Number(read[2]) }, zone.value) : null
  })

  const answer = computed(() => {
    const { targetC, toleranceC, tankMl, stepS } = asked
    if (targetC === null || toleranceC === null || toleranceC <= 0) return null
    const bath = bathFrom(targetC, nowC.value)
    try {
      const neededS = switchOnBefore({ bath, jugs: jugs.value, targetC, withinC: Math.max(toleranceC, 0.05) })
      const raised = raisedBath({ bath: bathFrom(targetC + raisedByC, nowC.value), jugs: jugs.value, targetC })
      const held = (over: Partial<Parameters<typeof tankCourse>[0]>) => {
        if (tankMl === null || stepS === null || tankMl <= 0 || stepS <= 0) return null
        const course = tankCourse({ ml: tankMl, pouredC: targetC, tankC: targetC, bathC: targetC, roomC: roomC.value, ...over }, stepS)
        const { errorC } = fit.value
        const worst = course.reduce((most, { c }) => (Math.abs(c - targetC) > Math.abs(most - targetC) ? c : most), targetC)
        return { holds: bathHolds({ course, targetC, toleranceC, errorC: fit.value.fitted ? errorC : 0 }), worst, errorC }
      }
      return {
        neededS,
        raised,
        inBath: held({}),
        cold: held({ tankC: roomC.value }),
        inAir: held({ bathC: null }),
        course: bathCourse({ bath, jugs: jugs.value, seconds: Math.min(6 * 3600, Math.max(1800, neededS + 600)) }),
        problem: '',
      }
    } catch (error) {
      if (error instanceof DomainError) return { problem: show.said(error.message) }
      throw error
    }
  })
  return { asked, jugs, bench, device, readings, fit, answer, findings, startsAt, nowC, roomC, water, time, zone }
}
