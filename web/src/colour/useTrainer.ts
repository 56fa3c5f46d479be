import { hiddenCast, layersOf, sceneNames, trainerLevels, trainerState, type ColourMaterial, type PackTurn } from '@selvrin/core'
import { trainerApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import { keptByTab } from '../printroom/keptByTab'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import type { Pixels } from './colour.worker'
import { colours } from './colours'

/** px of a picture of the trainer */
const size = { width: 720, height: 480 }
/** what the filters stand at when a round begins: any turn of a level leaves them above 0 */
const beginPack = { y: 90, m: 80 }

interface Round {
  id: string
  seed: number
  scene: number
  level: number
}

/** A round of the trainer: a picture with a hidden cast, prints one after another, and how it came out. */
export function useTrainer() {
  const page = usePage(
    (signal) => call(trainerApi.get, { signal }),
    () => false,
  )
  void page.load()
  // kept by the tab: a page that is loaded again goes on with its round
  const material = keptByTab<ColourMaterial | null>('selvrin.trainer.material', 'negative')
  const materialNow = computed((): ColourMaterial => material.value ?? 'negative')
  const round = keptByTab<Round | null>('selvrin.trainer.round', null)
  const turns = keptByTab<PackTurn[]>('selvrin.trainer.turns', [])
  const turning = ref<PackTurn>({ y: 0, m: 0 })
  const ended = keptByTab<{ score: number; rest: number; lacks: PackTurn } | null>('selvrin.trainer.ended', null)
  const { busy, problem, act } = useAction({ keeps: false })
  const levelOf = computed(() => trainerLevels[(round.value?.level ?? 1) - 1])
  const hidden = computed(() => round.value && hiddenCast(round.value.level, round.value.seed))
  const state = computed(() => hidden.value && trainerState(hidden.value, turns.value))
  const pack = computed(() => {
    const sum = turns.value.reduce((all, one) => ({ y: all.y + one.y, m: all.m + one.m }), beginPack)
    return { y: sum.y, m: sum.m, next: { y: sum.y + turning.value.y, m: sum.m + turning.value.m } }
  })
  const pictures = shallowRef<Pixels[]>([])
  let drawn = 0
  async function draw(): Promise<void> {
    const [{ value: of }, { value: now }] = [round, state]
    if (!of || !now) return
    const mine = ++drawn
    const by = layersOf({ lacks: now.lacks, factor: 1, material: materialNow.value })
    try {
      const made = await colours().madeUp(of.scene, size.width, size.height, [by, { r: 0, g: 0, b: 0 }])
      if (mine === drawn) pictures.value = made
    } catch {
      problem.value = 'The picture cannot be worked out here.'
    }
  }
  watch([round, turns, materialNow], () => void draw(), { deep: true, immediate: true })

  function begin(level: number): void {
    const seed = Math.floor(Math.random() * 0x1_0000_0000)
    // never the picture that was there
    const scene = (round.value ? round.value.scene + 1 + (seed % (sceneNames.length - 1)) : seed) % sceneNames.length
    turns.value = []
    turning.value = { y: 0, m: 0 }
    ended.value = null
    round.value = { id: uuid(), seed, scene, level }
  }
  watch(page.value, (there) => {
    if (there && !round.value) begin(there.level)
  })
  const turn = (dial: 'y' | 'm', units: number): void => {
    const at = pack.value.next[dial] + units
    if (at >= 0 && at <= 200) turning.value = { ...turning.value, [dial]: turning.value[dial] + units }
  }
  function print(): void {
    turns.value = [...turns.value, turning.value]
    turning.value = { y: 0, m: 0 }
  }
  const callRight = () =>
    act(async () => {
      const [{ value: of }, { value: was }, { value: now }] = [round, hidden, state]
      if (!of || !was || !now) return
      const body = { id: of.id, level: of.level, seed: of.seed, material: materialNow.value, turns: turns.value }
      const { score, rest } = await call(trainerApi.finish, { body })
      ended.value = { score, rest, lacks: now.lacks }
      await page.load()
    })
  const another = () => begin(page.value.value?.level ?? 1)
  return {
    ...{ page, material, materialNow, round, turns, turning, ended, busy, problem, levelOf, hidden, state, pack, pictures },
    ...{ turn, print, callRight, another },
    sceneName: computed(() => sceneNames[round.value?.scene ?? 0] ?? ''),
  }
}
