import { drawnInto, type PrintArea, type PrintOutline, type WholeTry } from '@selvrin/core'
import { pictureBytes, traysApi, type PrintSheet } from '@selvrin/core/contract'
import { computed, ref, type Ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { byKey } from '../hand/area'
import type { PrintView } from './usePrint'

const middle = { x: 0.35, y: 0.35, width: 0.3, height: 0.3 }

/** Stops of each place, in all exposures together, for its label. */
export function stopsOf(plan: WholeTry | null): Map<string, number> {
  const stops = new Map<string, number>()
  for (const one of plan?.places ?? []) stops.set(one.name, (stops.get(one.name) ?? 0) + one.stops)
  return stops
}

/** Where the places of a print lie: drawn by the pointer or by keys, kept as they are drawn. */
export function useOutline(view: PrintView, plan: Ref<WholeTry | null>) {
  const { sheet, page } = view
  const outline = computed((): PrintOutline => sheet.value?.outline ?? [])
  const stops = computed(() => stopsOf(plan.value))
  /** what was named here and is neither in the plan nor drawn yet */
  const named = ref<string[]>([])
  const places = computed(() => [...new Set([...stops.value.keys(), ...outline.value.map((one) => one.name), ...named.value])])
  const active = ref<string>()
  const shape = ref<PrintArea['shape'] | null>('round')
  const { busy, problem, act } = useAction({ keeps: false })
  const told = (row: PrintSheet): void => {
    if (page.value.value) page.take({ ...page.value.value, sheet: row })
  }
  const keep = (next: PrintOutline) =>
    act(async () => {
      const { id, version } = sheet.value as PrintSheet
      await call(traysApi.draw, { params: { id }, body: { version, outline: next } })
        .then(told)
        .catch(async (error: unknown) => {
          await page.load()
          throw error
        })
    })
  const draw = (area: PrintArea) => keep(drawnInto(outline.value, area))
  const takeOut = (name: string) => {
    named.value = named.value.filter((one) => one !== name)
    return outline.value.some((one) => one.name === name) ? keep(outline.value.filter((one) => one.name !== name)) : undefined
  }
  /** Chooses a place; one that has another shape keeps it. */
  function choose(name: string): void {
    active.value = active.value === name ? undefined : name
    shape.value = outline.value.find((one) => one.name === name)?.shape ?? shape.value ?? 'round'
  }
  function reshape(next: PrintArea['shape'] | null): void {
    shape.value = next ?? 'round'
    const one = outline.value.find((area) => area.name === active.value)
    if (one && one.shape !== shape.value) void draw({ ...one, shape: shape.value })
  }
  /** Moves the chosen place by an arrow key, with Shift its size; whether the key meant something. */
  function press(name: string, { key, shiftKey, altKey }: KeyboardEvent): boolean {
    if (active.value !== name || busy.value) return false
    const one = outline.value.find((area) => area.name === name)
    const area = byKey(one ?? middle, key, shiftKey, altKey ? 0.01 : 0.04)
    if (area) void draw({ name, shape: one?.shape ?? shape.value ?? 'round', ...area })
    return area !== null
  }
  function another(name: string): void {
    if (!places.value.includes(name)) named.value = [...named.value, name]
    active.value = name
  }
  const sent = ref<number | null>(null)
  const turn = ref(0)
  async function photograph(file: File | undefined): Promise<void> {
    if (!file) return
    if (file.size > pictureBytes) return void (problem.value = 'The photograph is too large to keep. Take it smaller.')
    const { id } = sheet.value as PrintSheet
    await act(() => call(traysApi.putPhoto, { params: { id }, body: {}, file, sent: (share) => void (sent.value = share) }))
    sent.value = null
    turn.value++
    await page.load()
  }
  return { outline, stops, places, active, shape, busy, problem, draw, takeOut, choose, reshape, press, another, sent, turn, photograph }
}
