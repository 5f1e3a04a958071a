import type { Context } from '../../../context'
import {
  claimLevelDbm,
  claimsFor,
  coach,
  type CoachAdvice,
  criteriaOf,
  criterionLevel,
  settable,
  USUAL_SENSITIVITY_DBM,
} from '../../../hearing'
import { printDb, printDbm } from '../../../quantity'
import type { Step } from '../../../step'
import type { Coaching, ProposedLevel } from '../../coaching'
import { generatorAt } from '../generatorGuard'
import { GENERATOR } from '../paths'
import { criterionFound, othersDb } from './criterionFound'
import { familyOf, hearingOf } from './points'

/** What is reckoned with before anything but the curve is known, dB. */
const OTHERS_DB = 1

/** Only the generator’s step is asked for: its ends were seen to before. */
const ANYWHERE = { lowestDbm: -Infinity, highestDbm: Infinity }

/** The next level to read at, or why reading on would not help; null where the bench has no generator. */
export function coachSensitivity(step: Step, context: Context): Coaching | null {
  const way = generatorAt(step, GENERATOR, step.channel.frequencyHz, context)
  if (!way) return null
  const { generator, lossDb } = way
  const [criterion] = criteriaOf(step.band)
  const { points, curves } = hearingOf(step, context)
  const level = criterionLevel(points, curves, criterion!.db)
  const found = level.kind === 'level' ? criterionFound(level, points, context) : null
  const others = found ? othersDb(found, context) : OTHERS_DB
  const { id } = criterion!
  const claim = id === 'sinad-10' ? null : claimsFor(step.band, id, step.band.channelSpacingHz)
  const advice = coach({
    points,
    curves,
    criterionDb: criterion!.db,
    family: familyOf(step),
    range: {
      lowestDbm: generator.lowestDbm - lossDb,
      highestDbm: generator.highestDbm - lossDb,
      stepDb: generator.resolution,
    },
    expectedDbm: (claim && claimLevelDbm(claim)) ?? USUAL_SENSITIVITY_DBM,
    othersDb: others,
  })
  const beside = besideThePoints(
    step,
    { markDbm: level.kind === 'level' ? level.levelDbm : null, lossDb, stepDb: generator.resolution },
    context,
  )
  if (advice.kind !== 'read')
    return { next: null, proposed: beside, socketDbm: null, ...endWords(advice, others) }
  const open = step.slots.findLast(({ kind }) => kind.is === 'point')
  const levelDbm = settable(advice.levelDbm + lossDb, { ...ANYWHERE, stepDb: generator.resolution })
  const next = open ? { slotId: open.id, role: GENERATOR, levelDbm } : null
  return {
    next,
    proposed: next ? [next, ...beside] : beside,
    socketDbm: levelDbm - lossDb,
    title: `Set ${printDbm(levelDbm)}`,
    words: readWords(advice, criterion!.title),
    isDone: false,
  }
}

/** Offsets are read a little above the knee, a leak at the lowest level that was read. */
const OFFSETS_ABOVE_DB = 2

function besideThePoints(
  step: Step,
  at: { markDbm: number | null; lossDb: number; stepDb: number },
  context: Context,
): ProposedLevel[] {
  const { points } = hearingOf(step, context)
  const offsetsDbm = (at.markDbm ?? USUAL_SENSITIVITY_DBM) + OFFSETS_ABOVE_DB
  const lowest = points.reduce<number | null>(
    (least, { levelDbm }) => (least === null ? levelDbm : Math.min(least, levelDbm)),
    null,
  )
  return step.slots.flatMap(({ id, kind }): ProposedLevel[] => {
    const socketDbm = kind.is === 'offset' ? offsetsDbm : lowest
    if ((kind.is !== 'offset' && kind.is !== 'leak') || socketDbm === null) return []
    return [
      {
        slotId: id,
        role: GENERATOR,
        levelDbm: settable(socketDbm + at.lossDb, { ...ANYWHERE, stepDb: at.stepDb }),
      },
    ]
  })
}

function readWords(advice: CoachAdvice & { kind: 'read' }, mark: string): string[] {
  switch (advice.why) {
    case 'above':
      return [`First a reading clearly above ${mark}.`]
    case 'below':
      return [`Then one clearly below ${mark}: without both sides nothing holds the curve.`]
    case 'tells-most':
      return [
        'There the next reading tells most.',
        ...(advice.expectedDb === null
          ? []
          : [`With it the curve leaves about ±${printDb(advice.expectedDb)} open at the mark.`]),
      ]
  }
}

function endWords(
  advice: Exclude<CoachAdvice, { kind: 'read' }>,
  others: number,
): Pick<Coaching, 'title' | 'words' | 'isDone'> {
  if (advice.kind === 'cannot')
    return advice.why === 'never'
      ? {
          title: 'The mark may never be reached',
          words: [
            'The receiver’s own distortion ends the curve below it. Is the volume too high, the tone right?',
          ],
          isDone: false,
        }
      : {
          title: 'The generator does not go there',
          words: [
            'The level that is wanted lies beyond what it can be set to. A pad more or less in the path helps.',
          ],
          isDone: false,
        }
  const rest = `Everything else, the generator first of all, leaves ±${printDb(others)}.`
  return {
    title: 'Enough read',
    words: [
      `The curve’s own part is ±${printDb(advice.curveDb)}. ${rest}`,
      'More readings will not help; a better generator or a measured path would.',
    ],
    isDone: true,
  }
}
