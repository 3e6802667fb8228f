type Json = unknown;
type Dict = Record<string, Json>;

const isDict = (value: Json): value is Dict =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const same = (a: Json, b: Json): boolean => {
  if (isDict(a) && isDict(b)) {
    const names = new Set([...Object.keys(a), ...Object.keys(b)]);
    return [...names].every((name) => same(a[name], b[name]));
  }
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((item, i) => same(item, b[i]));
  // A field that is not there and one that holds nothing are the same.
  return (a ?? undefined) === (b ?? undefined);
};

/**
 * Two changes of one document brought together field by field: what only one of them changed is taken, and where both
 * changed the same field `mine` holds.
 */
export function merge<T>(base: T, mine: T, theirs: T): T {
  if (same(mine, base)) return theirs;
  if (same(theirs, base) || !isDict(base) || !isDict(mine) || !isDict(theirs)) return mine;
  const merged: Dict = {};
  for (const name of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const value = merge(base[name], mine[name], theirs[name]);
    if (value !== undefined) merged[name] = value;
  }
  return merged as T;
}

/** The fields in which two documents differ, as paths. */
export function changed(before: Json, after: Json, path = ''): string[] {
  if (same(before, after)) return [];
  if (!isDict(before) || !isDict(after)) return [path];
  const names = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...names].flatMap((name) => changed(before[name], after[name], path ? `${path}.${name}` : name));
}
