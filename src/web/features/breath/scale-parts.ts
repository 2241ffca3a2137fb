import { layOutSection } from '#core/breath'
import type { ResolvedSection, Stretch } from '#core/breath'
import type { Milliseconds } from '#core/units'

/** A stretch of the scale: a set, natural breath or a rest, a breath held by itself, strokes. */
export interface ScalePart {
  readonly is: 'set' | 'quiet' | 'held' | 'strokes'
  readonly lengthMs: Milliseconds
}

function kindOf({ part }: Stretch, { kind }: ResolvedSection): ScalePart['is'] {
  if (part === 'natural' || part === 'rest') return 'quiet'
  if (part === 'strokes') return 'strokes'
  return kind === 'retention' && (part === 'full' || part === 'empty') ? 'held' : 'set'
}

/** A section in true time: its sets, rests, held breaths and strokes, each as long as it is. */
export function scaleParts(section: ResolvedSection): readonly ScalePart[] {
  const made: (ScalePart & { readonly set: number })[] = []
  for (const stretch of layOutSection(section)) {
    const [is, { lengthMs, set }, last] = [kindOf(stretch, section), stretch, made.at(-1)]
    if (last?.is === is && last.set === set) made[made.length - 1] = { ...last, lengthMs: last.lengthMs + lengthMs }
    else if (lengthMs > 0) made.push({ is, lengthMs, set })
  }
  return made.map(({ is, lengthMs }) => ({ is, lengthMs }))
}
