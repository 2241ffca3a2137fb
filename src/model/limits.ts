/** A range of whole seconds a time may be set to, both ends taken. */
export interface SecondsRange {
  readonly leastS: number
  readonly mostS: number
}

/** One side of a hold: 5 s to 60 min. */
export const holdLimits: SecondsRange = { leastS: 5, mostS: 3600 }
/** A block that is not a hold: talk, rest, breath, final rest. */
export const blockLimits: SecondsRange = { leastS: 5, mostS: 7200 }
/** Any time between holds; 0 leaves it out. */
export const betweenLimits: SecondsRange = { leastS: 0, mostS: 1800 }
/** The length a session is meant to fill: 5 min to 4 h. */
export const sessionLimits: SecondsRange = { leastS: 300, mostS: 14_400 }

/** Characters of a name, of one line, and of a text. */
export const textLimits = { name: 120, line: 300, text: 20_000 } as const

/** As many blocks as a session may have, and as many notes for next time. */
export const mostBlocks = 200
export const mostNextTime = 20

/** As many items as a set-up may have. */
export const mostItems = 20

/** As many weeks as a series may have: two years. */
export const mostWeeks = 104

/** A break in a long day: 1 min to 6 h; and as many parts as one may have. */
export const breakLimits: SecondsRange = { leastS: 60, mostS: 21_600 }
export const mostParts = 24

/** A length or distance in whole millimetres. */
export const lengthLimitsMm = { least: 1, most: 100_000 } as const

/** The longest a session may come to, whatever length it is meant to fill [settled, B25]. */
export const composedMostS = 14_400

/** What a round may take, its parts, and how many a block may have [settled, B25]. */
export const breathTimeLimits = {
  roundMs: { least: 2000, most: 120_000 },
  inOrOutMostMs: 20_000,
  retentionMostMs: 30_000,
  rounds: 1200,
} as const

/** Counted breath: rounds of a set, sets of a block. */
export const breathLimits = { rounds: 500, sets: 20 } as const

/** A led class and its record. The longest day of classes, and room for two hundred blocks with all their cues. */
export const ledLimits = {
  runMs: 48 * 3_600_000,
  segments: 20_000,
  cues: 40_000,
  events: 20_000,
  visits: 40_000,
  saidCharacters: 4000,
  halfCounts: 100_000_000,
} as const

/** So many of the newest classes are laid beside each other; of what they teach, older ones weigh next to nothing. */
export const mostClassesInShort = 400
/** How many classes a page of the journal has, and how many may be asked for at once. */
export const ledClassPage = { usual: 100, most: 500 } as const

/** An own sound: what its file may take, and how long a bell and a track of music may last. */
export const soundLimits = { bytes: 40 * 1024 * 1024, bellMs: 30_000, musicMs: 4 * 3_600_000 } as const

/** An archive of open files: what it may take, packed and unpacked. */
export const archiveLimits = { bytes: 4 * 1024 ** 3 } as const

/** A recorded sentence: how long it may be and what it may take; and what all of a session may take together. */
export const voiceLimits = { ms: 60_000, bytes: 4 * 1024 * 1024, ofSessionBytes: 24 * 1024 * 1024 } as const
