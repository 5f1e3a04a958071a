import { printDb } from '#core/quantity'
import type { AnalysedRecording } from './analyseRecording'

/** What was found in a recording, as lines for a person. */
export function printAnalysis(recording: AnalysedRecording): string {
  const { name, as, understood, warnings, facts, sinad } = recording
  return [
    `${name}, taken as ${as === 'iq' ? 'I and Q' : 'audio'}`,
    ...[...understood, ...warnings, ...facts].map(line => `  ${line}`),
    ...(sinad ? sinadLines(sinad) : []),
  ].join('\n')
}

function sinadLines({ weighting, stretches }: NonNullable<AnalysedRecording['sinad']>): string[] {
  return [`  SINAD, ${weighting}:`, ...stretches.flatMap(stretchLines)]
}

type Stretch = NonNullable<AnalysedRecording['sinad']>['stretches'][number]

function stretchLines({ fromS, toS, mean, blocks }: Stretch): string[] {
  const figure = mean
    ? `${printDb(mean.sinadDb)} ±${(2 * mean.standardUncertaintyDb).toFixed(1)}, tone ${mean.toneHz.toFixed(1)} Hz`
    : 'no figure'
  const doubts = new Set(blocks.flatMap(block => block.doubts.map(({ words }) => words)))
  return [
    `    ${fromS.toFixed(1)} to ${toS.toFixed(1)} s: ${figure}`,
    ...[...doubts].map(words => `      ${words}`),
  ]
}
