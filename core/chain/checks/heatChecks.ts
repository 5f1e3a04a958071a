import { wattsFromDbm, printWatts, printClaimW } from '../../quantity'
import { HEAT_DEFAULTS, partHeat, type PartHeat, type HeatConditions } from '../heat'
import type { LevelStairs } from '../levelStairs'
import type { Part } from '../types'
import { type BenchCheckInput, type BenchCheck, check, type CheckSeverity, powerInWords } from './check'

/** Share of a rating from which a part is called close to it. */
const CLOSE_TO_RATING = 0.8

/** Checks of the heat every part takes up, or carries. */
export function heat(input: BenchCheckInput, stairs: LevelStairs): BenchCheck[] {
  const hot = stairs.stairs
    .filter(stair => soaks(stair.part) || stair.part.ratingW !== null)
    .map(stair => ({ part: stair.part, heatW: stair.heatW, throughW: wattsFromDbm(stair.inDbm) }))
  if (stairs.termination)
    hot.push({
      part: stairs.termination.part,
      heatW: stairs.termination.heatW,
      throughW: stairs.termination.heatW,
    })
  return hot.flatMap(({ part, heatW, throughW }) =>
    heatW === null ? [] : heatOfPart(input, part, soaks(part) ? heatW : throughW),
  )
}

/** Pads and loads turn what they take into heat; the others carry it. */
function soaks(part: Part): boolean {
  return part.kind === 'pad' || part.kind === 'load' || part.kind === 'combiner'
}

function heatOfPart(input: BenchCheckInput, part: Part, keyedW: number): BenchCheck[] {
  const verb = soaks(part) ? 'takes up' : 'carries'
  if (part.ratingW === null)
    return keyedW < 0.05
      ? []
      : [
          check(`heat:${part.id}`, 'caution', {
            title: `${part.name} has no power rating on record, and ${verb} ${printWatts(keyedW, 2)}.`,
            text: 'Find its rating before a long key-down.',
            lamp: `${part.name}: rating not known`,
            partId: part.id,
          }),
        ]
  const conditions = input.conditions ?? HEAT_DEFAULTS
  const result = partHeat(part, keyedW, conditions)
  const rating = ratingInWords(part, result, conditions)
  const bad = (severity: CheckSeverity, text: string, lamp: string) => [
    check(`heat:${part.id}`, severity, {
      title: `${part.name} is rated ${rating}, and ${verb} ${printWatts(keyedW, 2)} at ${powerInWords(input)}.`,
      text,
      lamp,
      partId: part.id,
    }),
  ]
  if (result.mayBeKeyedS === 0)
    return bad('danger', 'Do not key up: put a larger one nearest the radio.', `${part.name} too small`)
  if (result.averageW > result.ratingW! * 1.0001)
    return bad(
      'danger',
      `Over the planned ${conditions.duty.keyedS} s keyed and ${conditions.duty.restS} s of rest ` +
        `that is ${printWatts(result.averageW, 2)}. ` +
        `Good for ${minutes(result.mayBeKeyedS)} keyed in every ${minutes(result.averagingS)}, ` +
        `then ${minutes(result.restS)} of rest: plan for that, or put a larger one nearest the radio.`,
      `${part.name} too small for this duty`,
    )
  if (!result.continuous)
    return bad(
      'caution',
      `Good for ${minutes(result.mayBeKeyedS)} keyed in every ${minutes(result.averagingS)}, ` +
        `then ${minutes(result.restS)} of rest. It gets hot enough to burn.`,
      `${part.name}: ${minutes(result.mayBeKeyedS)} in ${minutes(result.averagingS)}`,
    )
  if (keyedW > result.ratingW! * CLOSE_TO_RATING)
    return bad(
      'caution',
      'Close to its rating: key down briefly and let it cool. It gets hot enough to burn.',
      `${part.name} close to its rating`,
    )
  return soaks(part)
    ? [
        check(`heat:${part.id}`, 'ok', {
          title: `${part.name} takes up ${printWatts(keyedW, 2)} of its ${rating}.`,
          lamp:
            keyedW > 0.1 * result.ratingW! || part.kind === 'load' ? `${part.name} within its rating` : null,
          partId: part.id,
        }),
      ]
    : []
}

function ratingInWords(part: Part, heat: PartHeat, conditions: HeatConditions): string {
  const full = printClaimW(part.ratingW!)
  return heat.ratingW! < part.ratingW! * 0.9999
    ? `${full} (${printWatts(heat.ratingW, 2)} at ${conditions.ambientC} °C)`
    : full
}

function minutes(seconds: number): string {
  return seconds < 60 ? `${Math.floor(seconds)} s` : `${Math.floor(seconds / 6) / 10} min`
}

/** A tap passes nearly everything on: somebody must take it. */
export function throughPorts(input: BenchCheckInput): BenchCheck[] {
  return input.chain.parts
    .filter(({ kind }) => kind === 'sampler' || kind === 'coupler')
    .map(part =>
      check(`through:${part.id}`, 'note', {
        title:
          `${part.name} passes the carrier on: its through port needs a load rated for ` +
          `${printClaimW(input.powerW)} or more.`,
        text: 'The load does not stand in this row; look that it is there.',
        partId: part.id,
      }),
    )
}
