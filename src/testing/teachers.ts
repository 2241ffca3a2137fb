import request from 'supertest'
import type { Express } from 'express'
import type { Role } from '#model/teacher'
import { createApp } from '#server/app'
import type { Clock } from '#server/clock'
import type { Database } from '#server/db/open'
import { firstTeacherId } from '#model/teacher'
import type { GuessWork } from '#server/features/teachers/secrets'
import { hashSecret } from '#server/features/teachers/secrets'
import { signInStore } from '#server/features/teachers/sign-in'
import { columnsOf } from '#server/features/teachers/store'

export type Agent = ReturnType<typeof request.agent>

export const passwordOf = (name: string): string => `${name}’s long password`

/** What is tried in tests is not guessed at: it need not take long. */
export const littleWork: GuessWork = { N: 2 ** 10, r: 8, p: 1 }

/** Each password is made ready to be kept once. */
const hashes = new Map<string, Promise<string>>()
function hashOf(name: string): Promise<string> {
  const hash = hashes.get(name) ?? hashSecret(passwordOf(name), littleWork)
  hashes.set(name, hash)
  return hash
}

/** A house whose teachers have accounts. */
export interface Studio {
  readonly database: Database
  readonly clock: Clock
  readonly app: Express
  /** Its keeper, signed in. */
  readonly keeper: Agent
}

/** Somebody who has an account, signed in. */
async function signedIn(
  { database, clock, app }: Omit<Studio, 'keeper'>,
  { id, name, role }: { readonly id: string; readonly name: string; readonly role: Role },
): Promise<Agent> {
  const columns = { ...columnsOf(id, { name, role }, clock), secretHash: await hashOf(name) }
  await database.inTransaction((transaction) => database.models.teachers.create(columns, { transaction }))
  const { token } = await signInStore(database, clock, 'accounts').signInAs(id)
  const agent = request.agent(app)
  agent.jar.setCookie(`zovrin-teacher-0=${token}; Path=/`, '127.0.0.1')
  return agent
}

export async function studio(
  database: Database,
  clock: Clock,
  app = createApp({ database, hosts: [], clock, teachers: 'accounts', guessWork: littleWork }),
): Promise<Studio> {
  const house = { database, clock, app }
  return { ...house, keeper: await signedIn(house, { id: firstTeacherId, name: 'Kaia', role: 'keeper' }) }
}

/** One more teacher, signed in. */
export const joined = (house: Studio, name: string, role: Role = 'teacher'): Promise<Agent> =>
  signedIn(house, { id: name.toLowerCase().replaceAll(/\W/g, '-'), name, role })
