import { useRef, useState } from "react";

/**
 * What stood before each edit, the last one on top. Taken from it when the turn of the undo comes, after the edits under way: what is
 * undone is then the last edit, however fast it was asked for.
 */
export function useUndoable<T>() {
  const stack = useRef<T[]>([]);
  const [size, setSize] = useState(0);
  const push = (before: T) => setSize(stack.current.push(before));
  const pop = (): T | undefined => {
    const top = stack.current.pop();
    setSize(stack.current.length);
    return top;
  };
  const top = (): T | undefined => stack.current.at(-1);
  return { push, pop, top, size };
}
