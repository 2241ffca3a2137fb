import type { Reply } from '#web/shared/api/client.ts'
import { keptAs, keptDocuments } from './kept-documents.ts'
import type { KeptDocument } from './kept-documents.ts'

interface Thing {
  readonly id: string
  readonly name: string
}
const problem = (detail: string) => ({ kind: 'problem', problem: { detail } }) as Reply<never>

const staleReply = {
  kind: 'problem',
  problem: { code: 'VERSION_STALE', detail: 'It was changed elsewhere.' },
} as Reply<never>

/** A server that keeps things, and can be away or refuse. */
function aServer(first: readonly KeptDocument<Thing>[] = []) {
  const kept = new Map(first.map((one) => [one.document.id, one]))
  const server = { isAway: false, refuses: '', written: [] as [string, number][] }
  const answer = <T>(make: () => T): Promise<Reply<T>> => {
    if (server.isAway) return Promise.resolve({ kind: 'away' })
    if (server.refuses) return Promise.resolve(problem(server.refuses))
    return Promise.resolve({ kind: 'ok', value: make(), version: 0 })
  }
  return {
    server,
    api: {
      list: (): Promise<Reply<readonly KeptDocument<Thing>[]>> =>
        Promise.resolve({ kind: 'ok', value: [...kept.values()], version: 0 }),
      write: (document: Thing, based: number) =>
        answer(() => {
          server.written.push([document.name, based])
          kept.set(document.id, { document, version: based + 1 })
          return { version: based + 1 }
        }),
      remove: (id: string) => answer(() => kept.delete(id)),
    },
  }
}
const one = { document: { id: 'a', name: 'One' }, version: 3 }

test('what is changed stands there at once, and is written one after the other over the newest version', async () => {
  const { server, api } = aServer([one])
  const { documents, load, put } = keptDocuments(api)
  await load()
  const writing = [put({ id: 'a', name: 'Two' }), put({ id: 'a', name: 'Three' }), put({ id: 'b', name: 'New' })]
  expect(documents.value.map(({ name }) => name)).toEqual(['Three', 'New'])
  expect(await Promise.all(writing)).toEqual([true, true, true])
  expect(server.written).toEqual([
    ['Two', 3],
    ['Three', 4],
    ['New', 0],
  ])
})

test('whoever waits until it is settled has the version of what was just changed', async () => {
  const { api } = aServer([one])
  const { versionOf, load, put, settled } = keptDocuments(api)
  await load()
  void put({ id: 'a', name: 'Two' })
  void put({ id: 'a', name: 'Three' })
  expect(versionOf('a')).toBe(3)
  await settled()
  expect(versionOf('a')).toBe(5)
})

test('it is taken back step by step', async () => {
  const { api } = aServer([one])
  const { documents, steps, load, put, undo } = keptDocuments(api)
  await load()
  await put({ id: 'a', name: 'Two' })
  await put({ id: 'a', name: 'Three' })
  await undo()
  await undo()
  expect([documents.value[0]?.name, steps.value]).toEqual(['One', []])
  await undo()
  expect(documents.value[0]?.name).toBe('One')
})

test('what is refused goes back to what is there, and says why; it is no step', async () => {
  const { server, api } = aServer([one])
  const { documents, steps, problem: told, load, put } = keptDocuments(api)
  await load()
  server.refuses = 'Changed elsewhere'
  expect(await put({ id: 'a', name: 'Two' })).toBe(false)
  expect(await put({ id: 'b', name: 'New' })).toBe(false)
  expect([documents.value, steps.value, told.value]).toEqual([[one.document], [], 'Changed elsewhere'])
})

test('with the server away nothing is changed, and said so', async () => {
  const { server, api } = aServer([one])
  const { documents, steps, problem: told, load, put } = keptDocuments(api)
  await load()
  server.isAway = true
  await put({ id: 'a', name: 'Two' })
  expect([documents.value, steps.value]).toEqual([[one.document], []])
  expect(told.value).toContain('nothing was changed')
})

test('where what was typed is to stay, it stays unsaved until it can be written', async () => {
  const { server, api } = aServer([one])
  const { documents, unsaved, problem: told, load, put, tryAgain } = keptDocuments(api, { keepsUnsaved: true })
  await load()
  server.isAway = true
  await put({ id: 'a', name: 'Two' })
  await load()
  expect([documents.value[0]?.name, [...unsaved.value]]).toEqual(['Two', ['a']])
  expect(told.value).toContain('kept in this window alone')
  server.isAway = false
  await tryAgain()
  expect([server.written, unsaved.value.size, told.value]).toEqual([[['Two', 3]], 0, ''])
})

test('one that was taken away is gone, with its steps', async () => {
  const { api } = aServer([one])
  const { documents, steps, load, put, remove } = keptDocuments(api)
  await load()
  await put({ id: 'a', name: 'Two' })
  expect(await remove('a')).toBe(true)
  expect([documents.value, steps.value]).toEqual([[], []])
})

test('a list is read out of what the server has each in', () => {
  const reply = { kind: 'ok', value: [{ thing: one.document, version: 3 }], version: 0 } as const
  const thingOf = ({ thing }: { readonly thing: Thing; readonly version: number }) => thing
  expect(keptAs(reply, thingOf)).toMatchObject({ value: [one] })
  expect(keptAs({ kind: 'away' }, thingOf)).toEqual({ kind: 'away' })
})

test('what was changed elsewhere meanwhile stays, and what was typed here with it; what is typed next goes on from both', async () => {
  const { server, api } = aServer([one])
  const elsewhere = { document: { id: 'a', name: 'One', about: 'told elsewhere' }, version: 4 }
  let kept: KeptDocument<Thing & { about?: string; note?: string }> = elsewhere
  const guarded = {
    ...api,
    list: () => Promise.resolve({ kind: 'ok' as const, value: [kept], version: 0 }),
    write: (document: typeof kept.document, based: number) => {
      if (based !== kept.version) return Promise.resolve(staleReply)
      kept = { document, version: based + 1 }
      server.written.push([document.name, based])
      return Promise.resolve({ kind: 'ok' as const, value: { version: kept.version }, version: 0 })
    },
  }
  const {
    documents,
    load,
    put,
    undo,
    problem: why,
  } = keptDocuments<Thing & { note?: string }>(guarded, {
    known: [one],
  })
  expect(await Promise.all([put({ id: 'a', name: 'Two' }), put({ id: 'a', name: 'Two', note: 'typed' })])).toEqual([
    true,
    true,
  ])
  expect(kept).toEqual({ document: { id: 'a', name: 'Two', about: 'told elsewhere', note: 'typed' }, version: 6 })
  expect([documents.value[0], why.value]).toEqual([kept.document, ''])
  await load()
  expect(documents.value).toEqual([kept.document])
  // Only what was typed here is taken back.
  await undo()
  await undo()
  expect(kept).toEqual({ document: { id: 'a', name: 'One', about: 'told elsewhere' }, version: 8 })
})

test('what could not be written is put over what was changed elsewhere meanwhile, once it can be', async () => {
  let kept: KeptDocument<Thing & { about?: string; note?: string }> = one
  let isAway = true
  const guarded = {
    list: () => Promise.resolve({ kind: 'ok' as const, value: [kept], version: 0 }),
    write: (document: typeof kept.document, based: number): Promise<Reply<{ version: number }>> => {
      if (isAway) return Promise.resolve({ kind: 'away' })
      if (based !== kept.version) return Promise.resolve(staleReply)
      kept = { document, version: based + 1 }
      return Promise.resolve({ kind: 'ok', value: { version: kept.version }, version: 0 })
    },
    remove: () => Promise.resolve({ kind: 'away' as const }),
  }
  const { documents, put, tryAgain, unsaved } = keptDocuments<Thing & { note?: string }>(guarded, {
    ...{ known: [one], keepsUnsaved: true },
  })
  await put({ id: 'a', name: 'Two' })
  await put({ id: 'a', name: 'Two', note: 'typed' })
  expect([...unsaved.value]).toEqual(['a'])
  isAway = false
  kept = { document: { id: 'a', name: 'One', about: 'told elsewhere' }, version: 4 }
  await tryAgain()
  expect(kept.document).toEqual({ id: 'a', name: 'Two', about: 'told elsewhere', note: 'typed' })
  expect([documents.value, unsaved.value.size]).toEqual([[kept.document], 0])
})
