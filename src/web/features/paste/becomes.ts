import type { Catalog } from '#core/session'
import type { Chosen, PlanLine } from '#formats/plan-text/read-plan'

type Thing = PlanLine['choices'][number]

/** What a line became, as one of the choices of its list. */
export function keyOf({ role, as }: Pick<PlanLine, 'role' | 'as'>): string {
  if (role !== 'block' || !as) return role
  return 'id' in as ? `${as.kind} ${as.id}` : as.kind
}

/** What a choice of the list makes of a line. */
export function becomeOf(key: string): Chosen {
  const [kind = '', id] = key.split(' ')
  return (id === undefined ? { kind } : { kind, id }) as Chosen
}

export function nameOfThing({ kind, id }: Thing, { poses, ownPoses, movements, techniques }: Catalog): string {
  const thing =
    kind === 'hold' ? (ownPoses.get(id) ?? poses.get(id)) : kind === 'movement' ? movements.get(id) : techniques.get(id)
  return thing?.names.english ?? id
}

/** All of the shelf by name, to choose from. */
export function namesOnShelf({ poses, ownPoses, movements, techniques }: Catalog) {
  const named = (
    kind: Thing['kind'],
    things: Iterable<{ readonly id: string; readonly names: { readonly english: string } }>,
  ) => [...things].map(({ id, names }) => ({ value: `${kind} ${id}`, words: names.english }))
  const ofPoses = new Map([...poses, ...ownPoses])
  return [
    ...named('hold', ofPoses.values()),
    ...named('movement', movements.values()),
    ...named('breath', techniques.values()),
  ].toSorted((a, b) => a.words.localeCompare(b.words))
}
