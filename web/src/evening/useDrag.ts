import { useEventListener, useRafFn } from '@vueuse/core'
import { computed, watch, type Ref } from 'vue'
import type { Block, Board } from './board'
import type { Moving } from './useMoving'
import type { Zoom } from './useZoom'

/** px before a press becomes a drag */
const pullPx = 5

/** What is asked of whoever shows the board. */
export interface DragAsks {
  select: (load: string) => void
  move: (load: string, to: { startS: number; vessel: string }) => void
  drop: () => void
  leave: () => void
}

interface Grabbed {
  load: string
  startS: number
  x: number
  y: number
  pulled: boolean
}

/** A load dragged along the time or to another tank, or moved with the arrow keys. However often the hand is heard, it is moved once a frame. */
export function useDrag(
  scroller: Ref<HTMLElement | null>,
  zoom: Zoom,
  { board, moving }: { board: () => Board; moving: Ref<Moving | null> },
  asks: DragAsks,
) {
  /** s a drag is rounded to: finer the nearer one looks */
  const gridS = computed(() => (zoom.pxPerS.value > 2 ? 1 : zoom.pxPerS.value > 0.4 ? 10 : 30))
  let grabbed: Grabbed | null = null
  let heard: { x: number; y: number } | null = null

  const laneAt = (y: number): string | undefined =>
    [...(scroller.value?.querySelectorAll<HTMLElement>('[data-lane]') ?? [])].find((lane) => {
      const box = lane.getBoundingClientRect()
      return box.top <= y && y < box.bottom
    })?.dataset.lane

  function follow(): void {
    if (!grabbed || !heard) return
    const { x, y } = heard
    heard = null
    const [dx, dy] = [x - grabbed.x, y - grabbed.y]
    if (!grabbed.pulled && Math.hypot(dx, dy) < pullPx) return
    grabbed.pulled = true
    const startS = Math.round((grabbed.startS + dx / zoom.pxPerS.value) / gridS.value) * gridS.value
    const there = moving.value?.place
    const vessel = laneAt(y) ?? there?.vessel
    if (vessel && (there?.startS !== startS || there.vessel !== vessel)) asks.move(grabbed.load, { startS, vessel })
  }
  const frames = useRafFn(follow, { immediate: false })
  function letGo(): void {
    frames.pause()
    grabbed = null
  }

  function grab(event: PointerEvent, block: Block): void {
    if (event.button !== 0) return
    asks.select(block.load)
    if (block.run !== null) return
    grabbed = { load: block.load, startS: block.startS, x: event.clientX, y: event.clientY, pulled: false }
    scroller.value?.setPointerCapture(event.pointerId)
    frames.resume()
  }
  useEventListener(scroller, 'pointermove', (event: PointerEvent) => {
    if (grabbed) heard = { x: event.clientX, y: event.clientY }
  })
  useEventListener(scroller, 'pointerup', (event: PointerEvent) => {
    if (grabbed) heard = { x: event.clientX, y: event.clientY }
    follow()
    if (grabbed?.pulled) asks.drop()
    letGo()
  })
  useEventListener(scroller, 'pointercancel', () => {
    letGo()
    asks.leave()
  })

  /** Arrow keys move what is chosen: a minute, with Shift a second; up and down to another tank. Enter puts it there, Escape leaves it where it was. */
  function pressed(event: KeyboardEvent, block: Block): void {
    if (event.altKey || event.ctrlKey || event.metaKey) return
    const { vessels } = board()
    const { value: now } = moving
    const here = now?.place.load === block.load ? now.place : { startS: block.startS, vessel: block.vessel }
    const by = event.shiftKey ? 1 : zoom.pxPerS.value > 2 ? 10 : 60
    const at = vessels.findIndex((one) => one.id === here.vessel)
    const to = (startS: number, lane: number): void => {
      const vessel = vessels[lane]?.id
      if (vessel && block.run === null) asks.move(block.load, { startS, vessel })
    }
    const keys: Record<string, () => void> = {
      ArrowLeft: () => to(here.startS - by, at),
      ArrowRight: () => to(here.startS + by, at),
      ArrowUp: () => to(here.startS, at - 1),
      ArrowDown: () => to(here.startS, at + 1),
      Enter: () => (now ? asks.drop() : asks.select(block.load)),
      Escape: () => {
        letGo()
        asks.leave()
      },
    }
    const act = keys[event.key]
    if (!act) return
    event.preventDefault()
    event.stopPropagation()
    act()
  }
  // what is moved by keys goes to another lane: its button is another one there
  watch(
    () => moving.value?.place.vessel,
    (now, before) => {
      if (!now || !before || now === before || grabbed) return
      const load = moving.value?.place.load
      requestAnimationFrame(() => scroller.value?.querySelector<HTMLElement>(`[data-load="${load}"]`)?.focus({ preventScroll: true }))
    },
  )
  return { grab, pressed, inHand: () => grabbed !== null }
}
