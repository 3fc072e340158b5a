const KILO = 1000;

/** A size as people say it. */
export function bytes(count: number): string {
  const units = ["bytes", "kB", "MB", "GB", "TB"];
  let size = count;
  let unit = 0;
  while (size >= KILO && unit < units.length - 1) {
    size /= KILO;
    unit++;
  }
  return `${size >= 10 || unit === 0 ? Math.round(size) : size.toFixed(1)} ${units[unit] ?? ""}`;
}

/** So many of something. */
export function many(count: number, one: string): string {
  return `${count} ${one}${count === 1 ? "" : "s"}`;
}
