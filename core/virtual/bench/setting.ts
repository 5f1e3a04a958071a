import type { Chain, Instrument } from '../../chain'
import type { RoleId } from '../../review'
import type { Keyed } from './radio'

/** What a radio is plugged into, by one way: the parts in between and what stands at the end. */
export interface Plug {
  chain: Chain
  instrument: Instrument
}

/** What a radio does just now. */
export type RadioDoes =
  | { is: 'off' }
  | { is: 'keyed'; keyed: Keyed }
  /** It listens: squelch open or shut, the volume somewhere in the middle. */
  | {
      is: 'hears'
      channelHz: number
      spacingHz: number
      squelchIsOpen: boolean
      /** Where the volume is: where it usually is, or up until a tenth is distortion. */
      volume?: 'usual' | 'rated'
    }

/** What is plugged into what, by role, and what the radio does. */
export interface StandSetting {
  plugs: Readonly<Record<RoleId, Plug>>
  radio: RadioDoes
}
