import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Sequelize } from 'sequelize'
import { openDatabase } from '#server/db/open'
import { freshFile } from '#testing/fresh-database'
import { postgresPrograms, startPostgres, withoutPostgres } from '#testing/postgres'
import { servers } from './servers.ts'

/**
 * Jest's before everything: a folder for the databases of the tests, and in it the one they are copies of; where they are to
 * run on PostgreSQL, a server of their own with one.
 */
export default async function beforeAll(): Promise<void> {
  process.env['ZOVRIN_DATABASES'] = mkdtempSync(join(tmpdir(), 'zovrin-databases-'))
  await (await openDatabase(freshFile())).close()
  if (process.env['ZOVRIN_TESTS_ON'] !== undefined) process.env['ZOVRIN_TESTS_ON'] = await freshOnPostgres()
}

/** Says the address of a database with nothing in it. */
async function freshOnPostgres(): Promise<string> {
  const programs = postgresPrograms()
  if (programs === undefined) throw new Error(withoutPostgres)
  const server = await startPostgres(programs)
  servers.push(server)
  const postgres = new Sequelize(server.addressOf('postgres'), { logging: false })
  await postgres.query('CREATE DATABASE fresh')
  await postgres.close()
  await (await openDatabase(server.addressOf('fresh'))).close()
  return server.addressOf('fresh')
}
