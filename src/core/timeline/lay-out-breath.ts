import { layOutBlock, sayings } from '#core/breath'
import type { Saying, Stretch } from '#core/breath'
import type { ResolvedBreath } from '#core/session'
import { bowl, lowBell, piece } from './piece.ts'
import type { Piece, PieceCue } from './piece.ts'

/** Breath work: its sections one after the other, with the change of seat before those that want one. */
export function layOutBreath(breath: ResolvedBreath): Piece[] {
  const { sections, hand } = breath
  const stretches = layOutBlock(sections)
  const said = wordsByStretch(sayings(sections, hand, stretches))
  const last = stretches.length - 1
  const pieces = stretches.flatMap((stretch, at): Piece[] => {
    const here = said.get(at) ?? []
    // What is said as the block begins goes with its bell.
    const later = at === 0 ? here.filter(({ atMs }) => atMs > 0) : here
    const cues = [
      ...(at === 0 ? [opening(breath, here)] : []),
      ...later.map((saying, number) => cueOf(saying, number, stretch)),
      ...(at === last ? [ending] : []),
    ]
    return [...seatChange(breath, stretches[at - 1], stretch), pieceOf(stretch, cues)]
  })
  return [piece({ kind: 'setUp', second: false }, 'both', breath.setUpS.value), ...pieces]
}

const pieceOf = ({ lengthMs, ...stretch }: Stretch, cues: readonly PieceCue[]): Piece => ({
  doing: { kind: 'breath', ...stretch },
  side: 'both',
  lengthMs,
  cues,
})

function wordsByStretch(all: readonly Saying[]): ReadonlyMap<number, readonly Saying[]> {
  const by = new Map<number, Saying[]>()
  for (const saying of all) by.set(saying.stretch, [...(by.get(saying.stretch) ?? []), saying])
  return by
}

const cueOf = ({ stretch, atMs, text, sound }: Saying, number: number, { lengthMs }: Stretch): PieceCue => ({
  id: `said-${String(stretch)}-${String(number)}`,
  at: atMs >= lengthMs ? 'end' : { fromStartMs: atMs },
  ...(text === undefined ? {} : { text }),
  ...(sound === 'bowl' ? { sound: bowl } : {}),
})

/** People move to another seat between two sections. */
function seatChange({ seats }: ResolvedBreath, before: Stretch | undefined, here: Stretch): Piece[] {
  if (!before || before.section === here.section) return []
  const [from, to] = [seats[before.section], seats[here.section]]
  return !from || !to || from.position === to.position
    ? []
    : [piece({ kind: 'change', from: from.position, to: to.position, text: undefined }, null, to.changeS)]
}

/** The bell at the start, and what is said there: the first words, and what the session's answers mean of them. */
function opening({ technique, techniques, answers }: ResolvedBreath, said: readonly Saying[]): PieceCue {
  const meant = techniques.flatMap(({ meanings = [] }) =>
    meanings.filter(({ question, answer }) => answers[question] === answer).map(({ says }) => says),
  )
  const words = said.flatMap(({ atMs, text }) => (atMs === 0 && text !== undefined ? [text] : []))
  const text = [words.length === 0 ? technique.names.english : words.join('. '), ...meant].join('; ')
  return { id: 'begin', at: { fromStartS: 0 }, sound: lowBell, text }
}

const ending: PieceCue = { id: 'end', at: 'end', sound: lowBell, text: 'Let the breath go its own way' }
