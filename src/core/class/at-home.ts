import type { Person } from '#model/person'
import type { PropKind } from '#model/prop'
import type { Substitute } from '#model/substitute'
import { ok } from '#core/result'
import type { Result } from '#core/result'
import { dealOut } from './allocate/allocate.ts'
import type { Allocation, GivenItems, ShortKind } from './allocate/allocate.ts'
import type { PersonThere } from './allocate/poses.ts'
import type { Stock } from './allocate/ways.ts'
import { piecesByKind } from './laid.ts'
import { mostAtOnce } from './ledger.ts'
import type { LaidFor } from './people.ts'

/** Somebody who practises at home, with what they have of their own. */
export interface AtHome {
  readonly id: string
  readonly stock: Stock
}

/** Those of a class whose own things are noted: at home these are the ledger [decisions, People and classes]. */
export const thingsOf = (who: readonly string[], people: readonly Pick<Person, 'id' | 'things'>[]): readonly AtHome[] =>
  who.flatMap((id) => {
    const things = people.find((person) => person.id === id)?.things
    return things ? [{ id, stock: Object.fromEntries(things.map(({ kind, count }) => [kind, count])) }] : []
  })

/** What each of them lacks of what lies at their own mat, the most in use at once; nobody who lacks nothing. */
export const lacksAtHome = (
  groups: readonly LaidFor[],
  atHome: readonly AtHome[],
): readonly { readonly id: string; readonly lacks: readonly ShortKind[] }[] =>
  atHome.flatMap(({ id, stock }) => {
    const laid = groups.find(({ who }) => who.includes(id))?.laid ?? []
    const kinds = [...new Set(laid.flatMap(({ items }) => [...piecesByKind(items).keys()]))]
    const lacks = kinds.flatMap((kind: PropKind): ShortKind[] => {
      const [wanted, here] = [mostAtOnce(kind, laid), stock[kind] ?? 0]
      return wanted > here ? [{ kind, wanted, here }] : []
    })
    return lacks.length > 0 ? [{ id, lacks }] : []
  })

/** What each has at home in place of what they lack, dealt out of their own things alone. Refuses as `dealOut` does. */
export function dealAtHome(
  people: readonly (PersonThere & AtHome)[],
  substitutes: readonly Substitute[],
): Result<Allocation<GivenItems>, 'STOCK_SHORT'> {
  let all: Allocation<GivenItems> = { given: [], penalty: 0, people: 0, kinds: 0, short: [], gap: 0 }
  for (const { id, poses, stock } of people) {
    const dealt = dealOut({ people: [{ id, poses }], stock, substitutes })
    if (!dealt.ok) return dealt
    const { given, penalty, people: touched, kinds, gap } = dealt.value
    all = {
      ...{ given: [...all.given, ...given], penalty: all.penalty + penalty, people: all.people + touched },
      ...{ kinds: Math.max(all.kinds, kinds), short: [...all.short, ...dealt.value.short], gap: all.gap + gap },
    }
  }
  return ok(all)
}
