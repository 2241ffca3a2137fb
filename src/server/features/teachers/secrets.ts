import { createHash, randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto'

/** How much work scrypt makes of a guess. */
export interface GuessWork {
  readonly N: number
  readonly r: number
  readonly p: number
}

/** 32 MB, three times over [OWASP, password storage: scrypt with N 2^15, r 8, p 3]. */
export const usualWork: GuessWork = { N: 2 ** 15, r: 8, p: 3 }
const keyBytes = 32

const derived = (secret: string, salt: Buffer, { N, r, p }: GuessWork): Promise<Buffer> =>
  new Promise((settle, fail) => {
    scrypt(secret.normalize('NFKC'), salt, keyBytes, { N, r, p, maxmem: 256 * N * r }, (error, key) => {
      if (error) fail(error)
      else settle(key)
    })
  })

/** A password, PIN or code as it is kept: nobody who reads the data knows it. */
export async function hashSecret(secret: string, work = usualWork): Promise<string> {
  const salt = randomBytes(16)
  const key = await derived(secret, salt, work)
  // With the work it was: that may be raised, and what was kept before still be known.
  return ['scrypt', work.N, work.r, work.p, salt.toString('base64url'), key.toString('base64url')].join('$')
}

/** Takes as long where there is nothing to compare with: whether somebody is known is not told by it. */
export async function isSecret(secret: string, kept: string | null, work = usualWork): Promise<boolean> {
  const [, N, r, p, salt = '', key = ''] = (kept ?? '').split('$')
  const its = kept === null ? work : { N: Number(N), r: Number(r), p: Number(p) }
  const [wanted, there] = [await derived(secret, Buffer.from(salt, 'base64url'), its), Buffer.from(key, 'base64url')]
  return there.length === wanted.length && timingSafeEqual(there, wanted)
}

/** What a browser shows by which it is known, and how that is kept. */
export const newToken = (): string => randomBytes(32).toString('base64url')
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex')

/** Letters and digits that are not taken for each other. */
const codeSigns = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789'

/** A code that is told once, in three groups: 60 bits. */
export const newCode = (): string =>
  Array.from({ length: 3 }, () =>
    Array.from({ length: 4 }, () => codeSigns[randomInt(codeSigns.length)]).join(''),
  ).join('-')

/** A code as it was typed: small letters, gaps and dashes do not count. */
export const typedCode = (typed: string): string => typed.toUpperCase().replaceAll(/[^A-Z0-9]/g, '')

/** A name as it is compared: as it sounds, not as it is typed. */
export const nameKeyOf = (name: string): string => name.normalize('NFKC').trim().toLowerCase().replaceAll(/\s+/g, ' ')
