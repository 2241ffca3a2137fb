import type { CautionBook, CautionProp, CautionRule, CautionSubject } from '#model/caution'
import type { Family } from '#model/family'
import type { Pose } from '#model/pose'
import type { PropKind } from '#model/prop'

/** What somebody is asked to do, as far as the cautions know it. */
export interface Practised {
  readonly families: readonly Family[]
  /** Ids of the breath register (`br_…`). */
  readonly breaths?: readonly string[]
  readonly props?: readonly CautionProp[]
  readonly form?: BodyForm
}

/** What of its form softens a row [cautions 0, carried and hinged forms]. */
export interface BodyForm {
  /** Sensation 0 to 2, and the head not below the heart. */
  readonly carried: boolean
  /** A fold with a long back, the hips as hinge, the head carried at or above the heart. */
  readonly hinged: boolean
}

/** Where the head is below the heart whatever carries the rest. */
const headBelow: ReadonlySet<Family> = new Set(['head_low', 'pelvis_raised', 'puppy', 'inversion'])
const carriedSensation = 2

export const bodyFormOf = ({
  sensation,
  families,
  hinged = false,
}: Pick<Pose, 'sensation' | 'families' | 'hinged'>): BodyForm => ({
  carried: sensation.to <= carriedSensation && !families.some((family) => headBelow.has(family)),
  hinged,
})

const propOf: Partial<Record<PropKind, CautionProp>> = {
  eyePillow: 'prop_eye',
  sandbag: 'prop_weight',
  strap: 'prop_strap',
  belt: 'prop_strap',
  scarf: 'prop_strap',
}

/** Whether a row speaks of props, not of shapes or breaths. */
export const isOfProp = ({ of }: CautionRule): boolean => of.every((subject) => subject.startsWith('prop_'))

/** The prop cautions that a list of props brings with it. */
export const cautionProps = (kinds: readonly PropKind[]): CautionProp[] => [
  ...new Set(kinds.flatMap((kind) => propOf[kind] ?? [])),
]

/** A family or breath with those whose rules it takes over, its own first. */
export function lineOf(subject: string, inherits: CautionBook['inherits']): readonly string[] {
  const line: string[] = []
  for (let at: string | undefined = subject; at !== undefined; at = inherits[at]) line.push(at)
  return line
}

/**
 * Everything the rules may speak of in what is practised: its families and those they inherit from, every
 * family (`*`) where there is one, its breaths with their groups, its props.
 */
export function subjectsOf(
  { families, breaths = [], props = [] }: Practised,
  book: CautionBook,
): ReadonlySet<CautionSubject> {
  const subjects = new Set<CautionSubject>()
  for (const family of families) {
    for (const at of lineOf(family, book.inherits)) subjects.add(at)
  }
  if (families.length > 0) subjects.add('*')
  for (const breath of breaths) {
    for (const at of lineOf(breath, book.inherits)) {
      subjects.add(at)
      for (const [group, members] of Object.entries(book.groups)) if (members.includes(at)) subjects.add(group)
    }
  }
  for (const prop of props) subjects.add(prop)
  return subjects
}
