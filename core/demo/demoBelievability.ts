import type { Calibration, PadTest } from '../chain'
import { dbmFromWatts } from '../quantity'
import type { ControlCheck, OtherFigure } from '../review'

/** The 30 dB pad of the club chain, measured on the demo's bench before the readings. Invented. */
export const demoCalibrations: readonly Calibration[] = [
  {
    id: 'cal-club-pad30',
    partId: 'club50-pad30',
    partName: '30 dB pad',
    at: '2026-11-12T19:40:00.000Z',
    withWhat: 'signal generator at −20 dBm, club analyser',
    expandedDb: 0.2,
    points: [
      [25e6, 30.03],
      [146.52e6, 30.1],
      [293.04e6, 30.16],
      [439.56e6, 30.23],
      [586.08e6, 30.3],
      [1025.64e6, 30.47],
      [1500e6, 30.6],
      [3e9, 30.92],
    ].map(([frequencyHz = 0, lossDb = 0]) => ({
      frequencyHz,
      throughDbm: -20.4,
      withPartDbm: Number((-20.4 - lossDb).toFixed(2)),
    })),
  },
]

/** Sample B's second harmonic, read without and with a further pad: it is the radio's own. Invented. */
export const demoPadTests: readonly PadTest[] = [
  {
    id: 'pad-pocket-x2',
    chainId: 'pocket50',
    at: '2026-11-14T09:02:00.000Z',
    harmonic: 2,
    frequencyHz: 293.04e6,
    padDb: 10,
    padHalfWidthDb: 0.3,
    withoutDbm: -59.6,
    withDbm: -69.7,
    resolutionDb: 0.1,
  },
]

/** The control radio through the power meter that morning. Invented. */
export const demoControlChecks: readonly ControlCheck[] = [
  {
    id: 'control-power',
    chainId: 'power',
    setId: 'c1',
    at: '2026-11-14T08:55:00.000Z',
    frequencyHz: 146.52e6,
    text: '5.02 W',
    levelDbm: dbmFromWatts(5.02),
    resolutionDb: 0.01,
    calibrationIds: {},
    knownDbm: dbmFromWatts(5.1),
    knownExpandedDb: 0.3,
    knownFrom: 'a laboratory’s bench in October',
  },
]

/** What another bench read of sample B. Invented. */
export const demoOtherFigures: readonly OtherFigure[] = [
  {
    id: 'other-trek-b-x2',
    setId: 'trek-b',
    stationId: 'harmonics',
    stepId: 'harmonics:2m:2m-2:high',
    slot: 'x2',
    who: 'a second club',
    text: '−8.1 dBm',
    levelDbm: -8.1,
    expandedDb: 1.5,
    at: '2026-11-16T18:00:00.000Z',
  },
]
