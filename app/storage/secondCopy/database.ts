/** The database everything is kept in. */
export const DATABASE = 'rigorous-meter'

/** Reviews, readings, traces, curves and pictures in it. */
export const RECORDS_STORE = 'reviews'
