import type { Router } from 'express'
import type { Mention } from '#model/person'
import { namesOf, tellsOf, withoutNames } from '#core/session'
import { personSchema } from '#model/person'
import type { Database } from '#server/db/open'
import { readableDocument } from '#server/features/sessions/migrate-document'
import { apiRouter, closeRouter } from '#server/http/api-router'
import { ProblemError } from '#server/problems'

/**
 * Where else a name of somebody stands, as a teacher typed it: sessions, and notes of led classes. Names that others have
 * too are theirs as well. Throws UNKNOWN_PERSON.
 */
async function mentionsOf({ models }: Database, id: string): Promise<readonly Mention[]> {
  const people = (await models.people.findAll()).map(({ document }) => personSchema.parse(JSON.parse(document)))
  const person = people.find((one) => one.id === id)
  if (!person) throw new ProblemError('UNKNOWN_PERSON', { id })
  const names = namesOf([person])
  const sessions = await models.sessions.findAll({ where: { deletedAt: null }, order: [['name', 'ASC']] })
  const classes = await models.ledClasses.findAll({
    attributes: ['id', 'name', 'startedAt', 'note'],
    order: [['startedAt', 'DESC']],
  })
  return [
    ...sessions.flatMap((row): Mention[] => {
      const session = readableDocument(row.document)
      return session && tellsOf(session, names) ? [{ kind: 'session', id: row.id, name: row.name }] : []
    }),
    ...classes.flatMap(({ id: classId, name, startedAt, note }): Mention[] =>
      note !== null && withoutNames(note, names) !== note
        ? [{ kind: 'note', id: classId, name, startedAt: startedAt.toISOString() }]
        : [],
    ),
  ]
}

/** Asked before somebody is deleted. */
export function mentionRoutes(database: Database): Router {
  const router = apiRouter()
  router.get('/:id/mentions', async (request, response) => {
    response.json(await mentionsOf(database, request.params.id))
  })
  return closeRouter(router)
}
