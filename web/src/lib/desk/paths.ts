/** Plain JSON, as cases are kept. */
export type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };

const steps = (path: string): string[] => path.replace(/\[(\d+)\]/g, '.$1').split('.');

/** Value at a path such as "load.demand.force" or "speed.profile[1].hours". */
export function valueAt(data: unknown, path: string): unknown {
  return steps(path).reduce<unknown>(
    (inner, key) => (typeof inner === 'object' && inner !== null ? Reflect.get(inner, key) : undefined),
    data,
  );
}

/**
 * Puts a value at a path of a draft in place, making objects on the way; undefined removes it and emptied objects
 * above.
 */
export function putAt(data: object, path: string, value: Json | undefined): void {
  const keys = steps(path);
  const last = keys.pop();
  if (last === undefined) return;
  const chain: object[] = [data];
  for (const key of keys) {
    const parent = chain.at(-1) ?? data;
    let next: unknown = Reflect.get(parent, key);
    if (typeof next !== 'object' || next === null) {
      if (value === undefined) return;
      next = {};
      Reflect.set(parent, key, next);
    }
    if (typeof next === 'object' && next !== null) chain.push(next);
  }
  const parent = chain.at(-1) ?? data;
  if (value !== undefined) {
    Reflect.set(parent, last, value);
    return;
  }
  Reflect.deleteProperty(parent, last);
  for (let i = chain.length - 1; i > 0; i--) {
    const object = chain[i];
    const above = chain[i - 1];
    const key = keys[i - 1];
    if (!object || !above || key === undefined || Array.isArray(above)) return;
    const left = Object.keys(object);
    if (left.length > 0 && !(left.length === 1 && left[0] === 'kind')) return;
    if (left.length === 1) return;
    Reflect.deleteProperty(above, key);
  }
}
