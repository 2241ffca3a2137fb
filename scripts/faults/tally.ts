/** What was tried of one kind, what of it held, and what did not, in a line each. */
export interface Tally {
  readonly what: string
  readonly tried: number
  readonly held: number
  /** The first few that did not hold. */
  readonly broken: readonly string[]
  /** A figure worth seeing beside it. */
  readonly figure: string
}

const mostShown = 5

/** Counts trials of one kind; each says what broke, or nothing. */
export function tallyOf(what: string, trials: readonly (string | undefined)[], figure = ''): Tally {
  const broken = trials.filter((trial) => trial !== undefined)
  return { what, tried: trials.length, held: trials.length - broken.length, broken: broken.slice(0, mostShown), figure }
}

/** A kind that cannot be tried here, and why. */
export const notTried = (what: string, why: string): Tally => ({ what, tried: 0, held: 0, broken: [], figure: why })

/** The table, and under it what did not hold. */
export function tableOf(tallies: readonly Tally[]): string {
  const rows = tallies.map(({ what, tried, held, figure }) =>
    [what.padEnd(62), String(tried).padStart(6), String(held).padStart(6), `  ${figure}`].join(' '),
  )
  const broken = tallies.flatMap(({ what, broken: lines }) => lines.map((line) => `  ${what}: ${line}`))
  const head = ['tried and held'.padEnd(62), ' tried', '  held'].join(' ')
  return [head, ...rows, ...(broken.length > 0 ? ['', 'Did not hold:', ...broken] : [])].join('\n')
}

export const allHeld = (tallies: readonly Tally[]): boolean => tallies.every(({ tried, held }) => tried === held)
