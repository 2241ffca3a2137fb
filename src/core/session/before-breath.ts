import type { Session } from '#model/session'
import type { Technique } from '#model/technique'
import type { Resolved } from './resolved.ts'

/**
 * What is asked and said before breath work: the session's own list, else what its techniques want; empty where there is
 * no breath work [cautions reference 3: before each session].
 */
export function beforeBreath(session: Pick<Session, 'before'>, all: readonly Resolved[]): readonly string[] {
  const blocks = all.flatMap((block) => (block.kind === 'breath' ? [block] : []))
  const techniques = blocks.flatMap((block) => block.techniques)
  const isHeld = blocks.some(({ sections }) =>
    sections.some(
      (section) =>
        section.kind === 'retention' ||
        section.kind === 'strokes' ||
        (section.kind === 'rounds' && section.sets.some(({ pattern }) => pattern.full + pattern.empty > 0)),
    ),
  )
  if (session.before) return session.before
  if (blocks.length === 0) return []
  return [
    foodLine(Math.max(0, ...techniques.map(({ foodGapH }) => foodGapH), isHeld ? 4 : 0)),
    noseLine(techniques),
    techniques.some(({ seat }) => seat !== 'any') ? 'Is the seat one you can keep?' : '',
    'Tell me in private of dizziness, fever, a new medicine, pregnancy, a recent operation.',
    isHeld || techniques.some(({ strong }) => strong)
      ? 'With high or low blood pressure, a heart complaint, pregnancy, panic or fits, breathe naturally where the rest hold or stroke.'
      : '',
    'Breathe as you like at any time: nothing is missed by it.',
  ].filter((line) => line !== '')
}

const foodLine = (hours: number): string =>
  hours === 0
    ? ''
    : `Nothing eaten for ${hours === 1 ? 'an hour' : `${String(hours)} hours`}? Whoever has diabetes eats and takes medicine as prescribed.`

function noseLine(techniques: readonly Technique[]): string {
  if (techniques.some(({ nose }) => nose === 'bothClear')) return 'Are both nostrils clear?'
  return techniques.some(({ nose }) => nose === 'clear') ? 'Is the nose clear?' : ''
}
