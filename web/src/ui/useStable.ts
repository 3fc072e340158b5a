import { useCallback, useLayoutEffect, useRef } from "react";

/** A handler that stays the same over renders and always does what the latest one would: for what is rendered only when its figures change. */
export function useStable<A extends unknown[]>(handler: (...args: A) => void): (...args: A) => void {
  const latest = useRef(handler);
  useLayoutEffect(() => {
    latest.current = handler;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
