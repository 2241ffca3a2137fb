/** Hands a text or what was painted to the browser to be saved as a file. */
export function download(content: string | Blob, name: string, type: string): void {
  const address = URL.createObjectURL(new Blob([content], { type }))
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
  URL.revokeObjectURL(address)
}

/** A file name of a thing's own name: letters, figures and hyphens. */
export const fileName = (name: string, ending: string): string =>
  `${
    name
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'session'
  }.${ending}`
