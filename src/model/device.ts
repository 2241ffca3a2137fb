import { z } from 'zod'

/** What a device that is let in may see: what the students see, or all that the teacher has. */
export const deviceKinds = ['screen', 'teacher'] as const
export type DeviceKind = (typeof deviceKinds)[number]
export const deviceKindSchema = z.enum(deviceKinds)

/** Six digits as they are shown; spaces between them do not count. */
export const pairingCodeSchema = z
  .string()
  .transform((typed) => typed.replaceAll(/\s/g, ''))
  .pipe(z.string().regex(/^\d{6}$/))

/** A device that was let in. */
export interface Device {
  readonly id: string
  /** As Zovrin calls it: "Screen 2", "Tablet". */
  readonly name: string
  readonly kind: DeviceKind
  readonly pairedAt: string
  /** When it was heard of last. */
  readonly seenAt: string
  /** Whether it follows now. */
  readonly isThere: boolean
}

/** A code by which one device may be let in. */
export interface PairingCode {
  readonly kind: DeviceKind
  readonly code: string
  readonly until: string
}

/** Other devices, as the teacher sees them. */
export interface Room {
  /** The addresses of this machine that others can reach it at. */
  readonly addresses: readonly string[]
  /** Where others are let in; null while nobody is. */
  readonly open: {
    readonly address: string
    /** As it is typed on the other device. */
    readonly url: string
    /** The SHA-256 fingerprint of a certificate that nobody else vouches for; null where there is none. */
    readonly fingerprint: string | null
  } | null
  readonly code: PairingCode | null
  /** After too many wrong codes nobody is let in until then. */
  readonly closedUntil: string | null
  readonly devices: readonly Device[]
}

export const roomOpenedSchema = z.strictObject({ address: z.string().min(1).max(120) })
export const codeAskedSchema = z.strictObject({ kind: deviceKindSchema })
export const pairingSchema = z.strictObject({ code: pairingCodeSchema })

/** Who leads a class, as another device is told. */
export interface LedBy {
  /** The device by its own id. */
  readonly by: string
  readonly name: string
  /** Whether it was heard of lately. */
  readonly isInTouch: boolean
}

/** The class that runs now, whichever device leads it. */
export interface ClassNow {
  readonly id: string
  readonly sessionId: string
  readonly name: string
  readonly startedAt: string
  readonly leads: LedBy | null
  /** When its class time was 0 by the server's clock, epoch ms. */
  readonly zeroMs: number
  /** Class time at which it was heard of last. */
  readonly conductedMs: number
}
