import { types } from 'node:util'
import type { ErrorRequestHandler } from 'express'
import type { Logger } from 'pino'
import type { Problem, ProblemCode, ProblemFacts } from '#model/problem'
import { isDiskFull, loggable, takenId } from '#server/db/failures'
import { makeProblem, ProblemError } from '#server/problems'
import { mostBodyKb } from './body.ts'

/** What Express and its readers say of an error of theirs. */
interface Told {
  readonly status?: unknown
  readonly limit?: unknown
}

/** What the request did wrong, by the status the platform gives it; anything else is a fault of ours. */
const byStatus: Readonly<Record<number, (told: Told) => Problem>> = {
  400: () => plain('MALFORMED_JSON'),
  404: () => makeProblem('UNKNOWN_ADDRESS', { path: 'this address' }),
  412: () => plain('WRONG_CONDITION'),
  413: ({ limit }) => makeProblem('BODY_TOO_LARGE', { mostKb: kbOf(limit) }),
  415: () => plain('WRONG_ENCODING'),
  416: () => plain('WRONG_RANGE'),
}

type Plain = { [Code in ProblemCode]: object extends ProblemFacts[Code] ? Code : never }[ProblemCode]
const plain = (code: Plain): Problem => makeProblem(code, {})

/** Any error as the problem it is told as. */
export function problemOf(error: unknown): Problem {
  if (error instanceof ProblemError) return error.problem
  if (isDiskFull(error)) return plain('DISK_FULL')
  const taken = takenId(error)
  if (taken !== undefined) return makeProblem('ID_TAKEN', { id: taken })
  // An address that cannot be decoded.
  if (types.isNativeError(error) && error.name === 'URIError')
    return makeProblem('UNKNOWN_ADDRESS', { path: 'this address' })
  const told: Told = typeof error === 'object' && error !== null ? error : {}
  const status = Number(told.status)
  return (byStatus[status] ?? (status >= 400 && status < 500 ? byStatus[400] : undefined))?.(told) ?? plain('INTERNAL')
}

/** How much the body reader that refused would have taken, in kB. */
const kbOf = (limit: unknown): number =>
  Number.isFinite(Number(limit)) && Number(limit) > 0 ? Math.round(Number(limit) / 1024) : mostBodyKb

/** Sends what went wrong; of a fault of ours only the log hears more. */
export function sendProblem(logger: Logger | undefined): ErrorRequestHandler {
  // Express knows an error handler by its four parameters.
  return (error: unknown, _request, response, next) => {
    const problem = problemOf(error)
    if (problem.status >= 500) logger?.error(loggable(error))
    if (response.headersSent) {
      next(error)
      return
    }
    response.status(problem.status).set('Cache-Control', 'no-store').type('application/problem+json').json(problem)
  }
}
