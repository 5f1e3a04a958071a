/** Countries of the European Union, by ISO 3166. */
const EUROPEAN_UNION: ReadonlySet<string> = new Set(
  'AT BE BG HR CY CZ DK EE FI FR DE GR HU IE IT LV LT LU MT NL PL PT RO SK SI ES SE'.split(' '),
)

const HOMES: Readonly<Record<string, string>> = { US: 'us', CA: 'ca', GB: 'uk' }

/** Where the language of a browser is mostly spoken, as one of the homes: a guess, to be seen and changed. */
export function homeByLanguage(language: string): string {
  try {
    const { region = '' } = new Intl.Locale(language).maximize()
    return HOMES[region] ?? (EUROPEAN_UNION.has(region) ? 'eu' : 'elsewhere')
  } catch {
    // No name of a language: nobody's home.
    return 'elsewhere'
  }
}
