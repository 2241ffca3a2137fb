import type { TalkBlock } from '#model/block'
import type { Edit } from '#core/session'
import type { Seconds } from '#core/units'

/** The first talk says what is fetched and has the time for it; where there is none, one comes to the front. */
export function sayFetching(
  talk: TalkBlock | undefined,
  { lines, s, newId }: { readonly lines: readonly string[]; readonly s: Seconds; readonly newId: () => string },
): Edit {
  const sentence = `Fetch ${lines.join('; ')}.`
  const least = Math.ceil(s / 5) * 5
  if (!talk) {
    const block: TalkBlock = { kind: 'talk', id: newId(), title: 'Fetching', text: sentence, s: Math.max(30, least) }
    return { type: 'insert', at: 0, block }
  }
  const said = talk.script
    ? { script: { ...talk.script, sentences: [...talk.script.sentences, { text: sentence }] } }
    : { text: [talk.text ?? '', sentence].filter((part) => part !== '').join(' ') }
  return { type: 'replace', block: { ...talk, ...said, s: Math.max(talk.s, least) } }
}
