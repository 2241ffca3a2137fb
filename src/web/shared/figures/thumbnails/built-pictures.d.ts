declare module 'virtual:shelf-pictures' {
  import type { Drawing } from '../picture.ts'
  /** What `drawShelf` drew when the pages were built; empty while they are worked on. */
  export const shelfPictures: Readonly<Record<string, Drawing>>
}
