import type Sortable from 'sortablejs'
import { onBeforeUnmount, type Ref } from 'vue'

/** Marks a list bottles can be dropped on: its shelf's id, or the sink. */
export const sink = 'sink'

/**
 * Lets bottles be dragged from shelf to shelf and to the sink. `lists` are elements with data-shelf; their bottles carry data-bottle. The picture
 * under the finger is drawn by the page itself, so that it stays red in safelight; where a bottle stands is decided by the record, not by the drop.
 */
export function useShelfDrag(root: Ref<HTMLElement | null>, dropped: (bottleId: string, target: string) => void) {
  let made: Sortable[] = []
  let stood: Node | null = null
  const drop = () => {
    made.forEach((one) => one.destroy())
    made = []
  }
  /** Fetched when a pointer first comes near: the shelf is there without it. */
  let near: Promise<typeof Sortable> | null = null
  const come = () => {
    near ??= import('sortablejs').then((module) => module.default)
    void near.then(arm)
  }
  async function arm(): Promise<void> {
    if (!near) {
      root.value?.addEventListener('pointerover', come, { once: true })
      return
    }
    const Sorted = await near
    drop()
    for (const list of root.value?.querySelectorAll<HTMLElement>('[data-shelf]') ?? [])
      made.push(
        new Sorted(list, {
          group: 'bottles',
          sort: false,
          draggable: '[data-bottle]',
          filter: 'button',
          preventOnFilter: false,
          forceFallback: true,
          fallbackOnBody: true,
          fallbackTolerance: 6,
          // a tap stays a tap on a tablet: only a held finger drags
          delay: 250,
          delayOnTouchOnly: true,
          onStart: ({ item }) => void (stood = item.nextSibling),
          onAdd: ({ item, from, to }) => {
            // the page draws the shelf from the record: what was dropped goes back until the record says otherwise
            from.insertBefore(item, stood)
            const { bottle } = item.dataset
            const target = to.dataset.shelf
            if (bottle !== undefined && target !== undefined && from !== to) dropped(bottle, target)
          },
        }),
      )
  }
  onBeforeUnmount(drop)
  return { arm }
}
