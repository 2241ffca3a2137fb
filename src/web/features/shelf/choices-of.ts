/** The answers of a choice in their order, with their words. */
export const choicesOf = <T extends string>(values: readonly T[], names: Readonly<Record<T, string>>) =>
  values.map((value) => ({ value, words: names[value] }))
