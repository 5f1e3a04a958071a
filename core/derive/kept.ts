/** What a map holds for a key, made where there is nothing yet. */
export function kept<Key, Value>(map: Map<Key, Value>, key: Key, make: () => Value): Value {
  let known = map.get(key)
  if (known === undefined) map.set(key, (known = make()))
  return known
}
