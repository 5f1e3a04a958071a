import { chainsKey, type Step } from '../step'

/** What going through steps in an order costs in handling. */
export interface RunCosts {
  /** Times a chain is taken apart and another built. */
  recablings: number
  /** Times another radio is put on the chain. */
  radioChanges: number
  /** Band, channel or level set anew on the radio. */
  knobTurns: number
}

/** Counts the handling of an order of steps; setting up for the first step counts too. */
export function runCosts(steps: readonly Step[]): RunCosts {
  const costs: RunCosts = { recablings: 0, radioChanges: 0, knobTurns: 0 }
  const atSet = new Map<string, Step>()
  let before: Step | null = null
  for (const step of steps) {
    if (before === null || chainsKey(before) !== chainsKey(step)) costs.recablings += 1
    if (before === null || before.set.id !== step.set.id) costs.radioChanges += 1
    costs.knobTurns += knobTurns(atSet.get(step.set.id) ?? null, step)
    atSet.set(step.set.id, step)
    before = step
  }
  return costs
}

/** Knobs to turn from how a radio stands to how a step wants it: a band change brings its channel with it. */
export function knobTurns(from: Step | null, to: Step): number {
  if (from === null) return 2
  const { setting } = to
  const levelTurned = from.setting.level.id !== setting.level.id
  const spacingTurned = setting.spacingHz !== null && setting.spacingHz !== from.setting.spacingHz
  return placeTurns(from, to) + Number(levelTurned) + Number(spacingTurned)
}

function placeTurns(from: Step, to: Step): number {
  if (from.band.id !== to.band.id) return 2
  return from.channel.id !== to.channel.id ? 1 : 0
}
