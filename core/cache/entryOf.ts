/** Returns the entry of a map under a key, made first where there is none. */
export function entryOf<Key, Value>(map: MapLike<Key, Value>, key: Key, make: () => Value): Value {
  let known = map.get(key)
  if (known === undefined) map.set(key, (known = make()))
  return known
}

interface MapLike<Key, Value> {
  get: (key: Key) => Value | undefined
  set: (key: Key, value: Value) => unknown
}
