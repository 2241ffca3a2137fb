import type { DeviceKind } from '#model/device'

/** A code that is shown, good for one device [decisions, Other devices]. */
interface OpenCode {
  readonly kind: DeviceKind
  /** The teacher whose device it lets in. */
  readonly ownerId: string
  readonly digits: string
  readonly untilMs: number
}

/** Who may be let in now: the code that is shown, how many were wrong since, and until when nobody is after too many. */
export interface Pairing {
  readonly code: OpenCode | null
  readonly wrong: number
  readonly closedUntilMs: number
}

export const noPairing: Pairing = { code: null, wrong: 0, closedUntilMs: 0 }

/** A code is good for so long, and so long is nobody let in after so many wrong ones [decisions, Other devices]. */
export const codeMs = 5 * 60_000
const closedMs = 5 * 60_000
export const mostWrong = 5

export const isClosed = ({ closedUntilMs }: Pairing, nowMs: number): boolean => nowMs < closedUntilMs

/** The code that is still good. */
export const openCode = ({ code }: Pairing, nowMs: number): OpenCode | null =>
  code && nowMs < code.untilMs ? code : null

/** A code is shown, in place of any before it; while nobody is let in, none is. */
export const offered = (pairing: Pairing, code: Omit<OpenCode, 'untilMs'>, nowMs: number): Pairing =>
  isClosed(pairing, nowMs) ? pairing : { ...pairing, code: { ...code, untilMs: nowMs + codeMs } }

/** What a typed code opens. */
export type Tried =
  | { readonly is: 'paired'; readonly kind: DeviceKind; readonly ownerId: string }
  | { readonly is: 'wrong'; readonly left: number }
  /** There is none, or it was used, or it is too old. */
  | { readonly is: 'over' }
  | { readonly is: 'closed'; readonly forMs: number }

/** A code is typed: the right one lets one device in and is used up; the fifth wrong one closes. */
export function tried(pairing: Pairing, digits: string, nowMs: number): readonly [Pairing, Tried] {
  if (isClosed(pairing, nowMs)) return [pairing, { is: 'closed', forMs: pairing.closedUntilMs - nowMs }]
  const code = openCode(pairing, nowMs)
  if (!code) return [{ ...pairing, code: null }, { is: 'over' }]
  if (code.digits === digits) return [noPairing, { is: 'paired', kind: code.kind, ownerId: code.ownerId }]
  const wrong = pairing.wrong + 1
  if (wrong < mostWrong)
    return [
      { ...pairing, wrong },
      { is: 'wrong', left: mostWrong - wrong },
    ]
  return [
    { code: null, wrong: 0, closedUntilMs: nowMs + closedMs },
    { is: 'closed', forMs: closedMs },
  ]
}
