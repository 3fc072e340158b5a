import { useCallback, useState } from "react";

/** The width an element has, and a ref to give it. */
export function useWidth(initial = 800): [(element: HTMLElement | null) => (() => void) | undefined, number] {
  const [width, setWidth] = useState(initial);
  const ref = useCallback((element: HTMLElement | null) => {
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setWidth(Math.round(entry.contentRect.width));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, width];
}
