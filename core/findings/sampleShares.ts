import { clopperPearson, unitsToBuy } from '../decision'
import { printNumber, UNIT_SPACE } from '../quantity'
import { modelsOf } from '../review'
import type { Remark } from '../station'
import type { Findings } from './findings'

/**
 * What the samples of one model say of the model: k inside of n, with the Clopper–Pearson range for the share
 * of good units.
 * Only questions against limits on which every sample counted got a clear answer.
 */
export function sampleShares(findings: Findings): Remark[] {
  const tested = findings.sets.filter(
    ({ role, make, model }) => role !== 'control' && (make + model).trim() !== '',
  )
  return modelsOf({ sets: tested })
    .filter(({ sets }) => sets.length > 1)
    .flatMap(({ name: model, sets }) => {
      const lines = findings.rows
        .filter(({ question }) => question.against === 'limits' && !question.yardstick)
        .flatMap(({ question, answers }) => {
          const clear = answers.filter(
            ({ set, answer }) =>
              sets.includes(set) && (answer.verdict.state === 'inside' || answer.verdict.state === 'outside'),
          )
          if (clear.length < 2) return []
          const good = clear.filter(({ answer }) => answer.verdict.state === 'inside').length
          const range = clopperPearson(good, clear.length)
          return [
            `${question.question} ${good} of ${clear.length} inside: ` +
              `between ${percent(range.low)} and ${percent(range.high)} of units may ` +
              `be.${buyWords(good, clear.length)}`,
          ]
        })
      return lines.length > 0
        ? [
            {
              id: `share:${model}`,
              title: `What ${sets.length} samples of ${model} can say`,
              text: `${lines.join(' ')} Samples from one box are not a random draw; the true range is wider.`,
            },
          ]
        : []
    })
}

/** A share of all units that would be worth saying. */
const WORTH_SAYING = 0.9

function buyWords(good: number, units: number): string {
  const more = unitsToBuy(good, units, WORTH_SAYING)
  return more === null || more === 0
    ? ''
    : ` To say that ${percent(WORTH_SAYING)} are, ${more} more would have to be bought, all of them inside.`
}

function percent(share: number): string {
  return `${printNumber(100 * share, share > 0 && share < 0.1 ? 1 : 0)}${UNIT_SPACE}%`
}
