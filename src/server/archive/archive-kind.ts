import { archiveFormat, archiveList, archiveSchema, archiveVersion } from '#model/archive'
import type { Archive } from '#model/archive'
import { archiveLimits } from '#model/limits'
import type { ListedKind } from '#server/backup/listed-zip'

/** The zip of an archive of open files, as it is read. */
export const archiveKind: ListedKind<Archive> = {
  ...{ listName: archiveList, format: archiveFormat, version: archiveVersion, schema: archiveSchema },
  ...{ mostListBytes: 20_000_000, mostEntries: 60_000, mostBytes: archiveLimits.bytes, notOne: 'not an archive' },
}
