import type { Device, DeviceKind } from '#model/device'
import type { LedAside } from '#model/led-class'
import { formatMs } from '#core/units'
import { dayTimeText } from './dates.ts'
import { counted } from './text.ts'

/** What a device is let in as. */
export const kindWords: Readonly<Record<DeviceKind, string>> = {
  screen: 'For a screen',
  teacher: 'For a tablet to lead from',
}

/** Six digits as one reads them out. */
export const codeText = (digits: string): string => `${digits.slice(0, 3)} ${digits.slice(3)}`

/** Whether a device follows now, or when it was heard of last. */
export const heardWords = ({ isThere, seenAt }: Pick<Device, 'isThere' | 'seenAt'>): string =>
  isThere ? 'is here' : `last heard of ${dayTimeText(seenAt)}`

/** What was led on a device after another had taken the class over. */
export const asideWords = ({ name, events, conductedMs, note }: LedAside): string =>
  `${name} led on to ${formatMs(conductedMs)} after another device had taken over: ${counted(events.length, 'thing')} told there, kept here and not counted.${note === undefined ? '' : ` Written there: “${note}”`}`

/** What the browser of the other device says before anything of ours, and what to press. */
export const warningWords =
  'Its browser will warn that the connection is not private, since this machine vouches for itself. Press Advanced or Show details, then Proceed or Visit this website. To be sure it is this machine, compare the fingerprint it shows with:'
