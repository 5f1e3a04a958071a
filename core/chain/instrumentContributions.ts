import { printPlusMinus, wattsFromDbm } from '../quantity'
import { type Contribution, contribution, percentAsDb, powerShareContribution } from '../uncertainty'
import type { Instrument, PowerMeter, SpectrumAnalyser } from './types'

/**
 * What the instrument adds to a reading's uncertainty: its accuracy and the step of its display.
 * @param reading.atInstrumentDbm - level at the instrument's own connector.
 * @param reading.resolutionDb - weight of the last digit that was typed, dB.
 */
export function instrumentContributions(
  instrument: Instrument,
  reading: { atInstrumentDbm: number; resolutionDb: number },
): Contribution[] {
  const readingW = wattsFromDbm(reading.atInstrumentDbm)
  const displayDb =
    instrument.kind !== 'power-meter' || instrument.resolution === 0
      ? instrument.resolution
      : percentAsDb(100, { scaleW: instrument.resolution, readingW })
  const stepDb = Math.max(displayDb, reading.resolutionDb)
  return [
    ...accuracyOf(instrument, readingW),
    contribution({
      id: 'resolution',
      group: 'resolution',
      label: 'Last digit of the display',
      distribution: 'rectangular',
      halfWidth: stepDb / 2,
    }),
  ]
}

function accuracyOf(instrument: Instrument, readingW: number): Contribution[] {
  if (instrument.kind === 'spectrum-analyser') return analyserContributions(instrument)
  const { name: label, assumed } = instrument
  if (instrument.kind === 'power-meter')
    return [
      powerShareContribution({ id: `meter:${instrument.id}`, label, assumed }, instrument.accuracyPercent, {
        scaleW: instrument.accuracyOf === 'reading' ? readingW : instrument.fullScaleW,
        readingW,
      }),
    ]
  const halfWidth = levelAccuracyDb(instrument)
  return [
    contribution({
      id: `${instrument.kind === 'receiver' ? 'receiver' : 'instrument'}:${instrument.id}`,
      group: 'instrument',
      label,
      distribution: 'rectangular',
      halfWidth,
      assumed,
    }),
  ]
}

/** A share of a voltage is twice that of a power. */
function voltagePercentAsDb(percent: number): number {
  return 2 * percentAsDb(percent, { scaleW: 1, readingW: 1 })
}

/** How well an instrument that states it as one figure knows a level, ± dB. */
function levelAccuracyDb(instrument: Exclude<Instrument, PowerMeter | SpectrumAnalyser>): number {
  switch (instrument.kind) {
    case 'receiver':
      return instrument.ratioDb
    case 'signal-generator':
      return instrument.levelAccuracyDb
    case 'audio-meter':
      return instrument.sinadDb
    case 'ac-voltmeter':
      return voltagePercentAsDb(instrument.accuracyPercent)
    case 'antenna-analyser':
      return 0
  }
}

/** An analyser's accuracy as one line, or as two where it is known how much of it changes with frequency. */
function analyserContributions(analyser: SpectrumAnalyser): Contribution[] {
  const line = {
    group: 'instrument' as const,
    distribution: 'rectangular' as const,
    assumed: analyser.assumed,
  }
  const id = `analyser:${analyser.id}`
  if (analyser.flatnessDb === null)
    return [contribution({ ...line, id, label: analyser.name, halfWidth: analyser.amplitudeAccuracyDb })]
  const flat = Math.min(analyser.flatnessDb, analyser.amplitudeAccuracyDb)
  return [
    contribution({
      ...line,
      id: `${id}/level`,
      label: `${analyser.name}, level`,
      halfWidth: analyser.amplitudeAccuracyDb - flat,
      sharedKey: id,
    }),
    contribution({
      ...line,
      id: `${id}/flatness`,
      label: `${analyser.name}, over frequency`,
      halfWidth: flat,
    }),
  ]
}

const flatnessInWords = (flatnessDb: number | null): string =>
  flatnessDb === null ? '' : `, of which ${printPlusMinus(flatnessDb)} over frequency`

/** A frequency reference in words, to stand behind others: `, reference ±2 ppm`; nothing where it is not said. */
export const referenceInWords = (referencePpm: number | null): string =>
  referencePpm === null ? '' : `, reference ±${referencePpm} ppm`

/** The instrument's accuracy in words: `±5 % of full scale, 20 W` or `±2 dB`. */
export function accuracyInWords(instrument: Instrument): string {
  if (instrument.kind === 'spectrum-analyser')
    return printPlusMinus(instrument.amplitudeAccuracyDb) + flatnessInWords(instrument.flatnessDb)
  if (instrument.kind === 'signal-generator')
    return `${printPlusMinus(instrument.levelAccuracyDb)} of its level`
  if (instrument.kind === 'audio-meter') return `${printPlusMinus(instrument.sinadDb)} in SINAD`
  if (instrument.kind === 'ac-voltmeter') return `±${instrument.accuracyPercent} % of reading`
  if (instrument.kind === 'antenna-analyser') return `${instrument.directivityDb} dB of directivity`
  if (instrument.kind === 'receiver')
    return (
      `±${instrument.deviationPercent} % of deviation, ${printPlusMinus(instrument.ratioDb)} in ratios` +
      referenceInWords(instrument.referencePpm)
    )
  return instrument.accuracyOf === 'reading'
    ? `±${instrument.accuracyPercent} % of reading`
    : `±${instrument.accuracyPercent} % of full scale (${instrument.fullScaleW} W)`
}
