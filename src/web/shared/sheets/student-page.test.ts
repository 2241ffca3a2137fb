import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog as catalog } from '#library/shipped'
import { homeParts } from '#formats/sheets/home-parts'
import { demoSessions, thursdaySlowHour } from '#server/demo/sessions'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { studentPageOf } from './student-page.ts'

const made = async (session: Session): Promise<string> =>
  (await studentPageOf(session, catalog, catalog.propKinds)) ?? ''

test('the page is one file under 400 kB that asks for nothing, with a policy that lets only itself run', async () => {
  const longest = aSession(
    [...catalog.poses.keys()]
      .slice(0, 40)
      .map((poseId, at) => aHold(poseId, { id: `b${String(at)}`, hold: { holdS: 45 } })),
    { lengthS: 14_400 },
  )
  for (const session of [...demoSessions, longest]) {
    const html = await made(session)
    expect(new TextEncoder().encode(html).length).toBeLessThan(400_000)
    expect(html).toMatch(
      /default-src 'none'; style-src 'sha256-[^']+'; script-src 'sha256-[^']+'; base-uri 'none'; form-action 'none'/,
    )
    expect(html).not.toMatch(/https?:\/\/(?!www\.w3\.org\/2000\/svg)|src=|href=|url\(|@import|<img|<link|style="/)
  }
})

test('it has each part with its time, as at home, when to stop, and what the class tells in its order', async () => {
  const html = await made(thursdaySlowHour)
  const { parts, timeline } = homeParts(thursdaySlowHour, catalog)
  for (const { name, howLong } of parts) expect(html).toContain(`<h2>${name}</h2><p class="long">${howLong}</p>`)
  expect(html).toContain('Stop if')
  const data = JSON.parse(/\)\((\{"totalMs".*\})\)<\/script>/.exec(html)?.[1] ?? '{}') as {
    totalMs: number
    parts: { startMs: number; endMs: number }[]
    bells: { atMs: number }[]
  }
  expect(data.totalMs).toBe(timeline?.totalMs)
  expect([data.parts[0]?.startMs, data.parts.at(-1)?.endMs]).toEqual([0, data.totalMs])
  data.parts.slice(1).forEach((part, at) => {
    expect(part.startMs).toBe(data.parts[at]?.endMs)
  })
  const bells = timeline?.cues.filter(({ sound }) => sound).map(({ atMs }) => atMs) ?? []
  expect(data.bells.map(({ atMs }) => atMs)).toEqual(expect.arrayContaining(bells))
})

test('a part that is called as its block is says its name once, and one without a figure keeps no room for it', async () => {
  const html = await made(aSession([aBreath('even-breath'), aHold('deer')]))
  expect(html).toMatch(/"name":"Even breath","title":"4\u202f:\u202f4[^"]*"/)
  expect(html).toMatch(/<li data-block="0"><div><h2>Even breath/)
  expect(html).toMatch(/<li data-block="1" class="drawn"><div aria-hidden="true"><svg/)
})

test('no strong or held breath, no talk, and nothing typed can break out of it', async () => {
  const session = aSession(
    [
      { ...aTalk(), title: 'Private words' },
      aBreath('short-exhales', { id: 'strong' }),
      aHold('deer', { setUpWords: ['</script><script>alert(1)</script> & "quotes"'] }),
      aClosing(),
    ],
    { name: '<img src=x onerror=alert(1)>', theme: '</style><b>' },
  )
  orThrow(compileTimeline(session, catalog))
  const html = await made(session)
  expect(html).not.toMatch(/Private words|Short exhales|<img|<b>/)
  expect(html.match(/<script>/g)).toHaveLength(1)
  expect(html.match(/<\/script>/g)).toHaveLength(1)
  expect(html).toContain('&lt;/script&gt;')
})

test('of a session of talk alone there is no page', async () => {
  expect(await studentPageOf(aSession([aTalk()]), catalog, catalog.propKinds)).toBeUndefined()
})
