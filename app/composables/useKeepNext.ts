import type { InjectionKey } from 'vue'
import type { Kept } from '#core/step'

/** Keeps a figure in the next open field of the station in hand, with what its generators stand at. */
export const KEEP_NEXT: InjectionKey<(figure: Omit<Kept, 'slotId'>) => void> = Symbol('keep next')

/** Puts the cursor in a slot’s field of the station in hand. */
export const TAKE_IN_HAND: InjectionKey<(slotId: string) => void> = Symbol('take in hand')
