import Papa from 'papaparse'
import { textLimits } from '#model/limits'
import type { Person } from '#model/person'
import { foldMarks, parseStature } from '#core/units'

/** What a list of people says of somebody; what they told in private is on no list. */
export type ListedPerson = Pick<Person, 'name' | 'calledAs' | 'level' | 'statureMm' | 'touch' | 'inCase'>

/** What was not understood, by its line in the file: a line without a name is left, any other value alone is. */
export interface PeopleSlip {
  readonly line: number
  readonly text: string
  readonly why: 'name' | 'long' | 'level' | 'height' | 'touch' | 'columns'
}

export interface PeopleRead {
  readonly people: readonly ListedPerson[]
  readonly slips: readonly PeopleSlip[]
  /** Columns that are not read, as they are headed. */
  readonly ignored: readonly string[]
}

type Row = Readonly<Partial<Record<string, string>>>

const columns = ['name', 'called', 'level', 'height_cm', 'touch', 'in_case'] as const
const levels: readonly NonNullable<Person['level']>[] = ['new', 'regular', 'experienced']
const touches: readonly NonNullable<Person['touch']>[] = ['yes', 'ask', 'no']

/**
 * People read from CSV (RFC 4180), to be added: `name`, and where it is known `called`, `level`, `height_cm`, `touch`,
 * `in_case`. What of a line is not understood is told, the rest of it is read; other columns are named and left.
 */
export function readPeopleCsv(text: string): PeopleRead {
  const { data, meta } = Papa.parse<Row>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
  })
  const headed = meta.fields ?? []
  const ignored = headed.filter((name) => name !== '' && !columns.some((known) => known === name))
  if (!headed.includes('name'))
    return { people: [], slips: [{ line: 1, text: headed.join(', '), why: 'columns' }], ignored: [] }
  const slips: PeopleSlip[] = []
  const people = data.flatMap((row, at) => {
    const tell = (why: PeopleSlip['why'], what: string) => slips.push({ line: at + 2, text: what, why })
    return readRow((name) => (row[name] ?? '').trim().replace(/^'(?=[=+\-@])/, ''), tell) ?? []
  })
  return { people, slips, ignored }
}

function readRow(
  typed: (column: (typeof columns)[number]) => string,
  tell: (why: PeopleSlip['why'], what: string) => void,
): ListedPerson | undefined {
  const name = typed('name')
  if (name === '' || name.length > textLimits.name) {
    tell(name === '' ? 'name' : 'long', name)
    return undefined
  }
  const fits = (column: 'called' | 'in_case', most: number): string | undefined => {
    const text = typed(column)
    if (text.length > most) tell('long', text)
    return text === '' || text.length > most ? undefined : text
  }
  const oneOf = <T extends string>(column: 'level' | 'touch', known: readonly T[]): T | undefined => {
    const text = typed(column)
    const found = known.find((one) => one === text.toLowerCase())
    if (text !== '' && found === undefined) tell(column, text)
    return found
  }
  const height = typed('height_cm') === '' ? undefined : parseStature(typed('height_cm'))
  if (height && !height.ok) tell('height', typed('height_cm'))
  const fields = {
    calledAs: fits('called', textLimits.name),
    level: oneOf('level', levels),
    statureMm: height?.ok ? Math.round(height.value * 10) : undefined,
    touch: oneOf('touch', touches),
    inCase: fits('in_case', textLimits.line),
  }
  return { name, ...(Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as object) }
}

/** Those of a list who are not there yet, each name once. */
export function notThereYet<T extends Pick<Person, 'name'>>(
  people: readonly T[],
  there: readonly Pick<Person, 'name'>[],
): readonly T[] {
  const known = new Set(there.map(({ name }) => foldMarks(name)))
  return people.filter(({ name }) => {
    const key = foldMarks(name)
    return !known.has(key) && known.add(key)
  })
}
