class LookedFurther extends Error {}

/**
 * Thrown in a scope that is asked for what it does not hold: the work is done again in a wider one. One object
 * for all, because collecting a stack each time would take longer than the work.
 */
export const LOOKED_FURTHER: Error = new LookedFurther('Not in this scope.')
