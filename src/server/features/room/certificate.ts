import { X509Certificate } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { isIP } from 'node:net'
import { join } from 'node:path'

/** What the second listener shows for itself. */
export interface Certificate {
  readonly key: string
  readonly cert: string
  /** SHA-256, in pairs, as browsers show it. */
  readonly fingerprint: string
}

/** Browsers take none that is good for longer. */
const goodForDays = 397
/** One that ends sooner than this is made anew. */
const leastLeftMs = 7 * 24 * 3_600_000

/**
 * The certificate for an address, kept in the data folder so that it stays the same from class to class: whoever has
 * told a browser to take it is not asked again. It is made anew for an address it does not name, and before it ends.
 */
export async function certificateFor(address: string, folder: string, now: Date): Promise<Certificate> {
  const [keyFile, certFile] = [join(folder, 'room-key.pem'), join(folder, 'room-certificate.pem')]
  const kept = readBoth(keyFile, certFile)
  if (kept && isGood(kept.cert, address, now)) return told(kept)
  const made = await make(address, now)
  mkdirSync(folder, { recursive: true })
  writeFileSync(keyFile, made.key, { mode: 0o600 })
  writeFileSync(certFile, made.cert)
  return told(made)
}

interface Pems {
  readonly key: string
  readonly cert: string
}

const readBoth = (keyFile: string, certFile: string): Pems | undefined =>
  existsSync(keyFile) && existsSync(certFile)
    ? { key: readFileSync(keyFile, 'utf8'), cert: readFileSync(certFile, 'utf8') }
    : undefined

/** One that cannot be read is none. */
function isGood(cert: string, address: string, now: Date): boolean {
  try {
    const read = new X509Certificate(cert)
    const names = isIP(address) ? read.checkIP(address) : read.checkHost(address)
    return names !== undefined && Date.parse(read.validTo) - now.getTime() > leastLeftMs
  } catch {
    return false
  }
}

async function make(address: string, now: Date): Promise<Pems> {
  // It takes longer to load than all else of the room, and is needed once a year.
  const { generate } = await import('selfsigned')
  const name = isIP(address) ? { type: 7 as const, ip: address } : { type: 2 as const, value: address }
  const { private: key, cert } = await generate([{ name: 'commonName', value: 'Zovrin' }], {
    keySize: 2048,
    algorithm: 'sha256',
    notBeforeDate: now,
    notAfterDate: new Date(now.getTime() + goodForDays * 24 * 3_600_000),
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, keyEncipherment: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames: [name] },
    ],
  })
  return { key, cert }
}

const told = (pems: Pems): Certificate => ({ ...pems, fingerprint: new X509Certificate(pems.cert).fingerprint256 })
