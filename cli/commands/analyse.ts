import { parseArgs } from 'node:util'
import { openRecordings } from '#core/format'
import { AUDIO_FILTERS, SINAD_DEFAULTS } from '#core/signal'
import { type AnalyseOptions, analyseRecording } from '../analyseRecording'
import type { Command } from '../command'
import { fileSource } from '../fileSource'
import { printAnalysis } from '../printAnalysis'
import { UsageError } from '../usageError'

const USAGE = `rigorous-meter analyse FILE [FILE …] [options]

Prints what the application finds in recordings: WAV, SigMF as two files or an archive.

  --json               figures as JSON
  --as iq|audio        how two channels are taken; by default as the file says
  --channel N          which channel, or pair of I and Q, from 0
  --filter NAME        ${AUDIO_FILTERS.join(', ')}; voice by default
  --deemphasis US      time constant of a de-emphasis, µs; none by default
  --tone HZ            tone that was sent, 1000 by default
  --spacing HZ         channel spacing: gives occupied bandwidth and neighbours
`

function read(argv: readonly string[]) {
  try {
    return parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        json: { type: 'boolean', default: false },
        as: { type: 'string' },
        channel: { type: 'string', default: '0' },
        filter: { type: 'string', default: SINAD_DEFAULTS.weighting.filter },
        deemphasis: { type: 'string' },
        tone: { type: 'string', default: String(SINAD_DEFAULTS.toneHz) },
        spacing: { type: 'string' },
      },
    })
  } catch (error) {
    throw new UsageError(error instanceof Error ? error.message : String(error))
  }
}

type Values = ReturnType<typeof read>['values']

function optionsOf({ as, channel, filter, deemphasis, tone, spacing }: Values): AnalyseOptions {
  if (as !== undefined && as !== 'iq' && as !== 'audio') throw new UsageError('--as takes iq or audio.')
  const known = AUDIO_FILTERS.find(one => one === filter)
  if (!known) throw new UsageError(`--filter takes ${AUDIO_FILTERS.join(', ')}.`)
  const deEmphasisUs = numberOf('--deemphasis', deemphasis, { from: 1, to: 5000 })
  const number = numberOf('--channel', channel, { from: 0, to: 63 }) ?? 0
  if (!Number.isInteger(number)) throw new UsageError(`--channel takes a whole number, got “${channel}”.`)
  return {
    as: as ?? null,
    channel: number,
    channelSpacingHz: numberOf('--spacing', spacing, { from: 1000, to: 1e6 }),
    sinad: {
      weighting: { filter: known, deEmphasisS: deEmphasisUs && deEmphasisUs / 1e6 },
      toneHz: numberOf('--tone', tone, { from: 200, to: 4000 }) ?? SINAD_DEFAULTS.toneHz,
    },
  }
}

function numberOf(
  name: string,
  text: string | undefined,
  { from, to }: { from: number; to: number },
): number | null {
  if (text === undefined) return null
  const value = Number(text)
  if (text.trim() !== '' && value >= from && value <= to) return value
  throw new UsageError(`${name} takes a number from ${from} to ${to}, got “${text}”.`)
}

/** What the application finds in recordings. */
export const analyseCommand: Command = {
  name: 'analyse',
  usage: USAGE,
  run: async (argv, progress) => {
    const { values, positionals } = read(argv)
    if (positionals.length === 0) throw new UsageError(`Which file?\n\n${USAGE}`)
    const options = optionsOf(values)
    const recordings = await openRecordings(await Promise.all(positionals.map(fileSource)))
    if (recordings.length === 0)
      throw new UsageError(
        'None of these files is a recording. Known: WAV, and SigMF as two files or an archive.',
      )
    const found = []
    for (const [i, recording] of recordings.entries()) {
      progress(`Reading ${recording.name}, ${i + 1} of ${recordings.length}`)
      found.push(await analyseRecording(recording, options))
    }
    const text = values.json ? JSON.stringify(found, null, 2) : found.map(printAnalysis).join('\n\n')
    return { text, code: 0 }
  },
}
