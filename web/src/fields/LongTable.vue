<script setup lang="ts" generic="Row">
import { getCoreRowModel, getSortedRowModel, useVueTable, type SortingState } from '@tanstack/vue-table'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useEventListener } from '@vueuse/core'
import { computed, ref, useTemplateRef, type ComponentPublicInstance } from 'vue'

export interface LongColumn<Row> {
  id: string
  name: string
  /** second line of its head */
  below?: string
  /** what its rows are put in order by; without it nobody can */
  by?: (row: Row) => string | number | null
  /** stays in sight while the others go sideways, and names its row */
  stays?: boolean
  class?: string
}

/**
 * A table of any length: only the rows in sight are there, all of them on paper. Columns are put in order by their heads; the heads stay in sight, and
 * the column that stays keeps its place when the table goes sideways.
 */
const {
  rows,
  columns,
  rowKey,
  label,
  rowHeight = 64,
  rowClass = () => '',
  whole = false,
} = defineProps<{
  rows: Row[]
  columns: LongColumn<Row>[]
  rowKey: (row: Row) => string
  label: string
  /** how a row as a whole looks */
  rowClass?: (row: Row) => string
  /** about how high a row is, px; each is measured once it is there */
  rowHeight?: number
  /** every row is there: a page that prints itself says so first, since nothing is drawn anew while it prints */
  whole?: boolean
}>()
defineSlots<{ cell: (told: { row: Row; column: LongColumn<Row> }) => unknown }>()

const sorting = ref<SortingState>([])
const columnDefs = computed(() =>
  columns.map(({ id, by }) => ({
    id,
    accessorFn: (row: Row) => by?.(row) ?? undefined,
    enableSorting: by !== undefined,
    sortUndefined: 'last' as const,
  })),
)
const table = useVueTable<Row>({
  get data() {
    return rows
  },
  get columns() {
    return columnDefs.value
  },
  getRowId: (row) => rowKey(row),
  state: {
    get sorting() {
      return sorting.value
    },
  },
  onSortingChange: (change) => (sorting.value = typeof change === 'function' ? change(sorting.value) : change),
  getCoreRowModel: getCoreRowModel(),
  getSortedRowModel: getSortedRowModel(),
})
const sorted = computed(() => table.getRowModel().rows)

const box = useTemplateRef<HTMLElement>('box')
const virtual = useVirtualizer(
  computed(() => ({
    count: sorted.value.length,
    getScrollElement: () => box.value,
    estimateSize: () => rowHeight,
    getItemKey: (i: number) => sorted.value[i]?.id ?? i,
    overscan: 12,
  })),
)
/** A row's height is its own: long words break. */
const measure = (element: Element | ComponentPublicInstance | null) =>
  void (element instanceof Element && virtual.value.measureElement(element))
const printing = ref(false)
useEventListener(window, 'beforeprint', () => (printing.value = true))
useEventListener(window, 'afterprint', () => (printing.value = false))
const onPaper = computed(() => whole || printing.value)
const inSight = computed(() =>
  onPaper.value
    ? sorted.value.map((row, index) => ({ row, index }))
    : virtual.value.getVirtualItems().flatMap(({ index }) => {
        const row = sorted.value[index]
        return row ? [{ row, index }] : []
      }),
)
const before = computed(() => (onPaper.value ? 0 : (virtual.value.getVirtualItems()[0]?.start ?? 0)))
const after = computed(() => (onPaper.value ? 0 : virtual.value.getTotalSize() - (virtual.value.getVirtualItems().at(-1)?.end ?? 0)))
const order = (id: string) => table.getColumn(id)?.getIsSorted()
const turn = (id: string) => table.getColumn(id)?.toggleSorting()
</script>

<template>
  <div ref="box" class="long overflow-x-auto overflow-y-auto" tabindex="0" role="region" :aria-label="label">
    <table class="w-full border-collapse text-left" :aria-rowcount="sorted.length + 1">
      <thead>
        <tr class="align-bottom" aria-rowindex="1">
          <th
            v-for="column in columns"
            :key="column.id"
            scope="col"
            :class="[column.stays ? 'left-0 z-20 pr-3' : 'z-10 px-2', 'sticky top-0 bg-ground py-2 font-semibold', column.class]"
            :aria-sort="order(column.id) ? (order(column.id) === 'asc' ? 'ascending' : 'descending') : undefined"
          >
            <button
              v-if="column.by"
              type="button"
              class="min-h-11 min-w-11 cursor-pointer font-semibold underline-offset-4 hover:underline"
              :class="column.class?.includes('text-right') ? 'text-right' : 'text-left'"
              @click="turn(column.id)"
            >
              {{ column.name
              }}<span v-if="order(column.id)" class="ml-1" aria-hidden="true">{{ order(column.id) === 'asc' ? '↓' : '↑' }}</span>
            </button>
            <span v-else class="inline-flex min-h-11 items-center">{{ column.name }}</span>
            <span v-if="column.below" class="block font-mono">{{ column.below }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-if="before > 0" aria-hidden="true" :style="{ height: `${before}px` }" />
        <tr
          v-for="{ row, index } in inSight"
          :key="row.id"
          :ref="onPaper ? undefined : measure"
          :data-index="index"
          :aria-rowindex="index + 2"
          class="border-b border-line"
          :class="rowClass(row.original)"
        >
          <component
            :is="column.stays ? 'th' : 'td'"
            v-for="column in columns"
            :key="column.id"
            :scope="column.stays ? 'row' : undefined"
            :class="[column.stays ? 'sticky left-0 z-10 bg-ground pr-3' : 'px-2', 'py-1 break-words', column.class]"
          >
            <slot name="cell" :row="row.original" :column="column" />
          </component>
        </tr>
        <tr v-if="after > 0" aria-hidden="true" :style="{ height: `${after}px` }" />
      </tbody>
    </table>
  </div>
</template>

<style scoped>
/* the page above it stays reachable, and on a low screen some rows are always to be seen */
.long {
  max-height: max(24rem, calc(100dvh - 17rem));
}
/* the line under the heads goes with them: a border of a cell that sticks stays behind */
.long thead th {
  box-shadow: inset 0 -2px 0 var(--ink);
}
@media print {
  .long {
    max-height: none;
    overflow: visible;
  }
}
</style>
