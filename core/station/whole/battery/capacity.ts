import type { Context } from '../../../context'
import { figureIn, foundFigure, type OwnContribution, workedOutFigure } from '../../../judging'
import { printAmperes, printNumber, UNIT_SPACE } from '../../../quantity'
import type { BatteryLabel, FigureReading, RadioSet } from '../../../review'
import type { Found, Step } from '../../../step'
import type { Contribution } from '../../../uncertainty'
import { ammeterLine, type Charge } from './life'
import { ammeterOf } from './memo'

/** How far a pack may be from its label where nobody discharged it, ± % (common practice, no source). */
const ASSUMED_LABEL_PERCENT = 10

/** A capacity that was measured. */
export interface MeasuredCapacity {
  found: Found
  reading: FigureReading
  /** By typed current and time; by a log where there is one. */
  by: 'log' | 'current-and-time'
  words: string
}

/** The capacity by a discharge: of a log where one was kept, else mean current times time; null for none. */
export function measuredCapacity(step: Step, context: Context): MeasuredCapacity | null {
  const logged = figureIn(step, { id: 'logged' }, context)
  if (logged) {
    const own = [ammeterLine(logged.seen.value, ammeterOf(context))]
    return {
      found: foundFigure(logged, { own }, context),
      reading: logged,
      by: 'log',
      words: 'Added up over the log of a discharge.',
    }
  }
  const current = figureIn(step, { id: 'discharge-a' }, context)
  const time = figureIn(step, { id: 'discharge-h' }, context)
  return current && time ? byCurrentAndTime(current, time, context) : null
}

function byCurrentAndTime(current: FigureReading, time: FigureReading, context: Context): MeasuredCapacity {
  const [currentA, hours] = [current.seen.value, time.seen.value]
  const capacityAh = currentA * hours
  const digit = (id: string, label: string, halfWidth: number): OwnContribution => ({
    id: `digit:${id}`,
    group: 'resolution',
    label: `Last digit of the ${label}`,
    distribution: 'rectangular',
    halfWidth,
  })
  const own = [
    ammeterLine(capacityAh, ammeterOf(context)),
    digit('discharge-a', 'current', (hours * current.seen.resolution) / 2),
    digit('discharge-h', 'time', (currentA * time.seen.resolution) / 2),
  ]
  return {
    found: workedOutFigure({ value: capacityAh, unit: 'Ah', own }, context),
    reading: time,
    by: 'current-and-time',
    words: `${printAmperes(currentA)} for ${printNumber(hours, 2)}${UNIT_SPACE}h, to the cut-off.`,
  }
}

/** What a label says a pack holds, Ah; null where it does not. */
export function labelledAh({ voltageV, capacityAh, energyWh }: BatteryLabel): number | null {
  if (capacityAh !== null) return capacityAh
  return energyWh !== null && voltageV !== null ? energyWh / voltageV : null
}

/** What a label says a pack holds, Wh; null where it does not. */
export function labelledWh({ voltageV, capacityAh, energyWh }: BatteryLabel): number | null {
  if (energyWh !== null) return energyWh
  return capacityAh !== null && voltageV !== null ? capacityAh * voltageV : null
}

function chargeLine(line: Contribution, sameAmmeter: boolean): OwnContribution[] {
  if (line.id !== 'ammeter') return [line]
  return sameAmmeter ? [] : [{ ...line, id: 'ammeter:log', label: 'Ammeter of the log' }]
}

/** The charge a life is worked out from: as measured, else as the label says, with how far it may be off. */
export function chargeOf(step: Step, set: RadioSet, context: Context): (Charge & { words: string }) | null {
  const measured = measuredCapacity(step, context)
  if (measured) {
    const { found, by } = measured
    const sameAmmeter = by === 'current-and-time'
    return {
      capacityAh: found.value,
      sameAmmeter,
      // A log has an ammeter of its own.
      lines: found.budget.contributions.flatMap(line => chargeLine(line, sameAmmeter)),
      words: `${printNumber(found.value, 2)}${UNIT_SPACE}Ah, as it was discharged`,
    }
  }
  const capacityAh = labelledAh(set.battery)
  if (capacityAh === null) return null
  return {
    capacityAh,
    sameAmmeter: false,
    lines: [
      {
        id: 'label',
        group: 'reference',
        label: 'A pack beside its label',
        distribution: 'rectangular',
        halfWidth: (capacityAh * ASSUMED_LABEL_PERCENT) / 100,
        assumed: true,
      },
    ],
    words: `${printNumber(capacityAh, 2)}${UNIT_SPACE}Ah, as the label says; nobody discharged it`,
  }
}
