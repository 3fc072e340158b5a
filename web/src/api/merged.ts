type Plain = Record<string, unknown>;

const isObject = (value: unknown): value is Plain =>
  typeof value === "object" && value !== null && !Array.isArray(value);

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

/**
 * An edit made to what was drawn, made to what is there now: of two boxes filled in one after the other the second was drawn before the first
 * was kept, and must not take it back.
 *
 * @param drawn what the edit was made to
 * @param changed what it made of that
 * @param now what is there when it is kept
 */
export function merged<T>(drawn: T, changed: T, now: T): T {
  if (same(drawn, changed)) return now;
  if (Array.isArray(drawn) && Array.isArray(changed) && Array.isArray(now)) {
    return mergedLists(drawn as unknown[], changed as unknown[], now as unknown[]) as T;
  }
  if (!isObject(drawn) || !isObject(changed) || !isObject(now)) return changed;
  const untouched = Object.entries(now).filter(([key]) => !(key in drawn) && !(key in changed));
  const edited = Object.keys(changed)
    .filter((key) => key in now || !(key in drawn) || !same(drawn[key], changed[key]))
    .map((key) => [key, key in now ? mergedField(drawn, changed, now, key) : changed[key]]);
  return Object.fromEntries([...untouched, ...edited]) as T;
}

/** What both added where nothing was drawn is put together field by field. */
function mergedField(drawn: Plain, changed: Plain, now: Plain, key: string): unknown {
  if (key in drawn) return merged(drawn[key], changed[key], now[key]);
  return isObject(changed[key]) && isObject(now[key]) ? merged<Plain>({}, changed[key], now[key]) : changed[key];
}

/** Items are told by their place where no list has become longer or shorter, else by what was drawn of them. */
function mergedLists(from: unknown[], to: unknown[], there: unknown[]): unknown[] {
  if (from.length === to.length && from.length === there.length) {
    return to.map((one, at) => merged(from[at], one, there[at]));
  }
  if (from.length === to.length) {
    const free = [...from.keys()];
    return there.map((one) => {
      const at = free.findIndex((place) => same(from[place], one));
      return at < 0 ? one : to[free.splice(at, 1)[0] ?? 0];
    });
  }
  const kept = from.every((one, at) => same(one, to[at]));
  if (kept) return [...there, ...to.slice(from.length)];
  const gone = from.filter((one) => !to.some((other) => same(one, other)));
  if (to.length === from.length - gone.length) return there.filter((one) => !gone.some((other) => same(one, other)));
  return to;
}
