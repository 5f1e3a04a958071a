import { accuracyInWords } from '../chain'
import type { Context } from '../context'
import { decisionRuleWords } from '../decision'
import { evaluateControlCheck } from '../judging'
import { fewNames, type RadioSet, type Reading, setShortName } from '../review'

/** How a model was measured, in a few sentences: supply, instruments, paths, control radio, rule. */
export function measuredWords(sets: readonly RadioSet[], context: Context): string {
  const ids = new Set(sets.map(({ id }) => id))
  const readings = context.review.readings.filter(({ setId }) => ids.has(setId))
  if (readings.length === 0) return 'Nothing was read yet.'
  return [
    `${readings.length} readings`,
    conditionWords(readings),
    instrumentWords(readings, context),
    pathWords(context),
    controlWords(context),
    ruleWords(context),
  ]
    .filter(Boolean)
    .map(words => words.charAt(0).toUpperCase() + words.slice(1))
    .map(sentence => (sentence.endsWith('.') ? sentence : `${sentence}.`))
    .join(' ')
}

function conditionWords(readings: readonly Reading[]): string {
  const supplies = [...new Set(readings.map(({ supply }) => supply).filter(Boolean))]
  const warmth = readings.flatMap(({ ambientC }) => ambientC ?? [])
  const [low, high] = [Math.min(...warmth), Math.max(...warmth)]
  const degrees = low === high ? `${low} °C` : `${low} to ${high} °C`
  return [fewNames(supplies), warmth.length > 0 ? degrees : ''].filter(Boolean).join(', ')
}

function instrumentWords(readings: readonly Reading[], context: Context): string {
  const chainIds = new Set(
    readings.flatMap(({ through }) => Object.values(through).map(({ chainId }) => chainId)),
  )
  const instruments = new Set(
    context.review.chains.filter(({ id }) => chainIds.has(id)).map(({ instrumentId }) => instrumentId),
  )
  const words = context.review.instruments
    .filter(({ id }) => instruments.has(id))
    .map(instrument => `${instrument.name} (${accuracyInWords(instrument)})`)
  return words.length > 0 ? `Read with ${words.join('; ')}` : ''
}

function pathWords({ review: { calibrations } }: Context): string {
  const days = [...new Set(calibrations.map(({ at }) => at.slice(0, 10)))].sort()
  return days.length > 0
    ? `Paths measured on this bench ${fewNames(days)}`
    : 'Paths from data sheets, not measured'
}

function controlWords(context: Context): string {
  const last = context.review.controlChecks.toSorted((a, b) => a.at.localeCompare(b.at)).at(-1)
  const set = last && context.review.sets.find(({ id }) => id === last.setId)
  return last && set
    ? `Control radio ${setShortName(set)}: ${evaluateControlCheck(last, context).words}`
    : 'No control radio was read'
}

function ruleWords({ review: { settings } }: Context): string {
  const { title, promise } = decisionRuleWords[settings.decisionRule]
  return `Ranges are 95 %. Rule “${title}”: ${promise.charAt(0).toLowerCase()}${promise.slice(1)}`
}
