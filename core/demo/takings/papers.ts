import type { RadioSet } from '../../review'
import { DISPLAY_ID, FIRMWARE_ID, GENERATOR, LABELS_ID } from '../../station'
import type { Step } from '../../step'
import type { DemoTaker } from '../demoTaker'
import { ALONE_DB } from './hearing'
import { type DemoTaking, stepsAt } from './taking'

/** What is printed, invented: by radio and slot. */
const PRINTED: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'trek-a': {
    'approval-box': 'OSM-TREK2 0417',
    'approval-body': 'OSM TREK2 0417',
    'antenna-label': '136–174 / 400–470 MHz',
    'battery-label': '7.4 V 1800 mAh 13.32 Wh',
    'in-box': 'radio, battery, antenna, desk charger, belt clip',
  },
  mini: {
    'approval-box': 'QM4-22071',
    'approval-body': 'QM4-22017',
    'battery-label': '3.7 V 2600 mAh 10.2 Wh',
  },
}

/** What the manual says of power, W, by slot. */
const MANUAL: Readonly<Record<string, number>> = { 'manual-2m-high': 5, 'manual-70cm-high': 4 }

/** Versions and ranges as found, invented. */
const FOUND = {
  version: '2.14',
  lock: 'locked to 144–146 and 430–440 MHz in the menu',
  ranges: [
    [136, 174],
    [400, 470],
  ],
}

/** Levels whose bars are looked at, and levels at which the display reached its steps, dBm at the socket. */
const SHOWN = {
  bars: ['high', 'low'],
  steps: { s1: -121, s3: -117.5, s5: -112, s7: -106, s9: -98.5, 's9-20': -84 },
}

/** Labels, firmware and display of one radio, labels of another. */
export const takePapers: DemoTaking = (taker, sets) => {
  for (const set of sets) {
    const printed = PRINTED[set.id]
    const [step] = printed ? stepsAt(LABELS_ID, set, taker) : []
    for (const [slot, text] of Object.entries(printed ?? {})) if (step) write(taker, step, slot, text)
  }
  const set = sets.find(({ id }) => id === 'trek-a')
  if (!set) return
  const [labels] = stepsAt(LABELS_ID, set, taker)
  for (const [slot, value] of Object.entries(MANUAL))
    if (labels) taker.figure(labels, slot, { text: `${value}`, value, unit: 'W', resolution: 1 })
  takeFirmware(taker, set)
  takeDisplay(taker, set)
}

function write(taker: DemoTaker, step: Step, slot: string, text: string): void {
  taker.figure(step, slot, { text, value: 1, unit: 'words' })
}

function takeFirmware(taker: DemoTaker, set: RadioSet): void {
  const [step] = stepsAt(FIRMWARE_ID, set, taker)
  if (!step) return
  write(taker, step, 'version-before', FOUND.version)
  write(taker, step, 'lock-before', FOUND.lock)
  FOUND.ranges.forEach(([fromMhz, toMhz], i) => {
    for (const [end, mhz] of [
      ['from', fromMhz],
      ['to', toMhz],
    ] as const)
      taker.figure(step, `${end}-${i + 1}`, {
        text: `${mhz}`,
        value: mhz! * 1e6,
        unit: 'Hz',
        resolution: 1e5,
      })
  })
}

function takeDisplay(taker: DemoTaker, set: RadioSet): void {
  const [power, signal] = stepsAt(DISPLAY_ID, set, taker)
  for (const levelId of power ? SHOWN.bars : []) {
    const value = taker.stand.bar(power!, levelId)
    taker.figure(power!, `bars-${levelId}`, { text: `${value}`, value, unit: 'bars', resolution: 1 })
  }
  if (!signal) return
  for (const [slot, socketDbm] of Object.entries(SHOWN.steps))
    taker.generatorLevel(signal, slot, { role: GENERATOR, levelDbm: socketDbm + ALONE_DB })
}
