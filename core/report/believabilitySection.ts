import { calibrationLoss, judgePadTest } from '../chain'
import { comparisons } from '../findings'
import { printDb, printFrequencyShort, printMhz, printPlusMinus } from '../quantity'
import { setName } from '../review'
import type { Context } from '../context'
import { evaluateControlCheck } from '../judging'
import type { ReportBlock, ReportSection } from '../document'

/** Why the bench may be believed: calibrations, pad tests, the control radio, and other testers' figures. */
export function believabilitySection(context: Context): ReportSection {
  const { calibrations, calibrationSwaps, padTests, controlChecks, settings } = context.review
  const chainName = (id: string) =>
    context.review.chains.find(chain => chain.id === id)?.name ?? 'a chain that is gone'
  const floorOf = (chainId: string) => {
    const instrument = context.instrument(context.chain(chainId)?.instrumentId ?? '')
    return instrument?.kind === 'spectrum-analyser' ? instrument.floorDbm : -Infinity
  }
  const list = (lead: string, items: string[]): ReportBlock[] =>
    items.length > 0 ? [{ kind: 'list', items: [lead, ...items] }] : []
  const blocks = [
    ...list(
      `Paths measured on this bench (out of date after ${settings.calibrationMaxAgeDays} days):`,
      calibrations.map(one => {
        const points = calibrationLoss(one)
        return `${one.partName}, ${one.at.slice(0, 10)}${one.withWhat ? `, ${one.withWhat}` : ''}: ${points.map(point => `${printDb(point.lossDb, 2)} at ${printFrequencyShort(point.frequencyHz)}`).join(', ')}, known to ${printPlusMinus(one.expandedDb)} (k = 2).`
      }),
    ),
    ...list(
      'Readings judged by a calibration made after them, because the reviewer asked:',
      calibrationSwaps.map(
        ({ at, partId, toId }) =>
          `${calibrations.find(({ id }) => id === toId)?.partName ?? partId}, asked on ${at.slice(0, 10)}.`,
      ),
    ),
    ...list(
      'Pad tests:',
      padTests.map(
        test =>
          `${chainName(test.chainId)}, ×${test.harmonic} at ${printMhz(test.frequencyHz)}, ${test.at.slice(0, 16).replace('T', ' ')} UTC: ${judgePadTest(test, floorOf(test.chainId)).words}`,
      ),
    ),
    ...list(
      'Control radio:',
      controlChecks.map(check => {
        const radio = context.review.sets.find(({ id }) => id === check.setId)
        return `${radio ? setName(radio) : 'a set that is gone'} through ${chainName(check.chainId)} on ${printMhz(check.frequencyHz)}, ${check.at.slice(0, 16).replace('T', ' ')} UTC: ${evaluateControlCheck(check, context).words} Known from: ${check.knownFrom || 'not said'}.`
      }),
    ),
    ...list(
      'Other testers:',
      comparisons(context).map(
        ({ figure, set, step, slot, words }) =>
          `${figure.who || 'another tester'}, ${setName(set)}, ${slot.slot.label} of ${printMhz(step.channel.frequencyHz)}, ${step.setting.level.name}: ${words}`,
      ),
    ),
  ]
  return {
    id: 'believability',
    title: 'Why this bench may be believed',
    blocks:
      blocks.length > 0
        ? blocks
        : [
            {
              kind: 'paragraph',
              text: 'No path was measured, no pad test made, no control radio read, and nobody else’s figures are compared. The ranges rest on data sheets and assumptions as listed.',
            },
          ],
  }
}
