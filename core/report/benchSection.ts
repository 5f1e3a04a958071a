import {
  accuracyInWords,
  ASSUMED_RADIO_VSWR,
  type Chain,
  coaxLossDb,
  type Instrument,
  type Part,
  phaseNoiseAt,
  referenceInWords,
  type SignalGenerator,
} from '../chain'
import {
  printClaimW,
  printDb,
  printDbm,
  printFrequencyShort,
  printNumber,
  printPlusMinus,
  printSigned,
} from '../quantity'
import type { Context } from '../context'
import type { ReportBlock, ReportSection } from '../document'

/** Instruments and chains, part by part, with what was assumed. */
export function benchSection(context: Context): ReportSection {
  const { instruments, chains } = context.review
  const blocks: ReportBlock[] = [
    {
      kind: 'table',
      caption: 'Instruments',
      widths: [26, 22, 24, 28],
      head: [{ text: 'Instrument' }, { text: 'Range' }, { text: 'Accuracy' }, { text: 'Window' }],
      rows: instruments.map(instrument => [
        { kind: 'text', text: [instrument.name, instrument.note].filter(Boolean).join(', ') },
        {
          kind: 'text',
          text: `${printFrequencyShort(instrument.fromHz)} to ${printFrequencyShort(instrument.toHz)}`,
        },
        { kind: 'text', text: `${accuracyInWords(instrument)}${instrument.assumed ? ' (assumed)' : ''}` },
        { kind: 'text', text: windowInWords(instrument) },
      ]),
    },
    ...chains.map((chain): ReportBlock => chainTable(chain, context.instrument(chain.instrumentId))),
    {
      kind: 'paragraph',
      quiet: true,
      text:
        'Mismatch is counted between every two facing ports. ' +
        `The radio’s output VSWR is assumed to be ${ASSUMED_RADIO_VSWR}.`,
    },
  ]
  return {
    id: 'bench',
    title: 'Bench',
    blocks:
      instruments.length + chains.length > 0
        ? blocks
        : [{ kind: 'paragraph', text: 'No bench is recorded.' }],
  }
}

function windowInWords(instrument: Instrument): string {
  const reference = referenceInWords(instrument.referencePpm)
  switch (instrument.kind) {
    case 'receiver':
      return `damage ${printDbm(instrument.damageDbm, 0)}, overload ${printDbm(instrument.overloadDbm, 0)}${reference}`
    case 'spectrum-analyser':
      return (
        `damage ${printDbm(instrument.damageDbm, 0)}, overload ${printDbm(instrument.overloadDbm, 0)}, ` +
        `floor ${printDbm(instrument.floorDbm, 0)} in ${printFrequencyShort(instrument.resolutionBandwidthHz)}`
      )
    case 'power-meter':
      return (
        `${printClaimW(instrument.fullScaleW)} full scale, bears ${printClaimW(instrument.maxInputW)}, ` +
        (instrument.inLine ? 'in line' : 'terminating')
      )
    case 'signal-generator':
      return `${generatorInWords(instrument)}${reference}`
    case 'audio-meter':
      return instrument.fullScaleV === null
        ? 'not calibrated in volts'
        : `${instrument.fullScaleV} V at full scale`
    case 'ac-voltmeter':
      return `${instrument.fullScaleV} V full scale`
    case 'antenna-analyser':
      return `${instrument.directivityDb} dB of directivity`
  }
}

function generatorInWords(generator: SignalGenerator): string {
  const { dbcPerHz, assumed } = phaseNoiseAt(generator, 20e3)
  return [
    `${printDbm(generator.lowestDbm, 0)} to ${printDbm(generator.highestDbm, 0)}`,
    `voltages in ${generator.voltageIs}`,
    `phase noise ${printNumber(dbcPerHz, 0)} dBc/Hz at 20 kHz${assumed ? ' (assumed)' : ''}`,
    generator.reverseW === null ? 'reverse power not stated' : `survives ${printClaimW(generator.reverseW)}`,
  ].join(', ')
}

function chainTable(chain: Chain, instrument: Instrument | undefined): ReportBlock {
  const offset = printSigned(chain.offsetOnInstrumentDb, 2)
  return {
    kind: 'table',
    caption:
      `Chain “${chain.name}” into ${instrument?.name ?? 'no instrument'}, revision ${chain.revision}` +
      (chain.offsetOnInstrumentDb === 0 ? '' : `, offset on the instrument ${offset} dB`),
    widths: [30, 34, 16, 10, 10],
    head: [
      { text: 'Part' },
      { text: 'Loss' },
      { text: 'Known to', align: 'right' },
      { text: 'Rating', align: 'right' },
      { text: 'VSWR', align: 'right' },
    ],
    rows: chain.parts.map(part => [
      { kind: 'text', text: [part.name, part.note].filter(Boolean).join(', ') },
      { kind: 'text', text: lossInWords(part) },
      {
        kind: 'text',
        align: 'right',
        text: `${printPlusMinus(part.lossUncertainty.halfWidthDb)}${part.lossUncertainty.assumed ? ' (assumed)' : ''}`,
      },
      { kind: 'text', align: 'right', text: part.ratingW === null ? '–' : printClaimW(part.ratingW) },
      { kind: 'text', align: 'right', text: printNumber(part.vswr, 2) },
    ]),
  }
}

function lossInWords(part: Part): string {
  if (part.loss.kind === 'coax')
    return `${printNumber(part.loss.lengthM, 2)} m of cable, ${printDb(coaxLossDb(part.loss, 100e6), 2)} at 100 MHz`
  return part.loss.kind === 'figure'
    ? printDb(part.loss.lossDb, 2)
    : part.loss.points
        .map(point => `${printDb(point.lossDb, 2)} at ${printFrequencyShort(point.frequencyHz)}`)
        .join(', ')
}
