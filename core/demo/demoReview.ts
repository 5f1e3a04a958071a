import { createContext } from '../context'
import { newReview, type RadioSet, type Review, type ReviewBundle } from '../review'
import { demoCalibrations, demoControlChecks, demoOtherFigures, demoPadTests } from './demoBelievability'
import { demoChains, demoInstruments } from './demoBench'
import { demoSets } from './demoSets'
import { DEMO_BEGAN, DemoTaker } from './demoTaker'
import { DEMO_ALSO_STATIONS, demoMemos, demoTakings } from './takings'

/** Id of the demo review; opening the demo again brings this one back. */
const DEMO_REVIEW_ID = 'demo-fell-race'

/**
 * The demo review “Fell-race marshals’ handhelds”: invented radios read on the virtual bench, by a seed of its own.
 * Every call gives the same review.
 */
export function demoReview(): ReviewBundle {
  const review = emptyDemo()
  const taker = new DemoTaker(createContext(review), review.sets)
  for (const take of demoTakings) take(taker, review.sets)
  const { readings, curves, keyDowns, notes, traces, clips } = taker
  return {
    review: {
      ...review,
      readings,
      curves,
      keyDowns,
      notes,
      traces,
      clips,
      updatedAt: readings.at(-1)?.at ?? DEMO_BEGAN,
    },
    traces: taker.tracePoints,
    curves: taker.curvePoints,
    pictures: new Map(),
    clips: taker.clipSounds,
  }
}

/** The card and the bench of the demo, before anything is read. */
function emptyDemo(): Review {
  const fresh = newReview({ id: DEMO_REVIEW_ID, title: 'Fell-race marshals’ handhelds', at: DEMO_BEGAN })
  return {
    ...fresh,
    settings: {
      ...fresh.settings,
      yardstickId: 'good-practice',
      ambientC: 18,
      alsoStations: [...DEMO_ALSO_STATIONS],
    },
    purpose:
      'A mountain race needs radios for forty marshals. ' +
      'Which of these may be keyed on 2 m with a clear conscience, ' +
      'and do they make the power on the box? All names and figures are invented.',
    reviewer: 'Demo bench',
    sets: structuredCopy(demoSets),
    instruments: structuredCopy(demoInstruments),
    chains: structuredCopy(demoChains).map(chain => ({
      ...chain,
      parts: chain.parts.map(part => ({
        ...part,
        calibrationId: demoCalibrations.find(({ partId }) => partId === part.id)?.id ?? null,
      })),
    })),
    calibrations: structuredCopy(demoCalibrations),
    padTests: structuredCopy(demoPadTests),
    controlChecks: structuredCopy(demoControlChecks),
    otherFigures: structuredCopy(demoOtherFigures),
    memos: demoMemos(),
  }
}

function structuredCopy<T>(value: readonly T[]): T[] {
  return JSON.parse(JSON.stringify(value)) as T[]
}

/** Names of the demo's sets, for tests that look for them on screen. */
export function demoSetIds(): RadioSet['id'][] {
  return demoSets.map(set => set.id)
}
