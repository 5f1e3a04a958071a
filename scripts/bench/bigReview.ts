import { createContext } from '../../core/context'
import { newChain, newPart, newPowerMeter, newSpectrumAnalyser } from '../../core/chain'
import { dbmFromWatts, type LevelRead } from '../../core/quantity'
import {
  type Band,
  newBand,
  newChannel,
  newRadioSet,
  newReview,
  type RadioSet,
  type Reading,
  type Review,
} from '../../core/review'
import { stationById } from '../../core/station'
import { INSTRUMENT_ROLE, seenLevel, type Slot, takeReading } from '../../core/step'

const CLEAN = ['pocket', 'club', 'mobile']
const AT = '2026-11-24T10:00:00.000Z'

/**
 * A review of many sets: two bands, three channels, one level; harmonics on every channel; every reading of
 * its own value. As on a real bench the sets are spread over three analyser chains, each with pads of its own.
 */
export function bigReview(input: { sets: number; readingsPerSet: number; rulebookIds: string[] }): Review {
  const empty = emptyReview(input.sets, input.rulebookIds)
  const context = createContext(empty)
  const readings: Reading[] = []
  let state = 12345
  const random = () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648
  for (const set of empty.sets) {
    const steps = ['carrier-power', 'harmonics'].flatMap(id => stationById(id).plan(set, context))
    const places = steps
      .flatMap(step => step.slots.filter(({ field }) => field.as === 'level').map(slot => ({ step, slot })))
      .slice(0, input.readingsPerSet)
    for (const { step, slot } of places) {
      const seen = seenLevel(readOff(slot, random), { frequencyHz: slot.frequencyHz })
      const stamp = { id: `${set.id}.${step.id}.${slot.id}`, at: AT }
      const reading = takeReading(step, { slotId: slot.id, text: '', seen }, stamp, context)
      if (reading) readings.push(reading)
    }
  }
  return { ...empty, readings }
}

/** The sets and the bench, before anything is read. */
function emptyReview(sets: number, rulebookIds: string[]): Review {
  const band = (id: string, name: string, mhz: number[]): Band => ({
    ...newBand({ id, name, levelIds: ['high'] }),
    claims: { high: { kind: 'watts', powerW: 5 } },
    channelSpacingHz: 12_500,
    channels: mhz.map((one, i) =>
      newChannel({ id: `${id}-${i}`, name: '', frequencyHz: one * 1e6, harmonics: true }),
    ),
  })
  const radio = (i: number): RadioSet => ({
    ...newRadioSet({ id: `set-${i}`, sample: `${i}`, levelId: 'high' }),
    make: 'Osmere',
    model: `Trek ${i}`,
    bands: [band('2m', '2 m', [144.39, 146.52, 147.54]), band('70cm', '70 cm', [432.1, 440.3, 449.5])],
    chains: {
      'carrier-power': { [INSTRUMENT_ROLE]: 'power' },
      harmonics: { [INSTRUMENT_ROLE]: CLEAN[i % CLEAN.length]! },
    },
  })
  const meter = { ...newPowerMeter('meter'), inLine: false }
  const analyser = { ...newSpectrumAnalyser('analyser'), toHz: 3e9 }
  const pad = (id: string, lossDb: number) => ({
    ...newPart(id, 'pad'),
    loss: { kind: 'figure' as const, lossDb },
    toHz: null,
  })
  const empty = newReview({ id: 'big', title: 'Many sets', at: AT })
  return {
    ...empty,
    settings: { ...empty.settings, rulebookIds },
    sets: Array.from({ length: sets }, (_unused, i) => radio(i)),
    instruments: [meter, analyser],
    chains: [
      { ...newChain('power', 'power', 'meter'), parts: [newPart('j1', 'jumper'), pad('p0', 3)] },
      ...CLEAN.map(id => ({
        ...newChain(id, id, 'analyser'),
        parts: [
          newPart(`${id}-j`, 'jumper'),
          pad(`${id}-p1`, 30),
          pad(`${id}-p2`, 20),
          newPart(`${id}-a`, 'adapter'),
        ],
      })),
    ],
  }
}

/** What the instrument would show at a slot. */
function readOff(slot: Slot, random: () => number): LevelRead {
  const watts = slot.id === 'carrier'
  const levelDbm = levelOf(slot, random)
  return {
    ok: true,
    value: levelDbm,
    unit: watts ? 'W' : 'dBm',
    levelDbm,
    resolutionDb: 0.1,
    isUpperBound: false,
    repeatsDbm: [],
  }
}

function levelOf(slot: Slot, random: () => number): number {
  if (slot.id === 'carrier') return dbmFromWatts(Math.round(100 * (4 + random())) / 100)
  return slot.id === 'x1' ? -13 + random() : Math.round(10 * (-75 + 15 * random())) / 10
}
