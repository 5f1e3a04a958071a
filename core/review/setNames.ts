import type { RadioSet } from './cardTypes'

/** A set as one line: `Osmere Trek 2, sample B`; `Unnamed set` while the card is empty. */
export function setName(set: RadioSet): string {
  const name = `${set.make} ${set.model}`.trim() || 'Unnamed set'
  return set.sample ? `${name}, sample ${set.sample}` : name
}

/** The short form for narrow columns: `Trek 2, sample B`; a model that is only a number keeps its make. */
export function setShortName(set: RadioSet): string {
  const model = set.model.trim()
  const name = model === '' || /^\d+$/.test(model) ? `${set.make} ${model}`.trim() || 'Unnamed set' : model
  return set.sample ? `${name}, sample ${set.sample}` : name
}

/** A set’s name among others: samples of one model are told apart by their sample alone. */
export function nameBeside(set: RadioSet, sets: readonly RadioSet[]): string {
  const isOneModel = sets.every(({ make, model }) => make === set.make && model === set.model)
  return isOneModel && set.sample !== '' ? `sample ${set.sample}` : setShortName(set)
}

/** Highest power any claim of the set names, W; null when the maker says none. */
export function highestClaimW(set: RadioSet): number | null {
  let highest: number | null = null
  for (const band of set.bands)
    for (const claim of Object.values(band.claims))
      if (claim.kind === 'watts' && (highest === null || claim.powerW > highest)) highest = claim.powerW
  return highest
}

/** So many names are read; the rest is counted. */
const READ_NAMES = 8

/** Names in a row; of many the first, and how many more. */
export function fewNames(names: readonly string[], between = ', '): string {
  if (names.length <= READ_NAMES + 1) return names.join(between)
  return `${names.slice(0, READ_NAMES).join(between)} and ${names.length - READ_NAMES} more`
}
