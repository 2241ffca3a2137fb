import type { Block } from '#model/block'
import { envelopeFormat, envelopeVersion } from '#model/envelope'
import type { Envelope } from '#model/envelope'
import type { FormTaken } from '#model/form-taken'
import { ownSchemaVersion } from '#model/own'
import type { OwnDocument, OwnThing } from '#model/own'
import type { Session } from '#model/session'
import { isSame, keepRoll, sortedText, splitCounts, splitFormCounts } from '#core/session'
import type { IsShipped } from '#core/session'
import { markedName } from '#words/text'

/** What an envelope carries: whole sessions, or blocks that were copied. */
export type Carried = { readonly sessions: readonly Session[] } | { readonly blocks: readonly Block[] }

const poseIdsIn = (blocks: readonly Block[]): string[] =>
  blocks.flatMap((block) => (block.kind === 'hold' ? [block.poseId] : []))
const variantIdsIn = (blocks: readonly Block[]): string[] =>
  blocks.flatMap((block) => (block.kind === 'hold' && block.variantId !== undefined ? [block.variantId] : []))
const blocksIn = (carried: Carried): readonly Block[] =>
  'blocks' in carried ? carried.blocks : carried.sessions.flatMap(({ blocks }) => blocks)

/**
 * Sessions or blocks with every own thing they stand on, and nothing else of the teacher's; `taken` are forms that go with
 * them, with what those stand on.
 */
export function makeEnvelope(carried: Carried, own: readonly OwnThing[], taken: readonly FormTaken[] = []): Envelope {
  const blocks = blocksIn(carried)
  const ownPoses = new Map(own.flatMap((thing) => (thing.kind === 'pose' ? [[thing.document.id, thing.document]] : [])))
  const poses = new Set<string>()
  const reach = (id: string): void => {
    if (poses.has(id) || !ownPoses.has(id)) return
    poses.add(id)
    ownPoses.get(id)?.counterposes.forEach(reach)
  }
  const wantedVariants = new Set([
    ...variantIdsIn(blocks),
    ...taken.flatMap((one) => ('variantId' in one ? (one.variantId ?? []) : [])),
  ])
  const variants = own.flatMap(({ kind, document }) =>
    kind === 'variant' && wantedVariants.has(document.id) ? [document] : [],
  )
  const inForms = taken.flatMap((one) => (one.kind === 'pose' ? [one.poseId] : []))
  for (const id of [...poseIdsIn(blocks), ...inForms, ...variants.map(({ poseId }) => poseId)]) reach(id)
  const named = new Set([...blocks, ...taken].flatMap((one) => ('setUpId' in one ? [one.setUpId] : [])))
  const schoolIds = new Set('sessions' in carried ? carried.sessions.map(({ schoolId }) => schoolId) : [])
  return {
    format: envelopeFormat,
    version: envelopeVersion,
    ...('blocks' in carried ? { blocks: [...carried.blocks] } : { sessions: [...carried.sessions] }),
    own: {
      schema: ownSchemaVersion,
      poses: [...poses].flatMap((id) => ownPoses.get(id) ?? []),
      variants,
      setUps: own.flatMap((thing) =>
        thing.kind === 'setUp' && !thing.hidden && (poses.has(thing.document.poseId) || named.has(thing.document.id))
          ? [thing.document]
          : [],
      ),
      techniques: [],
      schools: own.flatMap(({ kind, document }) => (kind === 'school' && schoolIds.has(document.id) ? [document] : [])),
    },
  }
}

/** What is there already when an envelope comes in. */
export interface Existing {
  readonly own: readonly OwnThing[]
  /** By their ids; undefined for one that is there and cannot be read. */
  readonly sessions: ReadonlyMap<string, Session | undefined>
  /** Ids nothing may take: of what is shipped, and of all own things that are here. */
  readonly takenIds: ReadonlySet<string>
  /** Tells typed counts of props from those that came with a copied pose. */
  readonly isShipped: IsShipped
}

/** What sessions and blocks stand on; a piece stands on nothing but itself, and of a script each block has its copy. */
type CarriedOwn = Exclude<OwnDocument, { readonly kind: 'piece' | 'script' }>

/** What importing an envelope would add. Nothing that is there is changed. */
export interface ImportPlan {
  readonly own: readonly CarriedOwn[]
  readonly sessions: readonly Session[]
  /** Sessions of the envelope that are here already, word for word. */
  readonly alreadyHere: readonly string[]
  readonly blocks: readonly Block[]
  /** What each id of the envelope has come to be here; of a session, where that is another one. */
  readonly ids: Ids
}

/**
 * The own things of an envelope as they are written today, what names others after them: before schema 2 the roll in a
 * pose's steps out stood in full, before schema 3 what it takes was typed into it.
 */
function ownIn({ own }: Envelope, isShipped: IsShipped): CarriedOwn[] {
  const isFirst = (own.schema ?? 1) < 2
  const poses = own.poses.map((pose) =>
    splitCounts(isFirst ? { ...pose, comingOut: pose.comingOut.map(keepRoll) } : pose, isShipped),
  )
  const variants = own.variants.map(splitFormCounts)
  const setUps = [...own.setUps, ...[...poses, ...variants].flatMap((split) => split.setUps)]
  return [
    ...own.schools.map((document) => ({ kind: 'school', document }) as const),
    ...poses.map(({ pose }) => ({ kind: 'pose', document: pose }) as const),
    ...variants.map(({ variant }) => ({ kind: 'variant', document: variant }) as const),
    ...setUps.map((document) => ({ kind: 'setUp', document }) as const),
  ]
}

/** What each id of the file has come to be here, by the kind of thing it names. */
export type Ids = Readonly<Record<CarriedOwn['kind'] | 'session', Map<string, string>>>

/**
 * Adds what is missing; where an id exists with other content a copy is added and everything in the
 * envelope points to it; the same content is used as it is. `newId` makes ids that nothing has yet.
 */
export function planImport(envelope: Envelope, existing: Existing, newId: () => string): ImportPlan {
  const ids: Ids = { pose: new Map(), variant: new Map(), school: new Map(), setUp: new Map(), session: new Map() }
  const own = addedOwn(envelope, existing, { ids, newId })
  const sessions: Session[] = []
  const alreadyHere: string[] = []
  const incoming = (envelope.sessions ?? []).map((session) => ({ from: session, session: pointSession(session, ids) }))
  for (const { from, session } of incoming) {
    const there = existing.sessions.has(session.id)
    if (there && isSame(existing.sessions.get(session.id), session)) alreadyHere.push(session.id)
    else
      sessions.push(
        there
          ? { ...session, id: keepId(from.id, newId(), ids.session), name: markedName(session.name, ' (imported)') }
          : session,
      )
  }
  return {
    own,
    sessions: sessions.map((session) => pointVersion(session, ids)),
    alreadyHere,
    blocks: (envelope.blocks ?? []).map((block) => pointBlock(block, ids)),
    ids,
  }
}

/** Those that are missing, under ids that nothing has; where each came to is kept. */
function addedOwn(
  envelope: Envelope,
  existing: Existing,
  { ids, newId }: { readonly ids: Ids; readonly newId: () => string },
): CarriedOwn[] {
  const added: CarriedOwn[] = []
  const bySaying = new Map(existing.own.map((thing) => [saying(thing), thing.document.id]))
  const taken = new Set([...existing.takenIds, ...existing.own.map(({ document }) => document.id)])
  for (const thing of ownIn(envelope, existing.isShipped)) {
    const { id } = thing.document
    const pointed = pointOwn(thing, ids)
    const same = bySaying.get(saying(pointed))
    const here = same ?? (taken.has(id) ? newId() : id)
    ids[thing.kind].set(id, here)
    if (same !== undefined) continue
    bySaying.set(saying(pointed), here)
    taken.add(here)
    added.push(withId(pointed, here))
  }
  // Counterposes may name a pose that came later in the list: all ids are known only now.
  return added.map((thing) => pointOwn(thing, ids))
}

function withId(thing: CarriedOwn, id: string): CarriedOwn {
  switch (thing.kind) {
    case 'school':
      return { ...thing, document: { ...thing.document, id } }
    case 'pose':
      return { ...thing, document: { ...thing.document, id } }
    case 'variant':
      return { ...thing, document: { ...thing.document, id } }
    case 'setUp':
      return { ...thing, document: { ...thing.document, id } }
  }
}

function keepId(from: string, to: string, ids: Map<string, string>): string {
  ids.set(from, to)
  return to
}

function pointOwn(thing: CarriedOwn, ids: Ids): CarriedOwn {
  switch (thing.kind) {
    case 'school':
      return thing
    case 'pose': {
      const counterposes = thing.document.counterposes.map((id) => ids.pose.get(id) ?? id)
      return { ...thing, document: { ...thing.document, counterposes } }
    }
    case 'variant': {
      const { poseId } = thing.document
      return { ...thing, document: { ...thing.document, poseId: ids.pose.get(poseId) ?? poseId } }
    }
    case 'setUp': {
      const { poseId, variantId } = thing.document
      const form = variantId === undefined ? {} : { variantId: ids.variant.get(variantId) ?? variantId }
      return { ...thing, document: { ...thing.document, poseId: ids.pose.get(poseId) ?? poseId, ...form } }
    }
  }
}

function pointBlock(block: Block, ids: Ids): Block {
  if (block.kind === 'talk' || block.kind === 'movement') return block
  const { setUpId } = block
  if (block.kind !== 'hold')
    return setUpId === undefined ? block : { ...block, setUpId: ids.setUp.get(setUpId) ?? setUpId }
  const { variantId } = block
  return {
    ...block,
    poseId: ids.pose.get(block.poseId) ?? block.poseId,
    ...(variantId === undefined ? {} : { variantId: ids.variant.get(variantId) ?? variantId }),
    ...(setUpId === undefined ? {} : { setUpId: ids.setUp.get(setUpId) ?? setUpId }),
  }
}

/** A form that came with an envelope, naming what that has come to be here. */
export function pointForm(taken: FormTaken, { pose, variant, setUp }: Ids): FormTaken {
  switch (taken.kind) {
    case 'variant':
      return { ...taken, variantId: variant.get(taken.variantId) ?? taken.variantId }
    case 'setUp':
      return { ...taken, setUpId: setUp.get(taken.setUpId) ?? taken.setUpId }
    case 'pose': {
      const { poseId, variantId } = taken
      const form = variantId === undefined ? {} : { variantId: variant.get(variantId) ?? variantId }
      return { ...taken, poseId: pose.get(poseId) ?? poseId, ...form }
    }
    default:
      return taken
  }
}

const pointSession = (session: Session, ids: Ids): Session => ({
  ...session,
  schoolId: ids.school.get(session.schoolId) ?? session.schoolId,
  blocks: session.blocks.map((block) => pointBlock(block, ids)),
})

function pointVersion(session: Session, ids: Ids): Session {
  const { versionOf } = session
  const sessionId = versionOf && ids.session.get(versionOf.sessionId)
  return versionOf && sessionId !== undefined ? { ...session, versionOf: { ...versionOf, sessionId } } : session
}

/** What a thing says, whatever it is called by: the same text for the same content. */
const saying = ({ kind, document }: OwnDocument): string => `${kind} ${sortedText({ ...document, id: '' })}`
