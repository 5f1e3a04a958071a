import type { Context } from '../../../context'
import { figureIn, type OwnContribution, workedOutFigure } from '../../../judging'
import { printAmperes, printNumber, printWatts, UNIT_SPACE, wattsFromDbm } from '../../../quantity'
import type { FigureReading } from '../../../review'
import { type Found, type FoundLevel, isCorrected, isLevel, type Step } from '../../../step'
import { CARRIER_SLOT, planCarrierPower } from '../../transmit/carrier-power/plan'
import { correctCarrier } from '../../transmit/correctCarrier'
import { ammeterLine } from './life'
import { ammeterOf } from './memo'

/** What share of the supply’s power leaves the socket. */
export interface Efficiency {
  found: Found
  reading: FigureReading
  words: string
}

/** P/(V·I) at the step’s level, where the carrier was read at it too; null where something is missing. */
export function efficiencyOf(step: Step, context: Context): Efficiency | null {
  const volts = figureIn(step, { id: 'supply-v' }, context)
  const amperes = figureIn(step, { id: `transmit-${step.setting.level.id}` }, context)
  const carrier = volts && amperes ? carrierRead(step, context) : null
  if (!volts || !amperes || !carrier) return null
  const powerW = wattsFromDbm(carrier.found.value)
  const drawnW = volts.seen.value * amperes.seen.value
  const percent = (100 * powerW) / drawnW
  const own: OwnContribution[] = [
    ammeterLine(percent, ammeterOf(context)),
    {
      id: 'power',
      group: 'instrument',
      label: 'Power of the carrier',
      distribution: 'normal',
      halfWidth: percent * (10 ** (carrier.found.budget.range / 10) - 1),
    },
    digitLine('volts', percent, volts),
    digitLine('amperes', percent, amperes),
  ]
  return {
    found: workedOutFigure({ value: percent, unit: '%', own }, context),
    reading: amperes,
    words:
      `${printWatts(powerW)} at ${carrier.where}, ` +
      `of ${printNumber(volts.seen.value, 2)}${UNIT_SPACE}V × ${printAmperes(amperes.seen.value)} = ` +
      `${printWatts(drawnW)}.`,
  }
}

function digitLine(id: string, percent: number, { seen }: FigureReading): OwnContribution {
  return {
    id: `digit:${id}`,
    group: 'resolution',
    label: `Last digit of the ${id}`,
    distribution: 'rectangular',
    halfWidth: (percent * seen.resolution) / 2 / Math.max(seen.value, 1e-9),
  }
}

/** The carrier of the step’s channel and level, else of any channel at that level. */
function carrierRead(
  { set, channel, setting }: Step,
  context: Context,
): { found: FoundLevel; where: string } | null {
  const steps = planCarrierPower(set, context).filter(other => other.setting.level.id === setting.level.id)
  const inOrder = [...steps].sort((a, b) => Number(b.channel === channel) - Number(a.channel === channel))
  for (const step of inOrder) {
    const reading = context.readingsOf(step).get(CARRIER_SLOT)
    const found = reading && isLevel(reading) ? correctCarrier(reading, step, context) : null
    if (found && isCorrected(found))
      return { found, where: `${printNumber(step.channel.frequencyHz / 1e6, 3)}${UNIT_SPACE}MHz` }
  }
  return null
}
