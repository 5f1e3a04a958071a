import { newReceiver } from '#core/chain'
import type { Context } from '#core/context'
import type { StationAnswer } from '#core/judging'
import { newBand, newChannel, type RadioSet, type Review } from '#core/review'
import { stationById } from '#core/station'
import { slotOf, type SlotResult, type StepResult } from '#core/step'
import { radio, reviewOf } from './bench'

/**
 * One radio on 154 MHz in 12.5 kHz channels by EN 300 086, with a receiver that is good to 0.5 ppm and 1 %.
 */
export function landMobile(
  change: Partial<Review> = {},
  band: Partial<RadioSet['bands'][number]> = {},
): Review {
  const base = reviewOf({
    instrument: {
      ...newReceiver('an'),
      referencePpm: 0.5,
      deviationPercent: 1,
      assumed: false,
      ratioDb: 0.3,
      overloadDbm: 10,
      damageDbm: 30,
    },
  })
  const set = radio()
  return {
    ...base,
    settings: { ...base.settings, rulebookIds: ['eu-land-mobile'] },
    sets: [
      {
        ...set,
        bands: [
          {
            ...set.bands[0]!,
            ...newBand({ id: 'band', name: '2 m', levelIds: ['high'] }),
            claims: { high: { kind: 'watts', powerW: 5 } },
            channelSpacingHz: 12_500,
            channels: [newChannel({ id: 'c1', name: '', frequencyHz: 154e6, harmonics: true })],
            ...band,
          },
        ],
      },
    ],
    ...change,
  }
}
/** The one step of a station. */
export const stepOf = (id: string) => `${id}:band:c1:high`

/** What the first step of a station came to. */
export function resultOf(id: string, context: Context): StepResult {
  const station = stationById(id)
  return station.evaluate(station.plan(context.review.sets[0]!, context)[0]!, context)
}

/** A slot of a result that is there. */
export function slot(result: StepResult, id: string): SlotResult {
  return slotOf(result, id)!
}

/** What a station answers its first question with. */
export function answerOf(id: string, context: Context): StationAnswer {
  const station = stationById(id)
  return station.answer(station.questions(context.review.sets, context)[0]!, context.review.sets[0]!, context)
}
