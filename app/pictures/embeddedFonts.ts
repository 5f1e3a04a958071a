import boldUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff2?url'
import regularUrl from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff2?url'
import monoUrl from '@fontsource/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-400-normal.woff2?url'

const FACES = [
  { family: 'Atkinson Hyperlegible Next', weight: 400, url: regularUrl },
  { family: 'Atkinson Hyperlegible Next', weight: 700, url: boldUrl },
  { family: 'Atkinson Hyperlegible Mono', weight: 400, url: monoUrl },
] as const

let rules: Promise<string> | null = null

/** The product's faces as rules with the fonts inside: a picture looks the same wherever it is opened. */
export function embeddedFonts(): Promise<string> {
  rules ??= Promise.all(FACES.map(ruleOf)).then(all => all.join(''))
  rules.catch(() => (rules = null))
  return rules
}

async function ruleOf({ family, weight, url }: (typeof FACES)[number]): Promise<string> {
  const reply = await fetch(url)
  if (!reply.ok)
    throw new Error(
      'The fonts for the picture could not be read. Reload the page and try again; nothing is lost.',
    )
  const data = await dataUrl(await reply.blob())
  return `@font-face{font-family:'${family}';font-weight:${weight};src:url(${data}) format('woff2')}`
}

function dataUrl(blob: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(new Error('The fonts for the picture could not be read.'))
    reader.readAsDataURL(blob)
  })
}
