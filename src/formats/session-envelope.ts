import type { Block } from '#model/block'
import type { Envelope, EnvelopeOwn } from '#model/envelope'
import { ownSchemaVersion } from '#model/own'
import type { OwnThing } from '#model/own'
import type { Session } from '#model/session'
import { isSame, keepRoll } from '#core/session'

/** What an envelope carries: whole sessions, or blocks that were copied. */
export type Carried = { readonly sessions: readonly Session[] } | { readonly blocks: readonly Block[] }

const poseIdsIn = (blocks: readonly Block[]): string[] =>
  blocks.flatMap((block) => (block.kind === 'hold' ? [block.poseId] : []))
const variantIdsIn = (blocks: readonly Block[]): string[] =>
  blocks.flatMap((block) => (block.kind === 'hold' && block.variantId !== undefined ? [block.variantId] : []))
const blocksIn = (carried: Carried): readonly Block[] =>
  'blocks' in carried ? carried.blocks : carried.sessions.flatMap(({ blocks }) => blocks)
const documentsOf = <K extends OwnThing['kind']>(own: readonly OwnThing[], kind: K) =>
  own.flatMap((thing) => (thing.kind === kind ? [thing.document as Extract<OwnThing, { kind: K }>['document']] : []))

/** Sessions or blocks with every own thing they stand on, and nothing else of the teacher's. */
export function makeEnvelope(carried: Carried, own: readonly OwnThing[]): Envelope {
  const blocks = blocksIn(carried)
  const ownPoses = new Map(documentsOf(own, 'pose').map((pose) => [pose.id, pose]))
  const poses = new Set<string>()
  const reach = (id: string): void => {
    if (poses.has(id) || !ownPoses.has(id)) return
    poses.add(id)
    ownPoses.get(id)?.counterposes.forEach(reach)
  }
  const wantedVariants = new Set(variantIdsIn(blocks))
  const variants = documentsOf(own, 'variant').filter(({ id }) => wantedVariants.has(id))
  for (const id of [...poseIdsIn(blocks), ...variants.map(({ poseId }) => poseId)]) reach(id)
  const schoolIds = new Set('sessions' in carried ? carried.sessions.map(({ schoolId }) => schoolId) : [])
  return {
    format: 'zovrin.session',
    version: 1,
    ...('blocks' in carried ? { blocks: [...carried.blocks] } : { sessions: [...carried.sessions] }),
    own: {
      schema: ownSchemaVersion,
      poses: [...poses].flatMap((id) => ownPoses.get(id) ?? []),
      variants,
      techniques: [],
      schools: documentsOf(own, 'school').filter(({ id }) => schoolIds.has(id)),
    },
  }
}

/** What is there already when an envelope comes in. */
export interface Existing {
  readonly own: readonly OwnThing[]
  readonly sessions: ReadonlyMap<string, Session>
  /** Ids of shipped poses and schools, which nothing may take. */
  readonly shippedIds: ReadonlySet<string>
}

/** What importing an envelope would add. Nothing that is there is changed. */
export interface ImportPlan {
  readonly own: readonly Pick<OwnThing, 'kind' | 'document'>[]
  readonly sessions: readonly Session[]
  /** Sessions of the envelope that are here already, word for word. */
  readonly alreadyHere: readonly string[]
  readonly blocks: readonly Block[]
}

/** Own poses as they are written today: before schema 2 the roll in their steps out stood in full. */
function liftOwn(envelope: Envelope): Envelope {
  if ((envelope.own.schema ?? 1) >= ownSchemaVersion) return envelope
  const poses = envelope.own.poses.map((pose) => ({ ...pose, comingOut: pose.comingOut.map(keepRoll) }))
  return { ...envelope, own: { ...envelope.own, schema: ownSchemaVersion, poses } }
}

type Ids = Map<string, string>

/**
 * Adds what is missing; where an id exists with other content a copy is added and everything in the
 * envelope points to it; the same content is used as it is. `newId` makes ids that nothing has yet.
 */
export function planImport(written: Envelope, existing: Existing, newId: () => string): ImportPlan {
  const envelope = liftOwn(written)
  const ids: Ids = new Map()
  const own: Pick<OwnThing, 'kind' | 'document'>[] = []
  const kinds: readonly (readonly [OwnThing['kind'], keyof EnvelopeOwn])[] = [
    ['school', 'schools'],
    ['pose', 'poses'],
    ['variant', 'variants'],
  ]
  for (const [kind, field] of kinds) {
    for (const document of envelope.own[field] as OwnThing['document'][]) {
      const pointed = pointOwn(document, ids)
      const same = [...existing.own, ...own].find((thing) => thing.kind === kind && sameBut(thing.document, pointed))
      if (same) {
        ids.set(document.id, same.document.id)
        continue
      }
      const taken =
        existing.shippedIds.has(document.id) ||
        [...existing.own, ...own].some((thing) => thing.document.id === document.id)
      const id = taken ? newId() : document.id
      ids.set(document.id, id)
      own.push({ kind, document: { ...pointed, id } } as Pick<OwnThing, 'kind' | 'document'>)
    }
  }
  // Counterposes may name a pose that came later in the list: all ids are known only now.
  const added = own.map(
    (thing) => ({ ...thing, document: pointOwn(thing.document, ids) }) as Pick<OwnThing, 'kind' | 'document'>,
  )
  const sessions: Session[] = []
  const alreadyHere: string[] = []
  const incoming = (envelope.sessions ?? []).map((session) => ({ from: session, session: pointSession(session, ids) }))
  for (const { from, session } of incoming) {
    const there = existing.sessions.get(session.id)
    if (there && isSame(there, session)) alreadyHere.push(session.id)
    else
      sessions.push(there ? { ...session, id: keepId(from.id, newId(), ids), name: copyName(session.name) } : session)
  }
  return {
    own: added,
    sessions: sessions.map((session) => pointVersion(session, ids)),
    alreadyHere,
    blocks: (envelope.blocks ?? []).map((block) => pointBlock(block, ids)),
  }
}

function keepId(from: string, to: string, ids: Ids): string {
  ids.set(from, to)
  return to
}

const mostName = 120
const copyName = (name: string): string => `${name.slice(0, mostName - 11)} (imported)`

const pointOwn = (document: OwnThing['document'], ids: Ids): OwnThing['document'] => {
  if ('poseId' in document) return { ...document, poseId: ids.get(document.poseId) ?? document.poseId }
  if ('counterposes' in document)
    return { ...document, counterposes: document.counterposes.map((id) => ids.get(id) ?? id) }
  return document
}

function pointBlock(block: Block, ids: Ids): Block {
  if (block.kind !== 'hold') return block
  const variantId = block.variantId === undefined ? undefined : (ids.get(block.variantId) ?? block.variantId)
  return { ...block, poseId: ids.get(block.poseId) ?? block.poseId, ...(variantId === undefined ? {} : { variantId }) }
}

const pointSession = (session: Session, ids: Ids): Session => ({
  ...session,
  schoolId: ids.get(session.schoolId) ?? session.schoolId,
  blocks: session.blocks.map((block) => pointBlock(block, ids)),
})

function pointVersion(session: Session, ids: Ids): Session {
  const { versionOf } = session
  const sessionId = versionOf && ids.get(versionOf.sessionId)
  return versionOf && sessionId !== undefined ? { ...session, versionOf: { ...versionOf, sessionId } } : session
}

const sameBut = (a: { id: string }, b: { id: string }): boolean => isSame({ ...a, id: '' }, { ...b, id: '' })
