import { type Calibration, calibrationLoss, judgePadTest } from '../chain'
import { type Comparison, comparisons } from '../findings'
import { printDb, printFrequencyShort, printMhz, printPlusMinus } from '../quantity'
import { placeWords } from '../step'
import { setName } from '../review'
import type { Context } from '../context'
import { evaluateControlCheck } from '../judging'
import type { ReportBlock, ReportSection } from '../document'

/** Why the bench may be believed: calibrations, pad tests, the control radio, and other testers' figures. */
export function believabilitySection(context: Context): ReportSection {
  const { calibrationMaxAgeDays } = context.review.settings
  const blocks = [
    ...list(
      `Paths measured on this bench (out of date after ${calibrationMaxAgeDays} days):`,
      context.review.calibrations.map(calibrationWords),
    ),
    ...list(
      'Readings judged by a calibration made after them, because the reviewer asked:',
      swapWords(context),
    ),
    ...list('Pad tests:', padTestWords(context)),
    ...list('Control radio:', controlWords(context)),
    ...list('Other testers:', comparisons(context).map(comparisonWords)),
  ]
  return {
    id: 'believability',
    title: 'Why this bench may be believed',
    blocks: blocks.length > 0 ? blocks : [{ kind: 'paragraph', text: NOTHING_WORDS }],
  }
}

const NOTHING_WORDS =
  'No path was measured, no pad test made, no control radio read, ' +
  'and nobody else’s figures are compared. The ranges rest on data sheets and assumptions as listed.'

function list(lead: string, items: string[]): ReportBlock[] {
  return items.length > 0 ? [{ kind: 'list', items: [lead, ...items] }] : []
}

/** A moment to the minute, UTC. */
const minute = (at: string) => `${at.slice(0, 16).replace('T', ' ')} UTC`

function chainName(context: Context, id: string): string {
  return context.review.chains.find(chain => chain.id === id)?.name ?? 'a chain that is gone'
}

function calibrationWords(calibration: Calibration): string {
  const { partName, at, withWhat, expandedDb } = calibration
  const points = calibrationLoss(calibration).map(
    ({ lossDb, frequencyHz }) => `${printDb(lossDb, 2)} at ${printFrequencyShort(frequencyHz)}`,
  )
  const head = [partName, at.slice(0, 10), withWhat].filter(Boolean).join(', ')
  return `${head}: ${points.join(', ')}, known to ${printPlusMinus(expandedDb)} (k = 2).`
}

function swapWords({ review: { calibrationSwaps, calibrations } }: Context): string[] {
  return calibrationSwaps.map(({ at, partId, toId }) => {
    const name = calibrations.find(({ id }) => id === toId)?.partName ?? partId
    return `${name}, asked on ${at.slice(0, 10)}.`
  })
}

function padTestWords(context: Context): string[] {
  return context.review.padTests.map(test => {
    const instrument = context.instrument(context.chain(test.chainId)?.instrumentId ?? '')
    const floorDbm = instrument?.kind === 'spectrum-analyser' ? instrument.floorDbm : -Infinity
    const place = `${chainName(context, test.chainId)}, ×${test.harmonic} at ${printMhz(test.frequencyHz)}`
    return `${place}, ${minute(test.at)}: ${judgePadTest(test, floorDbm).words}`
  })
}

function controlWords(context: Context): string[] {
  return context.review.controlChecks.map(check => {
    const radio = context.review.sets.find(({ id }) => id === check.setId)
    const name = radio ? setName(radio) : 'a set that is gone'
    const place = `${name} through ${chainName(context, check.chainId)} on ${printMhz(check.frequencyHz)}`
    const { words } = evaluateControlCheck(check, context)
    return `${place}, ${minute(check.at)}: ${words} Known from: ${check.knownFrom || 'not said'}.`
  })
}

function comparisonWords({ figure, set, step, slot, words }: Comparison): string {
  const place = `${slot.slot.label} of ${placeWords(step)}`
  return `${figure.who || 'another tester'}, ${setName(set)}, ${place}: ${words}`
}
