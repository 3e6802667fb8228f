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

/** What an entry of a list is, whatever its place: its id, or what it names. */
const nameOf = (item: Json): string | undefined => {
  if (!isDict(item)) return undefined;
  const name = item.id ?? item.what ?? item.task;
  return typeof name === 'string' ? name : undefined;
};

/** A list by what its entries are; nothing where one has no name or two have the same. */
function named(list: Json): Map<string, Json> | undefined {
  if (!Array.isArray(list)) return undefined;
  const found = new Map<string, Json>();
  for (const item of list as Json[]) {
    const name = nameOf(item);
    if (name === undefined || found.has(name)) return undefined;
    found.set(name, item);
  }
  return found;
}

function mergeLists(base: Map<string, Json>, mine: Map<string, Json>, theirs: Map<string, Json>): Json[] {
  const kept = new Map<string, Json>();
  for (const [name, value] of theirs) {
    if (mine.has(name)) kept.set(name, merge(base.get(name), mine.get(name), value));
    else if (!base.has(name)) kept.set(name, value);
  }
  for (const [name, value] of mine) {
    // What they took out stays out, unless it was changed here meanwhile.
    if (!theirs.has(name) && !(base.has(name) && same(base.get(name), value))) kept.set(name, value);
  }
  return [...kept.values()];
}

/**
 * Two changes of one document brought together field by field, and lists entry by entry by what they are: what only one of
 * them changed is taken, and where both changed the same field `mine` holds.
 */
export function merge<T>(base: T, mine: T, theirs: T): T {
  if (same(mine, base)) return theirs;
  if (same(theirs, base)) return mine;
  const [listed, ours, others] = [named(base ?? []), named(mine), named(theirs)];
  // What is merged of three values of a type is of that type: its fields and entries come from them alone.
  if (listed && ours && others) return mergeLists(listed, ours, others) as T;
  // What both have added is of both.
  const from = base ?? {};
  if (!isDict(from) || !isDict(mine) || !isDict(theirs)) return mine;
  const merged: Dict = {};
  for (const name of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const value = merge(from[name], mine[name], theirs[name]);
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

/** A document with a JSON merge patch (RFC 7396) put into it: what a change offered by the kitchen does. */
export function patched<T>(document: T, change: Json): T {
  if (!isDict(change)) return change as T;
  const next = new Map(isDict(document) ? Object.entries(document) : []);
  for (const [name, value] of Object.entries(change)) {
    if (value === null || value === undefined) next.delete(name);
    else next.set(name, patched(next.get(name), value));
  }
  return Object.fromEntries(next) as T;
}
