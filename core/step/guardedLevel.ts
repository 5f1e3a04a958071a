import { type LevelRead, type LevelUnit, parseLevel, type ParseRefusal, printDbm } from '../quantity'
import type { LevelGuard } from './slot'

/** Typed behind a level it says: I have looked a second time. */
const CONFIRMED = /!\s*$/

const VOLTAGES: readonly LevelUnit[] = ['V', 'mV', 'µV', 'dBµV']

/**
 * Reads a level a generator is set to. More than the step may ever set is refused; above a second-look level it
 * is asked for once more, with the sign turned round as first offer: “+93 typed for −93?”
 * @returns the level in dBm into 50 Ω, or a refusal in plain words with texts to choose from.
 */
export function parseGuardedLevel(text: string, guard: LevelGuard): LevelRead | ParseRefusal {
  const confirmed = CONFIRMED.test(text)
  const body = text.replace(CONFIRMED, '').trim()
  const read = inGeneratorsTerms(body, guard)
  if (!read.ok) return withoutSign(body, read, guard)
  if (read.isUpperBound || read.repeatsDbm.length > 0)
    return refusal('A generator is set to one level: type that one.')
  const { levelDbm } = read
  const turned = -read.value
  const offers = read.unit === 'dBm' && turned < 0 && turned >= guard.lowestDbm ? [`${turned} dBm`] : []
  if (levelDbm > guard.highestDbm + 1e-9)
    return refusal(
      `${printDbm(levelDbm)} is more than this step may ever set (${printDbm(guard.highestDbm)}). A sign left out?`,
      offers,
    )
  if (levelDbm > guard.secondLookDbm && !confirmed)
    return refusal(`${printDbm(levelDbm)} is a strong signal for a receiver. Look again.`, [
      ...offers,
      `${body} !`,
    ])
  if (levelDbm < guard.lowestDbm - 1e-9)
    return refusal(`This generator goes no lower than ${printDbm(guard.lowestDbm)}.`)
  return read
}

/** A figure no bench has, but its negative does: the sign was left out. */
function withoutSign(body: string, refused: ParseRefusal, guard: LevelGuard): ParseRefusal {
  const turned = inGeneratorsTerms(`-${body}`, guard)
  const isLevel = turned.ok && turned.levelDbm >= guard.lowestDbm && turned.levelDbm <= guard.secondLookDbm
  return isLevel ? refusal(`${refused.message} A sign left out?`, [`-${body}`]) : refused
}

/** A bare number is what the generator shows; a voltage without a word is what its label means. */
function inGeneratorsTerms(text: string, { bareUnit, voltageIs }: LevelGuard): LevelRead | ParseRefusal {
  const isEmf = voltageIs === 'emf'
  const bare: LevelUnit = isEmf && bareUnit !== 'dBm' ? `${bareUnit} emf` : bareUnit
  const read = parseLevel(text, { bareUnit: bare })
  if (!read.ok || !isEmf || !VOLTAGES.includes(read.unit) || /pd/i.test(text)) return read
  return parseLevel(`${text} emf`, { bareUnit: bare })
}

function refusal(message: string, offers: string[] = []): ParseRefusal {
  return { ok: false, message, offers }
}
