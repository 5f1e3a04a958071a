/** What can be turned on a bench of practice besides what the review says: knobs, switches, a charger. */
export interface Hands {
  toneSquelch: boolean
  dualWatch: boolean
  battery: 'full' | 'half'
  /** The analyser’s preamplifier. */
  preamplifier: boolean
  /** 10 dB more in front of the analyser, for the pad test. */
  extraPad: boolean
  /** Offsets that stand on instruments, dB, by instrument. */
  offsetDb: Readonly<Record<string, number>>
  /** When each was last turned, by its name; offsets as `offset:id`. */
  turnedAt: Readonly<Record<string, string>>
}

/** A bench as one would like to find it. */
export const TIDY_HANDS: Hands = {
  toneSquelch: false,
  dualWatch: false,
  battery: 'full',
  preamplifier: false,
  extraPad: false,
  offsetDb: {},
  turnedAt: {},
}

/** A switch of the bench. */
export type HandSwitch = 'toneSquelch' | 'dualWatch' | 'preamplifier' | 'extraPad'

/** What somebody does with their hands. */
export type HandTurn =
  | { turn: HandSwitch; to: boolean }
  | { turn: 'battery'; to: Hands['battery'] }
  | { turn: 'offset'; instrumentId: string; toDb: number }

/** The bench after something was turned. */
export function turned(hands: Hands, what: HandTurn, at: string): Hands {
  switch (what.turn) {
    case 'offset':
      return {
        ...hands,
        offsetDb: { ...hands.offsetDb, [what.instrumentId]: what.toDb },
        turnedAt: { ...hands.turnedAt, [`offset:${what.instrumentId}`]: at },
      }
    case 'battery':
      return { ...hands, battery: what.to, turnedAt: { ...hands.turnedAt, battery: at } }
    default:
      return { ...hands, [what.turn]: what.to, turnedAt: { ...hands.turnedAt, [what.turn]: at } }
  }
}
