import type { Area } from '@selvrin/core'

const least = 0.004
export const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value))

/** An area between two corners, inside the picture and never empty. */
export function areaBetween(a: { x: number; y: number }, b: { x: number; y: number }): Area {
  const [x0, x1] = [clamp(Math.min(a.x, b.x), 0, 1 - least), clamp(Math.max(a.x, b.x), least, 1)]
  const [y0, y1] = [clamp(Math.min(a.y, b.y), 0, 1 - least), clamp(Math.max(a.y, b.y), least, 1)]
  return { x: x0, y: y0, width: Math.max(least, x1 - x0), height: Math.max(least, y1 - y0) }
}

/** An area moved, or with `resize` made larger or smaller, by a key; null for a key that means nothing here. */
export function byKey(area: Area, key: string, resize: boolean, step = 0.01): Area | null {
  const way: Record<string, [number, number]> = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }
  const by = way[key]
  if (!by) return null
  const [dx, dy] = by
  if (resize) return { ...area, width: clamp(area.width + dx, least, 1 - area.x), height: clamp(area.height + dy, least, 1 - area.y) }
  return { ...area, x: clamp(area.x + dx, 0, 1 - area.width), y: clamp(area.y + dy, 0, 1 - area.height) }
}

/** Where a pointer is over an element, as shares of its width and height. */
export function sharesAt(event: PointerEvent): { x: number; y: number } {
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  return { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height }
}
