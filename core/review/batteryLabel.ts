import { printNumber } from '../quantity'
import type { BatteryLabel } from './cardTypes'

/** Whether the label on a battery agrees with itself. */
export type BatteryLabelCheck =
  { kind: 'incomplete'; words: string } | { kind: 'agrees' | 'disagrees'; productWh: number; words: string }

/** Labels round to a tenth of a Wh or to three digits; this share covers both. */
const ROUNDING_SHARE = 0.015
const ROUNDING_WH = 0.06

/** V × Ah = Wh within rounding: 7.4 V × 1.8 Ah = 13.32 Wh. */
export function checkBatteryLabel(label: BatteryLabel): BatteryLabelCheck {
  const { voltageV, capacityAh, energyWh } = label
  if (voltageV === null || capacityAh === null)
    return {
      kind: 'incomplete',
      words: 'Volts and ampere-hours give the watt-hours to compare with the label.',
    }
  const productWh = voltageV * capacityAh
  const sum =
    `${printNumber(voltageV, decimals(voltageV))} V × ` +
    `${printNumber(capacityAh, decimals(capacityAh))} Ah = ${printNumber(productWh, 2)} Wh`
  if (energyWh === null) return { kind: 'incomplete', words: `${sum}; the label gives no Wh.` }
  const apart = Math.abs(productWh - energyWh)
  return apart <= Math.max(ROUNDING_WH, energyWh * ROUNDING_SHARE)
    ? {
        kind: 'agrees',
        productWh,
        words: `${sum}, as the label says (${printNumber(energyWh, decimals(energyWh))} Wh).`,
      }
    : {
        kind: 'disagrees',
        productWh,
        words: `${sum}, but the label says ${printNumber(energyWh, decimals(energyWh))} Wh.`,
      }
}

const LABEL_FIGURE = /(\d+(?:[.,]\d+)?)\s*(mAh|Ah|mWh|Wh|V)(?![a-z])/gi

/** A label as it is printed, its figures told apart by their units: `7.4 V 1800 mAh 13.32 Wh`. */
export function readBatteryLabel(text: string): BatteryLabel {
  const label: BatteryLabel = { voltageV: null, capacityAh: null, energyWh: null }
  for (const [, digits = '', unit = ''] of text.matchAll(LABEL_FIGURE)) {
    const value = Number(digits.replace(',', '.')) * (unit.startsWith('m') ? 1e-3 : 1)
    if (/ah$/i.test(unit)) label.capacityAh ??= value
    else if (/wh$/i.test(unit)) label.energyWh ??= value
    else label.voltageV ??= value
  }
  return label
}

function decimals(value: number): number {
  return Math.min(3, Math.max(1, (String(value).split('.')[1] ?? '').length))
}
