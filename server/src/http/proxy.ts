import proxyAddr from 'proxy-addr'

const mostHops = 10

/** A setting of the environment that cannot be meant. */
export class WrongSetting extends Error {}

/**
 * Which proxies in front of the house are believed: a number of hops, or their addresses. A setting that would believe everyone, and let a client choose its own
 * address, is refused with what may be written.
 */
export function trusted(setting: string): number | string[] {
  const text = setting.trim()
  if (/^\d+$/.test(text)) {
    const hops = Number(text)
    if (hops >= 1 && hops <= mostHops) return hops
    throw new WrongSetting(`TRUST_PROXY=${setting}: a number of proxies lies between 1 and ${mostHops}. Leave it out where there is none.`)
  }
  const addresses = text.split(',').map((one) => one.trim())
  try {
    if (addresses.some((one) => one === '' || /\/0$/.test(one))) throw new TypeError('everyone')
    proxyAddr.compile(addresses)
    return addresses
  } catch {
    throw new WrongSetting(
      `TRUST_PROXY=${setting} is neither a number of proxies, such as 1, nor their addresses, such as 10.0.0.2, 192.168.1.0/24 or loopback. Whoever is believed may name any address as a client's.`,
    )
  }
}
