import { stopCard } from '#words/advice'
import { runPage } from './run-page.ts'
import type { RunData } from './run-page.ts'

/** A part of the class as a student reads it; its figure as an SVG element. */
export interface PagePart {
  readonly name: string
  readonly howLong: string
  readonly picture?: string
  readonly use: readonly string[]
  readonly into: readonly string[]
  readonly out: readonly string[]
}

export interface StudentPage {
  readonly name: string
  readonly about: string
  /** How long it is, in words. */
  readonly length: string
  readonly parts: readonly PagePart[]
  readonly run: RunData
}

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;')
/** As data in a script: nothing in it can end the script. */
const asData = (value: unknown): string =>
  JSON.stringify(value).replaceAll('<', '\\u003c').replaceAll('\u2028', '\\u2028').replaceAll('\u2029', '\\u2029')

const style = `
:root { color-scheme: light dark; font: 17px/1.45 system-ui, sans-serif; }
body { max-width: 640px; margin: 0 auto; padding: 0 16px 40px; }
h1 { font-size: 27px; line-height: 1.2; margin: 20px 0 2px; overflow-wrap: anywhere; }
h2 { font-size: 20px; margin: 0; overflow-wrap: anywhere; }
p { margin: 3px 0; }
.stop { border: 2px solid; border-radius: 8px; padding: 8px 14px; margin: 14px 0; }
.stop ul { margin: 4px 0; padding-left: 20px; }
.bar { position: sticky; top: 0; padding: 10px 0; background: Canvas; border-bottom: 1px solid; }
button { font: inherit; font-size: 20px; font-weight: 650; width: 100%; min-height: 54px; border-radius: 10px; border: 2px solid; background: ButtonFace; color: ButtonText; }
button:focus-visible { outline: 4px solid; outline-offset: 2px; }
#clock { font-size: 72px; line-height: 1; font-weight: 650; font-variant-numeric: tabular-nums; margin: 8px 0 2px; }
#now { font-size: 19px; font-weight: 650; }
ol { list-style: none; padding: 0; }
ol > li { padding: 14px 8px; border-bottom: 1px solid #8888; }
ol > li.drawn { display: grid; grid-template-columns: 96px minmax(0, 1fr); gap: 0 14px; }
ol > li svg { width: 96px; height: auto; background: #f4f4f0; border-radius: 6px; }
ol > li.is-now { outline: 3px solid; border-radius: 8px; }
.long { font-weight: 650; }
`

/** A sum of a text as a content policy names it. */
async function sumOf(text: string): Promise<string> {
  const bytes = new Uint8Array(await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text)))
  return `'sha256-${btoa(String.fromCharCode(...bytes))}'`
}

/**
 * A class as one page of HTML for its students: it needs nothing else, asks for nothing and lets nothing be asked for; its own
 * style and script are the only ones its policy lets run.
 */
export async function studentPage(page: StudentPage): Promise<string> {
  const script = `(${runPage.toString()})(${asData(page.run)})`
  const policy = `default-src 'none'; style-src ${await sumOf(style)}; script-src ${await sumOf(script)}; base-uri 'none'; form-action 'none'`
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="${policy}">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="referrer" content="no-referrer">
<title>${escaped(page.name)}</title>
<style>${style}</style>
</head>
<body>
<h1>${escaped(page.name)}</h1>
<p>${escaped(page.about === '' ? page.length : `${page.length} · ${page.about}`)}</p>
<section class="stop" aria-labelledby="stop"><h2 id="stop">Stop if</h2><ul>${stopCard.signs.map((sign) => `<li>${escaped(sign)}</li>`).join('')}</ul><p>Breathe as you like. ${escaped(stopCard.comingOut)}</p></section>
<div class="bar"><button id="start" type="button">Start, with bells</button><div id="running" hidden><p id="clock" role="timer">0:00</p><p id="now" role="status"></p><p id="next"></p></div></div>
<ol>
${page.parts.map(partHtml).join('\n')}
</ol>
<p>This page is no medical advice: your own doctor, midwife or licensed therapist decides. In an emergency, call your local emergency number.</p>
<script>${script}</script>
</body>
</html>
`
}

function partHtml({ name, howLong, picture, use, into, out }: PagePart, at: number): string {
  const line = (text: string): string => `<p>${escaped(text)}</p>`
  const figure = picture === undefined ? '' : `<div aria-hidden="true">${picture}</div>`
  return `<li data-block="${String(at)}"${picture === undefined ? '' : ' class="drawn"'}>${figure}<div><h2>${escaped(name)}</h2><p class="long">${escaped(howLong)}</p>${
    use.length === 0 ? '' : line(`Use: ${use.join('; ')}`)
  }${into.map(line).join('')}${out.length === 0 ? '' : line(`To come out: ${out.join('; ')}`)}</div></li>`
}
