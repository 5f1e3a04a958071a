import { ASSUMED_REVERSE_W, couldDestroy } from '../../chain'
import type { Context } from '../../context'
import { dbmFromWatts, printClaimW, printDb, printWatts, wattsFromDbm } from '../../quantity'
import type { PowerClaim, RadioSet, RoleId } from '../../review'
import { type ExpectedPower, powerToExpect, type RadioSetting, type Step, type StepPlace } from '../../step'
import { generatorAt } from './generatorGuard'

/** The most a set may be keyed with by mistake, on whatever band and level it stands. */
export function mostPower(set: RadioSet, claim: PowerClaim): ExpectedPower {
  const claims = set.bands.flatMap(band => Object.values(band.claims))
  const powers = [claim, ...claims].map(one => powerToExpect(set, one))
  return powers.reduce((a, b) => (b.powerW > a.powerW ? b : a))
}

/**
 * What must be ticked where the radio, keyed by mistake, could destroy a generator: worked out from the power
 * it is said to make, what the path takes, and what the generator survives. Empty where it survives.
 */
export function reversePowerLocks(
  { set, claim, channel }: Pick<StepPlace, 'claim' | 'channel'> & { set: Step['set'] },
  chains: Step['chains'],
  roles: readonly RoleId[],
  context: Context,
): RadioSetting[] {
  const mostW = mostPower(set, claim).powerW
  return roles.flatMap((role): RadioSetting[] => {
    const found = generatorAt({ chains }, role, channel.frequencyHz, context)
    if (!found) return []
    const { generator, lossDb } = found
    const arrivesDbm = dbmFromWatts(mostW) - lossDb
    if (!couldDestroy(generator, arrivesDbm)) return []
    const survivesW = generator.reverseW ?? ASSUMED_REVERSE_W
    const lacksDb = Math.ceil(arrivesDbm - dbmFromWatts(survivesW) + 3)
    return [
      {
        id: `reverse:${role}`,
        words:
          `${generator.name} survives ${printClaimW(survivesW)}; ` +
          `${printClaimW(mostW)} keyed by mistake would bring ` +
          `${printWatts(wattsFromDbm(arrivesDbm), 2)} to it. ` +
          `${printDb(Math.max(20, lacksDb), 0)} more of pad would save it. I make sure that the radio cannot transmit.`,
      },
    ]
  })
}
