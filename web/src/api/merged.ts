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
    const [from, to, there] = [drawn as unknown[], changed as unknown[], now as unknown[]];
    const alike = from.length === to.length && from.length === there.length;
    return (alike ? to.map((one, at) => merged(from[at], one, there[at])) : to) as T;
  }
  if (!isObject(drawn) || !isObject(changed) || !isObject(now)) return changed;
  const untouched = Object.entries(now).filter(([key]) => !(key in drawn) && !(key in changed));
  const edited = Object.keys(changed)
    .filter((key) => key in now || !(key in drawn) || !same(drawn[key], changed[key]))
    .map((key) => [key, key in drawn && key in now ? merged(drawn[key], changed[key], now[key]) : changed[key]]);
  return Object.fromEntries([...untouched, ...edited]) as T;
}
