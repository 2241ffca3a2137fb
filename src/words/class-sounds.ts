import type { ClassSounds } from '#model/settings'
import type { OwnSound } from '#model/sound'
import { formatMs } from '#core/units'

interface Choice {
  readonly kind: ClassSounds[keyof ClassSounds]['kind']
  readonly words: string
}
const none: Choice = { kind: 'none', words: 'nothing' }
const bells: readonly Choice[] = [
  { kind: 'bowl', words: 'a bowl' },
  { kind: 'lowBell', words: 'a low bell' },
  { kind: 'heldTone', words: 'a held tone, for calls' },
  none,
]

/** The sounds of a class: what each is for, and what it may be heard as. */
export const classSoundWords: readonly {
  readonly role: keyof ClassSounds
  readonly name: string
  readonly why: string
  readonly choices: readonly Choice[]
}[] = [
  { role: 'bowl', name: 'Bowl', why: 'a hold begins and ends', choices: bells },
  { role: 'lowBell', name: 'Bell', why: 'breath work begins and ends', choices: bells },
  {
    role: 'wood',
    name: 'Tick',
    why: 'counts and strokes',
    choices: [{ kind: 'wood', words: 'wood' }, { kind: 'tap', words: 'a soft tap' }, none],
  },
]

/** What an own sound is for, and how long it lasts. */
export const soundWords = ({ use, lengthMs }: OwnSound): string =>
  `${use === 'bell' ? 'bell' : 'music'}, ${lengthMs < 1000 ? 'under 0:01' : formatMs(lengthMs)}`
