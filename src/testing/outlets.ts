/**
 * Everywhere something of the house is shown or goes out, and whether people may be told apart by name there. A place that
 * is not listed here fails the test of the outlets: whoever adds one says what it may show.
 */
export const views = {
  sessions: 'no names',
  series: 'no names',
  'long-days': 'no names',
  /** Whoever is deleted and in a backup is asked about before it is put back. */
  backups: 'names',
  /** Who teaches; nobody who comes to a class. */
  teachers: 'no names',
  plan: 'no names',
  paste: 'no names',
  sheets: 'no names',
  voice: 'no names',
  props: 'no names',
  breath: 'no names',
  lead: 'no names',
  journal: 'no names',
  'led-class': 'no names',
  times: 'no names',
  drift: 'no names',
  recording: 'no names',
  shelf: 'no names',
  'own-pose-new': 'no names',
  'own-pose-edit': 'no names',
  'shelf-page': 'no names',
  places: 'no names',
  needs: 'no names',
  cautions: 'no names',
  licences: 'no names',
  people: 'names',
  /** Of one person alone, who holds it. */
  'own-page': 'names',
  who: 'names',
} as const

/** Pages apart from the application: what students see, and where a device is let in. */
export const pages = { screen: 'no names', pair: 'no names' } as const

/** What the server answers, by the path it is asked at. */
export const answers = {
  sessions: 'no names',
  exchange: 'no names',
  /** Whoever comes is counted in them. */
  handed: 'no names',
  own: 'no names',
  'led-classes': 'no names',
  settings: 'no names',
  places: 'no names',
  health: 'no names',
  /** What runs and which device leads it; what the students see; who else is let in, and the way in. */
  now: 'no names',
  screen: 'no names',
  room: 'no names',
  pairing: 'no names',
  sounds: 'no names',
  voices: 'no names',
  remarks: 'no names',
  /** Who teaches here, as colleagues are called; nobody who comes to a class. */
  'sign-in': 'no names',
  teachers: 'no names',
  /** Whoever is in one and here no more; in the files themselves everybody. */
  backups: 'names',
  /** All of one's own, with what people told. */
  archive: 'names',
  people: 'names',
  /** Ids of people, what each takes and why, as the teacher wrote it. */
  'planned-classes': 'ids',
  /** Ids of the people who come to all its classes. */
  series: 'ids',
  'long-days': 'ids',
} as const
