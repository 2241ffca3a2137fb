import type { PostgresServer } from '#testing/postgres'

/** Servers that were started before all tests, to be stopped after them. */
export const servers: PostgresServer[] = []
