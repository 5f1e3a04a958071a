import type { ReportBlock } from '../../document'
import type { Reading } from '../../review'
import type { StepResult } from '../../step'

/** When, with which supply, how warm, by whom and from which files steps were read, as one quiet line. */
export function conditions(results: readonly StepResult[]): ReportBlock {
  const readings = results.flatMap(({ slots }) => slots.flatMap(({ reading }) => reading ?? []))
  const minutes = different(readings.map(({ at }) => at.slice(0, 16).replace('T', ' '))).sort()
  const files = different(readings.map(sourceWords)).join(', ')
  const words = [
    `Read ${minutes.length > 1 ? `${minutes[0]} to ${minutes.at(-1)}` : (minutes[0] ?? '–')} UTC`,
    different(readings.map(({ supply }) => supply || 'supply not recorded')).join(', '),
    different(readings.map(({ ambientC }) => (ambientC === null ? null : `${ambientC} °C`))).join(', '),
    different(readings.map(({ who }) => (who ? `by ${who}` : null))).join(', '),
    files && `from ${files}`,
  ]
  return { kind: 'paragraph', quiet: true, text: `${words.filter(Boolean).join('; ')}.` }
}

function sourceWords({ source }: Reading): string | null {
  switch (source.kind) {
    case 'file':
      return `trace ${source.fileName}${hashWords(source.sha256) || ' (made for the demo)'}`
    case 'recording':
      return `${source.fileName}${hashWords(source.sha256)}`
    case 'link':
      return source.instrument
    default:
      return null
  }
}

function hashWords(sha256: string): string {
  return sha256 ? ` (SHA-256 ${sha256.slice(0, 12)}…)` : ''
}

function different(words: readonly (string | null)[]): string[] {
  return [...new Set(words.filter((one): one is string => !!one))]
}
