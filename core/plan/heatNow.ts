import { type HeatConditions, levelStairsFromWatts, partHeat, type Stair } from '../chain'
import type { Context } from '../context'
import type { KeyDown, RadioSet } from '../review'
import { REST_PER_KEYED } from './keyDown'

/** How warm a part or a radio is from what was keyed lately. */
export interface Heat {
  id: string
  name: string
  /** Of what it may take in its averaging time, 0 to 1 and above. */
  share: number
  /** May still be keyed for, s. */
  leftS: number
  /** Until it could take a whole key-down again, s. */
  restS: number
}

/**
 * Heat bookkeeping: every pad and load of a chain, and the radio, from the key-downs on record. A part may
 * take its rating over its averaging
 * time; what was keyed within that time counts, what lies longer ago has gone. The radio may be keyed as long
 * as its card says, and rests as
 * long as it was keyed.
 * @param now - ms since 1970.
 * @param powerW - power to expect of the next key-down.
 */
export function heatNow(
  {
    set,
    chainId,
    frequencyHz,
    powerW,
    now,
  }: { set: RadioSet; chainId: string | null; frequencyHz: number; powerW: number; now: number },
  context: Context,
): Heat[] {
  const downs = context.review.keyDowns
  const chain = context.chain(chainId)
  const radio = radioHeat(
    set,
    downs.filter(({ setId }) => setId === set.id),
    now,
  )
  if (!chain) return [radio]
  const instrument = context.instrument(chain.instrumentId)
  const { ambientC, duty } = context.review.settings
  const stairs = levelStairsFromWatts(chain, instrument, { powerW, frequencyHz })
  const soaking = [
    ...stairs.stairs.filter(
      ({ part }) => part.kind === 'pad' || part.kind === 'load' || part.kind === 'combiner',
    ),
    ...(stairs.termination ? [stairs.termination] : []),
  ]
  const own = downs.filter(down => down.chainId === chain.id)
  return [
    radio,
    ...soaking.flatMap(stair =>
      partHeatNow(stair, { downs: own, now, powerW, conditions: { ambientC, duty } }),
    ),
  ]
}

function partHeatNow(
  { part, heatW }: Pick<Stair, 'part' | 'heatW'>,
  {
    downs,
    now,
    powerW,
    conditions,
  }: { downs: readonly KeyDown[]; now: number; powerW: number; conditions: HeatConditions },
): Heat[] {
  if (heatW === null || part.ratingW === null || heatW <= 0) return []
  const { ratingW, averagingS, mayBeKeyedS } = partHeat(part, heatW, conditions)
  const budgetJ = (ratingW ?? 0) * averagingS
  if (budgetJ <= 0 || mayBeKeyedS === 0)
    return [{ id: part.id, name: part.name, share: Infinity, leftS: 0, restS: Infinity }]
  const share = heatW / powerW
  const windows = downs.flatMap(down =>
    recent(down, now, averagingS).map(span => ({ ...span, watts: down.powerW * share })),
  )
  const takenJ = windows.reduce((sum, { seconds, watts }) => sum + seconds * watts, 0)
  const continuous = heatW <= ratingW!
  return [
    {
      id: part.id,
      name: part.name,
      share: takenJ / budgetJ,
      leftS: continuous ? Infinity : Math.max(0, (budgetJ - takenJ) / heatW),
      restS: continuous
        ? 0
        : windows.reduce((latest, { endedAgoS }) => Math.max(latest, averagingS - endedAgoS), 0),
    },
  ]
}

/**
 * The part of a key-down that lies within a time before now. One that ended after now was keyed before the clock
 * went back: it counts as just ended.
 */
function recent(down: KeyDown, now: number, withinS: number): { seconds: number; endedAgoS: number }[] {
  const endedAgoS = Math.max(0, (now - Date.parse(down.at)) / 1000)
  const seconds = Math.min(endedAgoS + down.seconds, withinS) - endedAgoS
  return seconds > 0 ? [{ seconds, endedAgoS }] : []
}

function radioHeat(set: RadioSet, downs: readonly KeyDown[], now: number): Heat {
  const withinS = set.keyDownLimitS * (1 + REST_PER_KEYED)
  const spans = downs.flatMap(down => recent(down, now, withinS))
  const keyedS = spans.reduce((sum, { seconds }) => sum + seconds, 0)
  const restS = spans.reduce(
    (longest, { endedAgoS }) => Math.max(longest, keyedS * REST_PER_KEYED - endedAgoS),
    0,
  )
  return {
    id: 'radio',
    name: 'radio',
    share: keyedS / set.keyDownLimitS,
    leftS: Math.max(0, set.keyDownLimitS - keyedS),
    restS: Math.max(0, restS),
  }
}
