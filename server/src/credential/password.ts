import { createHash, randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto'
import { promisify } from 'node:util'

const derive = promisify(scrypt) as (password: string, salt: Buffer, length: number, options: object) => Promise<Buffer>
const cost = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 }

/** 'scrypt$salt$hash', both base64url. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16)
  const hash = await derive(password.normalize('NFKC'), salt, 32, cost)
  return `scrypt$${salt.toString('base64url')}$${hash.toString('base64url')}`
}

/** Takes as long for someone who is not there as for a wrong password. */
export async function isPassword(password: string, stored: string | null | undefined): Promise<boolean> {
  const [, salt = '', hash = ''] = (stored ?? `scrypt$AAAAAAAAAAAAAAAAAAAAAA$${'A'.repeat(43)}`).split('$')
  const wanted = Buffer.from(hash, 'base64url')
  const given = await derive(password.normalize('NFKC'), Buffer.from(salt, 'base64url'), wanted.length, cost)
  return timingSafeEqual(given, wanted) && stored !== null && stored !== undefined
}

export const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex')
export const newToken = (): string => randomBytes(32).toString('base64url')

const letters = '23456789ABCDEFGHJKMNPQRSTUVWXYZ'
/** Letters and digits nobody confuses: no 0 O 1 I L. */
export const newCode = (length: number): string => Array.from({ length }, () => letters[randomInt(letters.length)]).join('')
