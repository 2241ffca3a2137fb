import type { Rolldown } from 'vite'

type Modules = Rolldown.ChunkingContext

/** What is loaded at once with a module, by the ids of its modules: what it imports, and what those do. */
function loadedWith(id: string, modules: Modules, seen = new Set<string>()): ReadonlySet<string> {
  if (seen.has(id)) return seen
  seen.add(id)
  for (const imported of modules.getModuleInfo(id)?.importedIds ?? []) loadedWith(imported, modules, seen)
  return seen
}

/**
 * In which files the built pages come. Left to itself the bundler makes one of everything that two views share, a hundred and fifty
 * for Plan alone, each of which is asked for, kept and compiled by itself. What most views use comes in one file of packages and
 * one of our own; what the students' screen uses of it in two of their own, so that a tablet fetches no more than it needs.
 */
export function usedByMost(screen: string): Rolldown.CodeSplittingOptions {
  let forScreen: ReadonlySet<string> | undefined
  const ofScreen = (name: string) => (id: string, modules: Modules) => {
    forScreen ??= loadedWith(screen, modules)
    return forScreen.has(id) ? name : null
  }
  const [packages, ours] = [/node_modules/, /\/src\//]
  const minShareCount = 5
  // What a module imports comes into the same file with it: what the screen uses is gathered first.
  return {
    groups: [
      { name: ofScreen('packages-first'), test: packages, minShareCount: 2, priority: 4 },
      { name: ofScreen('common-first'), test: ours, minShareCount: 2, priority: 3 },
      { name: 'packages', test: packages, minShareCount, priority: 2 },
      { name: 'common', test: ours, minShareCount, priority: 1 },
    ],
  }
}
