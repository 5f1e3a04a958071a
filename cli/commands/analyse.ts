import { basename } from 'node:path'
import { parseArgs } from 'node:util'
import { openRecordings } from '#core/format'
import { AUDIO_FILTERS, SINAD_DEFAULTS } from '#core/signal'
import { type AnalyseOptions, analyseRecording } from '../analyseRecording'
import {
  type AnalysedTable,
  analyseTable,
  isTableName,
  TABLE_KINDS,
  type TableOptions,
} from '../analyseTable'
import type { Command } from '../command'
import { fileSource } from '../fileSource'
import { printAnalysis } from '../printAnalysis'
import { UsageError } from '../usageError'

const USAGE = `rigorous-meter analyse FILE [FILE …] [options]

Prints what the application finds in recordings (WAV, SigMF as two files or an archive) and in tables: traces, logs of
power, logs of a discharge (CSV), sweeps of an antenna (Touchstone).

  --json               figures as JSON
  --as iq|audio        how two channels are taken; by default as the file says
  --channel N          which channel, or pair of I and Q, from 0
  --filter NAME        ${AUDIO_FILTERS.join(', ')}; voice by default
  --deemphasis US      time constant of a de-emphasis, µs; none by default
  --tone HZ            tone that was sent, 1000 by default
  --spacing HZ         channel spacing: gives occupied bandwidth and neighbours
  --kind NAME          of a table: ${TABLE_KINDS.join(', ')}; Touchstone files say it themselves
  --carrier HZ         of a trace: the strongest point by default
  --load A             of a discharge without a column of amperes
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
        kind: { type: 'string' },
        carrier: { type: 'string' },
        load: { type: 'string' },
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

function tableOptionsOf({ kind, carrier, load }: Values): TableOptions {
  const known = TABLE_KINDS.find(one => one === kind)
  if (kind !== undefined && !known) throw new UsageError(`--kind takes ${TABLE_KINDS.join(', ')}.`)
  return {
    kind: known ?? null,
    carrierHz: numberOf('--carrier', carrier, { from: 1e3, to: 1e11 }),
    loadA: numberOf('--load', load, { from: 0.001, to: 100 }),
  }
}

function printTable({ name, kind, understood, lines }: AnalysedTable): string {
  return [`${name}, taken as ${kind}`, ...[...understood, ...lines].map(line => `  ${line}`)].join('\n')
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
    const tables = values.kind === undefined ? positionals.filter(isTableName) : positionals
    const others = positionals.filter(path => !tables.includes(path))
    const recordings = await openRecordings(await Promise.all(others.map(fileSource)))
    if (recordings.length === 0 && tables.length === 0)
      throw new UsageError(
        'None of these files is a recording. Known: WAV, and SigMF as two files or an archive; CSV and Touchstone.',
      )
    const tabled = []
    for (const path of tables) {
      progress(`Reading ${basename(path)}`)
      tabled.push(await analyseTable(path, tableOptionsOf(values)))
    }
    const found = []
    for (const [i, recording] of recordings.entries()) {
      progress(`Reading ${recording.name}, ${i + 1} of ${recordings.length}`)
      found.push(await analyseRecording(recording, options))
    }
    const text = values.json
      ? JSON.stringify([...tabled, ...found], null, 2)
      : [...tabled.map(printTable), ...found.map(printAnalysis)].join('\n\n')
    return { text, code: 0 }
  },
}
