import type { SpanKind } from './captions.ts'
import { announcedIn, numberPattern } from './numbers.ts'

/** What a sentence speaks for, by kind of span: higher is likelier. All of it estimates, tuned on recordings of our own. */
export type Spoken = Readonly<Partial<Record<SpanKind, number>>>

interface Cue {
  readonly says: RegExp
  readonly for: Spoken
}

const limbs =
  '(?:leg|knee|foot|feet|ankle|heel|shin|thigh|hip|arm|hand|elbow|shoulder|head|forehead|chest|belly|tummy|stomach|toes?|sit bones?|seat|pelvis|back|spine|mat|floor|wall|bolster|blanket|block|strap|cushion|pillow|chair|towel)'

/** The way out of a shape. */
const out: readonly RegExp[] = [
  /\b(?:com(?:e|ing)|mak(?:e|ing) your way|find(?:ing)? your way|eas(?:e|ing) (?:yourself|your way)|work(?:ing)? your way) (?:\w+ ){0,3}?(?:out|back up|up|back to (?:the )?(?:cent(?:er|re)|middle|neutral|seated|sitting)|off)\b/,
  /\brelease (?:the|your|that|this|out|from|it|out of)\b/,
  /\blet (?:it|that|this|the (?:pose|shape|stretch)|go of (?:the|that|this) (?:pose|shape|fold|twist|stretch)) ?(?:go|that go)?\b/,
  /\b(?:walk|press|push|roll|lift|peel|draw|bring) (?:your ?self|your (?:hands?|chest|torso|upper body|trunk|head)|up|the hands?) (?:\w+ ){0,3}?(?:up|in|off|upright|back in|back up)\b/,
  /\b(?:undo|unwind|unravel|uncross|unfold|untangle|unhook)\b|\bstack (?:\w+ )?up\b|\btip (?:over )?(?:on)?to (?:the|your|one) (?:\w+ )?side\b|\b(?:give|gives) (?:your|the|those) \w+ a (?:wobble|shake|wiggle|rub)\b/,
  /\b(?:stretch|straighten|extend|slide) (?:out )?(?:the|your|that|both|those) (?:\w+ )?(?:legs?|knees?) (?:out|long|away|back out)\b/,
  /\b(?:windscreen|windshield) wip/,
  /\bshake (?:it|them|everything|(?:the|your|that) \w+)? ?out\b/,
  /\bstart to (?:move|wriggle|wiggle|deepen|stir|wake|come)\b/,
  /\b(?:move|get|step|ease|slide|slip) (?:\w+ )?out of\b/,
  /\b(?:back|in) ?(?:in)?(?:to|through|via|towards) (?:the |your )?(?:cent(?:er|re)|middle|neutral|all fours|sitting|seated)\b|\bthrough (?:the )?cent(?:er|re)\b/,
  /\bris(?:e|ing) (?:up|out|back)\b|\b(?:lower|lift|peel) (?:the|your) \w+ (?:down|up)\b|\b(?:bring|draw|press) (?:the|your|both) (?:knees|legs|feet) together\b/,
  /\broll (?:\w+ )?(?:back|off)\b|\bhug (?:them|your|both|the) ?(?:knees|legs)? ?in\b|\blower (?:down|the chest|yourself) (?:\w+ ){0,3}?(?:slowly|to the floor|onto the belly)\b/,
  /^(?:\w+ ){0,2}let go(?: of (?:the|your|that) \w+)?(?: and .*)?[.,]?$/,
  /\b(?:slide|bring|lower|put|place|take|draw) (?:that|this|the|your|both|those) (?:\w+ )?(?:legs?|knees?|foot|feet|arms?) (?:back |all the way |slowly )+(?:down|in|out|up|together)\b/,
  /\bthat's (?:the |our )?time\b|\btime's up\b|\bup you come\b|\b(?:hands?|feet|foot) (?:\w+ )?(?:to|on|onto) the (?:floor|ground),? and (?:up|over)\b/,
  /\bslide (?:the|your) (?:feet|legs) (?:back )?down\b|\broll (?:over )?to (?:one|your|the) (?:\w+ )?side\b/,
  /\b(?:bring|lift) (?:the|your) head (?:back )?up\b|^(?:and )?head (?:back )?up\b/,
  /^(?:and )?(?:back to |in )?cent(?:er|re)(?: and\b|[.,]?$)/,
  /\bundoing\b|\bway out\b|\bget ready to come\b|\bprepare to come\b/,
]

/** The same again for the other half of the body. */
const otherSide =
  /\b(?:other|second|opposite) (?:side|leg|hip|arm|knee|half)\b|\b(?:switch|swap|change|changing|switching) (?:the |your |over )?(?:sides?|legs?|it|over|arms)\b|\bsame (?:thing|again|shape|pose)? ?(?:on|to|with|for) the (?:other|left|right)\b|\bmirror\b|\bside two\b/

/** The head is turned within a shape, or something is told for the case that it does not go well: nobody leaves by that. */
const withinShape =
  /\b(?:turn|switch|change|rest|head|face|cheek|ear|gaze|look|neck)\b(?: \w+){0,4} (?:the )?other (?:side|cheek|ear|way|direction)\b.*\b(?:head|neck|face|cheek|even)\b|\b(?:head|face|cheek|chin|gaze|neck) (?:\w+ ){0,3}?(?:to |on )(?:the )?other (?:side|cheek|way|direction)\b|\bother cheek\b/
const inCase =
  /^(?:and |but |or |now )?if (?:the|your|it|it's|that|this|there|these|anything|something|any|you feel|one)\b(?!.*\b(?:ready|done|finished)\b)/

/** Staying where one is. */
const stay: readonly RegExp[] = [
  /\bsettl(?:e|ing) (?:in|into|here|down|yourself)\b/,
  /\b(?:stay|staying|remain|linger|rest) (?:right )?(?:here|with|for|in|as you|still|put)\b/,
  /\bwe(?:'ll| will|'re going to| are going to|'re gonna) (?:just )?(?:stay|be here|be in|hold|remain|spend|rest here|linger|keep)\b/,
  new RegExp(
    `\\b(?:hold|here|stay|about|around|for) (?:for )?(?:about |around |the next )?(?:${numberPattern})(?: to (?:${numberPattern}))? (?:more )?(?:minutes?|mins?|breaths|deep breaths|slow breaths)\\b`,
  ),
  /\b(?:stillness|be still|become still|perfectly still|stop moving)\b/,
  /\b(?:time|timer|clock|watch) (?:starts|begins|is (?:on|running))\b|\bstart(?:ing)? (?:the|our|my|your) (?:timer|time|clock)\b/,
  /\bi(?:'ll| will) (?:let you know|be quiet|tell you when|keep (?:the )?time|ring)\b/,
  /\b(?:gravity|let yourself (?:be|get|grow|sink|melt|drop)|be heavy|get heavy|grow heavy|melt|surrender|sink (?:in|down))\b/,
  /\bclose (?:your|the) eyes\b|\beyes (?:can )?(?:be )?(?:close|closed|soft)\b/,
]
/** Only a rest between two shapes. */
const aMoment =
  /\b(?:rest|pause|wait|breathe|lie|sit|be|lean|stay|neutral|here|take) (?:[\w']+ ){0,6}?(?:for )?(?:just )?(?:a|a few|one|two|a couple of|some|two or three) (?:moments?|seconds?|breaths?)\b/
const aMinute = /\b(?:rest|pause|wait|sit|rebound|neutral) (?:\w+ ){0,3}?(?:a|one|half a) minute\b/
/** Told while one stays. */
const within: readonly RegExp[] = [
  /\b(?:notice|observe|feel|watch|sense|listen|scan|soften|softening|breathe into|breath(?:e|ing) (?:slow|soft|naturally|easy|normally)|allow|let the (?:belly|jaw|breath|body|weight|shoulders|face|tongue))\b/,
  /\bhalf ?way\b|\b(?:another|one more|two more|last|final|thirty more|few more) (?:\w+ )?(?:minutes?|seconds?|breaths?|moments?)\b/,
  /\b(?:sensation|edge|dull ache|target area|if (?:it's|it is) too much|ease off|tension|quiet)\b/,
]

/** Building a shape. */
const verbs =
  '(?:bring|bringing|pick|park|clasp|pull|push|plant|make|round|tip|recline|arrange|take|taking|place|placing|slide|sliding|step|stepping|bend|bending|coming|moving|turning|folding|reaching|walking|extending|crossing|lying|sitting|drop|let|cross|lie|lying|sit|sitting|come|reach|grab|put|stack|extend|open|scoot|shuffle|tuck|lower|hug|draw|thread|lean|walk|set|lay|rest|roll|turn|widen|separate|prop|slip|move|swing|bow|fold|fold forward|stretch|shift|kneel|hook|point|straighten|support|lift)'
const building: readonly Cue[] = [
  { says: new RegExp(`\\b${verbs}\\b(?: \\w+){0,5}? ${limbs}s?\\b`), for: { setUp: 1.6, comingOut: 0.5, hold: -0.6 } },
  {
    says: /\b(?:com(?:e|ing) (?:on ?to|into|to|down|over|forward)|moving (?:into|to|towards?)|make your way (?:to|onto|into|down)|find your way (?:to|onto|into|down)|set (?:yourself|it) up|setting up|have a seat)\b/,
    for: { setUp: 1.8 },
  },
  {
    says: /\b(?:next|first|last|final) (?:pose|shape|posture|one|stretch)\b|\b(?:we're|we are|we'll|let's) (?:going to |gonna )?(?:move|go|come|do|take|set)\b/,
    for: { setUp: 1.6 },
  },
  {
    says: /\b(?:option|if you(?:'d| would) like|another version|you can (?:also )?(?:use|place|put|take|have)|grab)\b/,
    for: { setUp: 0.9 },
  },
  {
    says: new RegExp(
      `\\b(?:left|right|both|top|bottom|other) (?:\\w+ )?${limbs}s? (?:\\w+ ){0,4}?(?:over|in front|behind|forward|under|on top|out|back|wide|down|up|in|on|to the|towards)\\b`,
    ),
    for: { setUp: 1.8 },
  },
  {
    says: /^(?:and |then |now |okay |both knees |knees )*(?:over )?to the (?:left|right)\b|\b(?:fall|drop|tip|lower)s? (?:\w+ ){0,2}?(?:over )?to the (?:left|right)\b|\bboth (?:knees )?(?:over )?to the (?:left|right)\b|\bknees? (?:in)?to (?:your|the) chest\b/,
    for: { setUp: 2.6, hold: -0.6 },
  },
  { says: new RegExp(`\\b${limbs}s?\\b.*\\b${limbs}s?\\b`), for: { setUp: 1, hold: -0.4 } },
  {
    says: /\b(?:lie|lay|roll|turn|come|sit|left|right) (?:\w+ ){0,3}?(?:on(?:to| to)? (?:your|the|one) (?:\w+ )?(?:side|back|belly|tummy|front)|side down)\b/,
    for: { setUp: 1.8, comingOut: 0.5, hold: -0.6 },
  },
]

/** How one goes on to something else. */
const goingOn: Cue = {
  says: /^(?:and |so )?(?:okay|ok|alright|all right|good|great|now|from here|next|then)\b/,
  for: { comingOut: 0.8, setUp: 0.8, hold: -0.6 },
}

const finalRest = /\bs(?:h|c)?[aou]va? ?-?s[aou]{1,2}na\b|\b(?:final|last) rest\b|\bcorpse\b/

const more: readonly Cue[] = [
  goingOn,
  { says: finalRest, for: { rest: 5, hold: -1, setUp: 1 } },
  {
    says: /\b(?:rest|pause|lie|sit|stay|be|rebound) (?:here )?(?:for )?(?:just )?(?:a|one|two|few|a few|some)?(?: \w+)? ?(?:moment|moments|breath|breaths)\b|\bneutral\b|\brebound|\bcounter ?pose\b|\bfeel the (?:effects?|echo|difference)\b|\bnotice (?:the effects?|what(?:'s| is| has)|how (?:that|it|the)|any (?:difference|change))/,
    for: { rest: 2.2, hold: 0.3 },
  },
  {
    says: new RegExp(
      `\\b(?:in|ex)hal(?:e|ing)\\b.{0,24}\\b(?:${numberPattern}|count)\\b|\\bbreathe (?:in|out)\\b.{0,16}\\b(?:two|three|four|count)\\b`,
    ),
    for: { breath: 3, hold: 0.5 },
  },
  {
    says: /\b(?:nostril|pranayama|ujjayi|box breath|breath count|kumbhaka|retention|hold (?:the|your) breath|empty of breath|count of|breathing (?:practice|exercise)|rounds? of breath)\b/,
    for: { breath: 3 },
  },
  {
    says: /^(?:(?:one|two|three|four|five|six|seven|eight|in|out|and|hold|inhale|exhale)[ ,.]*){2,}$/,
    for: { breath: 2.5 },
  },
  {
    says: /\bcat(?:s)?(?:\/| and | ?- ?| )cows?\b|\b(?:circles?|circling|sway(?:ing)?|rock(?:ing)?|wriggle|wiggle|pulse|ripple)\b|\broll (?:the|your) (?:shoulders|neck|wrists|ankles)\b|\bflow\b|\bback and forth\b|\bside to side\b|\bwith (?:the|your|each) (?:breath|inhale|exhale)\b/,
    for: { movement: 2.2, comingOut: 0.4 },
  },
  {
    says: /\b(?:inhale|exhale)\b.{0,40}\b(?:lift|arch|round|raise|lower|reach|look|curl|open)\b/,
    for: { movement: 2 },
  },
  {
    says: /\b(?:welcome|hello|hi everyone|my name|good (?:morning|evening|afternoon)|today|tonight|this week|thank you|thanks|namaste|subscribe|channel|this class|this practice|whole hour|the (?:hour|studio|retreat|workshop)|our practice|the theme|you(?:'ll| will) need|injur|doctor|story|tradition|teacher|poem|meridian|see you|next time|enjoy the rest|i(?:'ve| have) been|i (?:want|wanted|would like|was|think|used|love|read)|people (?:often|ask|say)|used to)\b/,
    for: { talk: 1.8 },
  },
]

/** Words any sentence that can be understood has some of. */
const plain = new Set(
  "a an and are as at be but can for from have here how i if in is it it's just let like may not now of on or out over so some than that the then there they this to up we what when with you your you're we're we'll let's into down all any one".split(
    ' ',
  ),
)

/** Whether a word is one that nearly every sentence has. */
export const isPlainWord = (word: string): boolean => plain.has(word)

const some = (patterns: readonly RegExp[], text: string): number => patterns.filter((says) => says.test(text)).length

/** What a sentence speaks for. With no cue in it it may be anything that is said. */
export function spokenIn(text: string): Spoken {
  const sum: Partial<Record<SpanKind, number>> = {}
  const add = (kinds: Spoken, times = 1): void => {
    for (const [kind, points] of Object.entries(kinds) as [SpanKind, number][])
      sum[kind] = (sum[kind] ?? 0) + points * times
  }
  const leaves = inCase.test(text) ? 0 : some(out, text)
  if (leaves > 0) add({ comingOut: 3.2 + Math.min(2, leaves - 1), setUp: 0.6, hold: -1.5 })
  const stays = some(stay, text)
  const isShort = aMoment.test(text) || aMinute.test(text)
  if (isShort) add({ rest: 2.5, hold: -0.5, comingOut: 0.8 })
  else if (stays === 0 && announcedIn(text).length > 0) add({ hold: 1.2, rest: 1.2 })
  else if (stays > 0) add({ hold: 2.2 + Math.min(2, stays - 1), rest: 0.8 })
  const tells = Math.min(2, some(within, text))
  if (tells > 0) add({ hold: 1, rest: 0.4 }, tells)
  if (withinShape.test(text)) add({ hold: 2.5 })
  else if (otherSide.test(text)) add({ setUp: 3.5, comingOut: 1, hold: -2 })
  for (const cue of [...building, ...more]) if (cue.says.test(text)) add(cue.for)
  const words = text.split(' ')
  const understood = words.filter((word) => plain.has(word.replaceAll(/[.,!?]/g, ''))).length / words.length
  if (words.length >= 5 && understood < 0.12 && Object.keys(sum).length === 0) add({ unknown: 2 })
  return sum
}

/** Resting for its own sake, not a part of the body on something. */
const resting =
  /\b(?:eyes|down|back|you|and|to|just|now|,) rest\b(?! (?:your|the|on|it|in|with|against|both|each)\b)|\b(?:lie|lying|lay) (?:\w+ )?flat\b/
export const isResting = (text: string): boolean => resting.test(text)

/** Whether the last rest of a class is told here. */
export const isFinalRest = (text: string): boolean => finalRest.test(text)
/** Whether the other side is begun here. */
export const isOtherSide = (text: string): boolean => otherSide.test(text) && !withinShape.test(text)
/** Whether the way out is told here, or staying: what makes an end of a span sure. */
export const leavesHere = (text: string): boolean => (some(out, text) > 0 && !inCase.test(text)) || isOtherSide(text)
export const staysHere = (text: string): boolean => some(stay, text) > 0
/** Whether a part of the body, or what it lies on, is named. */
const body = new RegExp(`\\b${limbs}s?\\b`)
export const namesBody = (text: string): boolean => body.test(text)
