import type { Order, OrderGroup, RotaVessel } from './problem'

/** Orders that may share a load at all: the exposure index does not matter, what is poured and how does. */
const keyOf = ({ kind, format, process, developer, parts, temperatureC, agitation, pushStops }: Order): string =>
  JSON.stringify([kind, format, process, developer, parts, temperatureC, agitation, pushStops])

/** An order too large for any vessel, in pieces that fit. */
function pieces(order: Order, most: number): Order[] {
  if (order.rolls <= most) return [order]
  const count = Math.ceil(order.rolls / most)
  return Array.from({ length: count }, (_, i) => ({
    ...order,
    id: `${order.id}#${i + 1}`,
    rolls: Math.min(most, order.rolls - i * most),
  }))
}

/** Whole seconds, halves up. */
const meanSeconds = (orders: Order[], rolls: number): number =>
  Math.floor((2 * orders.reduce((sum, order) => sum + order.seconds * order.rolls, 0) + rolls) / (2 * rolls))

function groupOf(orders: Order[]): OrderGroup {
  const [first] = orders as [Order]
  const rolls = orders.reduce((sum, order) => sum + order.rolls, 0)
  return {
    ...{ id: first.id, orders: orders.map((order) => order.id), kind: first.kind, format: first.format, rolls },
    ...{ seconds: meanSeconds(orders, rolls), temperatureC: first.temperatureC },
    readyS: Math.max(...orders.map((order) => order.readyS)),
    dueS: Math.min(...orders.map((order) => order.dueS)),
    weight: orders.reduce((sum, order) => sum + order.rolls * (order.critical ? 10 : 1), 0),
    critical: first.critical,
  }
}

const byText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)
const spread = (orders: Order[]): number =>
  Math.max(...orders.map((order) => order.readyS)) - Math.min(...orders.map((order) => order.readyS))

/**
 * Orders that may go into one tank together: the same process, chemistry, temperature and agitation, developing times that agree within `timeTolerance` (a share),
 * all ready within `readySpreadS` (s), as many rolls as the largest vessel of their kind takes. Critical films go alone; an order larger than that vessel is cut.
 * @example
 * groupOrders([anOrder, { ...anOrder, id: 'o2', seconds: 612 }], [{ kinds: ['hand'], rolls: 6 }]).map((group) => [group.orders, group.seconds]) // → [[['o1', 'o2'], 606]]
 */
export function groupOrders(
  orders: Order[],
  vessels: Pick<RotaVessel, 'kinds' | 'rolls'>[],
  { timeTolerance = 0.03, readySpreadS = 1800 }: { timeTolerance?: number; readySpreadS?: number } = {},
): OrderGroup[] {
  const most = (kind: string): number =>
    Math.max(0, ...vessels.filter((vessel) => vessel.kinds.includes(kind)).map((vessel) => vessel.rolls)) || Infinity
  const thousandths = Math.round(1000 * (1 + timeTolerance))
  const keys = new Map<string, Order[]>()
  for (const order of orders.flatMap((one) => pieces(one, most(one.kind)))) {
    const key = keyOf(order)
    keys.set(key, [...(keys.get(key) ?? []), order])
  }
  const groups: OrderGroup[] = []
  for (const alike of keys.values()) {
    const sorted = alike.sort((a, b) => a.seconds - b.seconds || a.dueS - b.dueS || byText(a.id, b.id))
    let open: Order[] = []
    const close = (): void => {
      if (open.length > 0) groups.push(groupOf(open))
      open = []
    }
    for (const order of sorted) {
      if (order.critical) {
        groups.push(groupOf([order]))
        continue
      }
      const [shortest] = open
      const rolls = open.reduce((sum, one) => sum + one.rolls, order.rolls)
      const passes =
        shortest !== undefined &&
        (1000 * order.seconds > thousandths * shortest.seconds || rolls > most(order.kind) || spread([...open, order]) > readySpreadS)
      if (passes) close()
      open.push(order)
    }
    close()
  }
  return groups.sort((a, b) => a.dueS - b.dueS || byText(a.id, b.id))
}
