/** Orders rows as their list does. */
export type Order<Row> = (a: Row, b: Row) => number

type Of<Row> = (row: Row) => string | number

/** By one field after another, each from small to large; a minus before it turns it round. */
export const by =
  <Row>(...fields: Of<Row>[]): Order<Row> =>
  (a, b) => {
    for (const field of fields) {
      const [one, other] = [field(a), field(b)]
      if (one !== other) return one < other ? -1 : 1
    }
    return 0
  }
export const reversed =
  <Row>(order: Order<Row>): Order<Row> =>
  (a, b) =>
    order(b, a)

/** A list with rows as they are now, by their ids: each in its place, or out of it where it is gone (null) or no longer belongs there. */
export function patched<Row extends { id: string }>(
  rows: Row[],
  changes: ReadonlyMap<string, Row | null>,
  { order, holds = () => true }: { order: Order<Row>; holds?: (row: Row) => boolean },
): Row[] {
  const others = rows.filter((row) => !changes.has(row.id))
  const here = [...changes.values()].filter((row): row is Row => row !== null && holds(row))
  return others.length === rows.length && here.length === 0 ? rows : [...others, ...here].sort(order)
}
