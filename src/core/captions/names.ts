import type { BasePosition } from '#model/common'
import type { Catalog } from '#core/session'
import { plainText } from './pieces.ts'

/** A way a pose is called, in plain words. */
interface Called {
  readonly poseId: string
  readonly base: BasePosition
  /** Without which the pattern is not worth trying: most sentences name nothing. */
  readonly firstWord: string
  readonly pattern: RegExp
  readonly words: number
  /** What has to be told around it: a chair, or a wall, where the name does not say so. */
  readonly needs: RegExp
}
export type Names = readonly Called[]

/** Before or after it a single word is a name; teachers say most of them in other meanings too. */
const told =
  "(?:into|so|or|this|that's|okay|called|our|is|in|for|as|take|do|to|of|the|a|next|supported|reclined|half|full|sleeping|back to|it's|,)"
const kind = '(?:pose|posture|shape|fold|position|stretch|twist|variation)'

/** What stands after a comma on the shelf is said before the name. */
const saidFor: Readonly<Record<string, readonly string[]>> = {
  lying: ['reclined', 'reclining', 'lying', 'supine'],
  reclined: ['reclined', 'reclining', 'lying', 'supine'],
  seated: ['seated', 'sitting'],
}

/** How a teacher says where one is, by base position. */
const bases: Readonly<Record<BasePosition, RegExp>> = {
  standing: /\bstand/,
  kneeling: /\bkneel|\bheels\b|\bknees (?:wide|apart)\b/,
  allFours: /\ball fours\b|\bhands and knees\b/,
  prone: /\bbelly\b|\bface down\b/,
  supine: /\b(?:on(?: to)?|onto) (?:your|the) back\b|\b(?:lie|lay|lean|recline) back\b|\blying down\b/,
  sideLying: /\bon (?:your|the|one|to one) (?:left |right )?side\b/,
  seated: /\b(?:sit|seat|seated|sitting)\b|\bforward\b/,
  onChair: /\bchair\b/,
  atWall: /\bwall\b/,
}

/**
 * The ways the poses of a catalog are called, the longest first: English, other names and Sanskrit, and what stands before
 * a comma where it is more than a word.
 */
export function namesOf({ poses }: Pick<Catalog, 'poses'>): Names {
  const called = [...poses.values()].flatMap(({ id, names, base }) =>
    [names.english, ...names.others, names.sanskrit ?? ''].flatMap((name) => {
      const plain = plainText(name)
        .replaceAll(/[^a-z' ,]/g, ' ')
        .replaceAll(/\s+/g, ' ')
        .trim()
      const [head = '', after = ''] = plain.split(',').map((part) => part.trim())
      const turned = (saidFor[after] ?? []).map((word) => `${word} ${head}`)
      const ways = new Set([plain.replaceAll(',', ''), ...turned, ...(head.includes(' ') ? [head] : [])])
      return [...ways]
        .filter((one) => one.length > 3)
        .map((one): Called => ({
          ...{ poseId: id, base: base.enter, firstWord: /^[a-z]+/.exec(one)?.[0] ?? one },
          ...{ pattern: patternOf(one), words: one.split(' ').length },
          needs: base.enter === 'onChair' || base.enter === 'atWall' ? bases[base.enter] : /(?:)/,
        }))
    }),
  )
  return called.toSorted((a, b) => b.words - a.words)
}

/** A single word counts where it is told as a name, or stands alone. */
function patternOf(name: string): RegExp {
  const body = name.replaceAll(' ', '[ -]+').replaceAll("'s", "(?:'?s)?")
  if (name.includes(' ')) return new RegExp(`\\b${body}\\b`)
  const alone = `^(?:(?:okay|and|so|now|good) ?,? ?)*${body}[.,]?$`
  return new RegExp(`\\b${told} ${body}(?:'s)?\\b|\\b${body}(?:'s)? ${kind}\\b|${alone}`)
}

/**
 * The pose named in a sentence, by the longest of its names; of several called alike the one that begins where the class
 * is told to be. Undefined where none is named.
 */
export function poseNamed(names: Names, sentence: string, around: string): string | undefined {
  const says = ({ firstWord, pattern, needs }: Called): boolean =>
    sentence.includes(firstWord) && pattern.test(sentence) && needs.test(around)
  const first = names.find(says)
  if (!first) return undefined
  const alike = names.filter((one) => one.words === first.words && says(one))
  return (alike.find(({ base }) => bases[base].test(around)) ?? first).poseId
}
