/** Something the person at the shell put wrong. */
export class UsageError extends Error {}
