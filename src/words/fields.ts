import { capital } from './text.ts'

/** What the fields of documents are called where they are typed. */
const fieldNames: Readonly<Record<string, string>> = {
  afterRestS: 'rest after',
  amount: 'rounds',
  answers: 'answers',
  aroundS: 'time around',
  base: 'base position',
  betweenSidesS: 'between sides',
  blocks: 'blocks',
  breathOver: 'breath over the hold',
  changeS: 'change into it',
  comingOut: 'coming out',
  comingOutS: 'coming out',
  count: 'how many',
  counterposes: 'counterposes',
  cues: 'cues',
  directions: 'directions',
  document: 'the document',
  empty: 'retention empty',
  english: 'English name',
  enter: 'entered from',
  experienced: 'experienced',
  families: 'families for cautions',
  finalRestS: 'final rest',
  full: 'retention full',
  fromLevel: 'from level',
  fromS: 'shortest',
  head: 'head',
  hold: 'hold',
  holdS: 'hold',
  holds: 'usual holds',
  id: 'id',
  in: 'breathing in',
  leave: 'comes out into',
  left: 'left side',
  leftS: 'left side',
  lengthS: 'length',
  level: 'level',
  log: 'events',
  looksFor: 'what the teacher looks for',
  mistakes: 'what goes wrong',
  movementInHold: 'movement in a hold',
  name: 'name',
  names: 'names',
  new: 'new',
  note: 'note',
  others: 'other names',
  out: 'breathing out',
  own: 'own things',
  people: 'people',
  phases: 'phases',
  places: 'place in a session',
  poseId: 'pose',
  practice: 'practice',
  practices: 'practices',
  props: 'props',
  purpose: 'purpose',
  regular: 'regular',
  restorative: 'restorative',
  rests: 'where the head rests',
  right: 'right side',
  rightS: 'right side',
  rollS: 'roll',
  s: 'time',
  sanskrit: 'Sanskrit name',
  schema: 'schema',
  half: 'retention',
  lead: 'the breath that leads to it',
  locks: 'locks',
  pauseHalf: 'pause between the steps',
  script: 'script',
  sections: 'sections',
  slope: 'slope',
  stations: 'places for the hands',
  steps: 'steps',
  strokes: 'strokes',
  schoolId: 'school',
  sensation: 'sensation',
  sessionId: 'session',
  sessions: 'sessions',
  setUpItems: 'set-up',
  setUpWords: 'said while arranging',
  setUpS: 'set-up',
  settleS: 'settling',
  share: 'share of the hold',
  sides: 'sides',
  sittingUpS: 'sitting up',
  targets: 'target areas',
  techniqueId: 'breath technique',
  text: 'words',
  times: 'times',
  title: 'title',
  toS: 'longest',
  usualS: 'usual',
  variantId: 'form',
  variants: 'forms',
  version: 'version',
  wantsWarm: 'what it wants warm',
  warms: 'what it warms',
  withoutProps: 'its form without props',
  yin: 'yin',
}

/** Lists whose entries are told by their number: “block 4”. */
const oneOf: Readonly<Record<string, string>> = {
  blocks: 'block',
  comingOut: 'coming out, line',
  counterposes: 'counterpose',
  cues: 'cue',
  looksFor: 'what the teacher looks for, line',
  mistakes: 'what goes wrong, line',
  phases: 'phase',
  props: 'prop',
  sections: 'section',
  sentences: 'sentence',
  stations: 'place for the hands',
  steps: 'step of the set-up',
  sessions: 'session',
  setUpItems: 'item of the set-up',
  setUpWords: 'said while arranging, line',
  variants: 'form',
}

/** A name a program gave, as words: `someLengthMm` → “some length”. */
const plain = (name: string): string =>
  name
    .replace(/(S|Mm|Ms|Id)$/, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()

const stepName = (step: string): string => {
  const [, list, index] = /^(\w+)\[(\d+)\]$/.exec(step) ?? []
  if (list !== undefined) return `${oneOf[list] ?? fieldNames[list] ?? plain(list)} ${String(Number(index) + 1)}`
  return fieldNames[step] ?? plain(step)
}

/** What only groups fields: it is left out where one of them follows. */
const groups: ReadonlySet<string> = new Set(['at', 'base position', 'hold', 'names', 'pattern', 'times'])

/**
 * A field as it is called on screen, from its path in a document: `blocks[3].hold.rightS` → “Block 4, right side”.
 */
export function fieldName(path: string): string {
  const steps = path.split('.').map(stepName)
  const told = steps.filter((step, at) => at === steps.length - 1 || !groups.has(step))
  return capital(told.join(', '))
}
