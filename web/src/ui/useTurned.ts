import { useState } from "react";

/** What was turned from how it stands by itself, open or folded; turned again it is as before. */
export function useTurned<T>() {
  const [turned, setTurned] = useState<ReadonlySet<T>>(new Set());
  const turn = (one: T) =>
    setTurned((old) => (old.has(one) ? new Set([...old].filter((other) => other !== one)) : new Set([...old, one])));
  return { isTurned: (one: T) => turned.has(one), turn };
}
