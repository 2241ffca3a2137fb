/** What stands in the field that an event comes from; nothing where it comes from no text field. */
export function textOf({ target }: Event): string {
  return target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement ? target.value : ''
}
