import type { BasePosition } from '#model/common'
import type { Family } from '#model/family'
import type { Resolved, ResolvedBreath } from '#core/session'
import { bodyFormOf, cautionProps } from './practised.ts'
import type { Practised } from './practised.ts'

/** The family of plain lying, sitting or standing, for rests and breath work [reference 3.1]. */
const familyOfPosition: Readonly<Record<BasePosition, Family>> = {
  standing: 'standing',
  kneeling: 'heel_sit',
  allFours: 'all_fours',
  prone: 'prone',
  supine: 'sup_rest',
  sideLying: 'side_rest',
  seated: 'seat',
  onChair: 'seat',
  atWall: 'legs_up_flat',
}

/** Resting in a base position, as the cautions see it. */
export const restingIn = (position: BasePosition): Practised => ({ families: [familyOfPosition[position]] })

/** What a block asks people to do, as the cautions see it; undefined where nothing is done. */
export function practisedIn(resolved: Resolved): Practised | undefined {
  switch (resolved.kind) {
    case 'talk':
      return undefined
    case 'hold': {
      const { pose, breathOver } = resolved
      return {
        families: pose.families,
        form: bodyFormOf(pose),
        // What this block takes: the pose in its form, or the set-up of its own.
        props: cautionProps(pose.props.map(({ kind }) => kind)),
        breaths: breathOver ? breathsOf(breathOver.technique.cautionId, breathOver.pattern) : [],
      }
    }
    case 'movement': {
      const holds = resolved.movement.parts.some(({ part }) => part === 'retention')
      return { families: resolved.movement.families, breaths: holds ? ['br_hold_in'] : [] }
    }
    case 'breath':
      return {
        families: [...new Set(resolved.seats.map(({ position }) => familyOfPosition[position]))],
        breaths: breathsIn(resolved),
      }
    case 'rest':
      return restingIn(resolved.toPosition)
    case 'closing':
      return {
        families: ['final_rest'],
        form: { carried: true, hinged: false },
        props: cautionProps((resolved.setUp?.value.items ?? []).map(({ kind }) => kind)),
      }
  }
}

/** The techniques of a block of breath work, and the retentions in its sections. */
function breathsIn({ techniques, sections }: ResolvedBreath): string[] {
  const held = (part: 'full' | 'empty') =>
    sections.some((section) =>
      section.kind === 'retention'
        ? section.section.held === part
        : section.kind === 'rounds' && section.sets.some(({ pattern }) => pattern[part] > 0),
    )
  return [
    ...new Set(techniques.map(({ cautionId }) => cautionId)),
    ...(held('full') ? ['br_hold_in'] : []),
    ...(held('empty') ? ['br_hold_out'] : []),
  ]
}

/** A technique, and the retentions that its counts bring with them. */
function breathsOf(cautionId: string, pattern: { full: number; empty: number } | undefined): string[] {
  const { full = 0, empty = 0 } = pattern ?? {}
  return [cautionId, ...(full > 0 ? ['br_hold_in'] : []), ...(empty > 0 ? ['br_hold_out'] : [])]
}
