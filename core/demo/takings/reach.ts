import { REACH_ID, type ReachMemo } from '../../station'
import { type DemoTaking, firstStepAt } from './taking'

/** Whom the demo’s marshals listened for, invented. */
export const DEMO_REACH_MEMO: ReachMemo = {
  place: 'at the finish gate, 14 November, 11:00 to 11:20, each radio held at the mouth',
  signals: [
    { id: 'repeater', who: 'the repeater on Great Fell', where: '11 km, in sight' },
    { id: 'beck', who: 'marshal 4', where: 'Beck crossing, 2 km, behind a ridge' },
    { id: 'scar', who: 'marshal 7', where: 'Scar top, 5 km' },
  ],
}

/** How well each radio heard them, 0 to 3. */
const HEARD: Readonly<Record<string, readonly number[]>> = {
  'trek-a': [3, 1, 2],
  'trek-b': [3, 1, 2],
  mini: [3, 0, 2],
  c1: [3, 2, 3],
}

/** What four radios heard off the air. */
export const takeReach: DemoTaking = (taker, sets) => {
  for (const set of sets) {
    const step = HEARD[set.id] ? firstStepAt(REACH_ID, set, taker) : undefined
    if (!step) continue
    taker.figure(step, 'antenna', { text: 'supplied', value: 1, unit: 'words' })
    HEARD[set.id]!.forEach((value, i) =>
      taker.figure(step, `signal-${DEMO_REACH_MEMO.signals[i]!.id}`, {
        ...{ text: `${value}`, value, unit: 'of 3', resolution: 1 },
      }),
    )
  }
}
