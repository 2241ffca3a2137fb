/** Lower case without diacritics, so that "sama vrtti" finds "sama vṛtti". */
export const foldMarks = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
