/** A row as it stands in an open file: what its database keeps as the text of a document stands there as that. */
export type OpenRow = Readonly<Record<string, unknown>>

/** Columns whose text is a document, in any schema there was. */
const documents: ReadonlySet<string> = new Set([
  ...['document', 'rooms', 'emergency', 'sizeMm', 'visits', 'seenTimes', 'drift', 'incident', 'breath', 'event'],
])

/** One that would not be the same text again stays a text. */
function asDocument(text: string): unknown {
  try {
    const value: unknown = JSON.parse(text)
    return typeof value === 'object' && value !== null && JSON.stringify(value) === text ? value : text
  } catch {
    return text
  }
}

/** A row for an open file. What is heard lies in a file of its own: `heard` says where. */
export const openRow = (row: OpenRow, heard?: string): OpenRow =>
  Object.fromEntries([
    ...Object.entries(row)
      .filter(([, value]) => !Buffer.isBuffer(value))
      .map(([column, value]) => [
        column,
        documents.has(column) && typeof value === 'string' ? asDocument(value) : value,
      ]),
    ...(heard === undefined ? [] : [['heard', heard]]),
  ])

/** What a column keeps of a value in an open file: the inverse of `openRow` but for what is heard. `isInstant` where it keeps a time. */
export function kept(value: unknown, isInstant: boolean): unknown {
  if (isInstant && typeof value === 'string') return new Date(value)
  return typeof value === 'object' && value !== null ? JSON.stringify(value) : value
}
