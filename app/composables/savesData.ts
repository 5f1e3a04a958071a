/** Whether whoever uses the browser has it save data: nothing is then fetched that nobody has asked for. */
export function savesData(): boolean {
  const { connection } = navigator as { connection?: { saveData?: boolean } }
  return connection?.saveData === true
}
