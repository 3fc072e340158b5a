/** A movement being typed: where it starts in the text, and what stands there so far. */
export interface Fragment {
  start: number;
  typed: string;
}

const MOST = 6;

/** The movement name being typed at the caret of a notation text; none where no movement is expected. */
export function fragmentAt(text: string, caret: number): Fragment | undefined {
  const lineStart = text.lastIndexOf("\n", caret - 1) + 1;
  const before = text.slice(lineStart, caret);
  const match = /^\s*(?:(?:buy-in|cash-out):\s*)?[\d.+\-/]+\s+(?:(?:cal|m|km|mi|ft|s)\s+)?([a-z][a-z -]*)$/i.exec(
    before,
  );
  const typed = match?.[1];
  if (typed === undefined || typed.length < 2) return undefined;
  return { start: caret - typed.length, typed };
}

/** Names that could be meant: those that start with what is typed first, then those that hold it. */
export function completions(names: readonly string[], typed: string): string[] {
  const wanted = typed.toLowerCase();
  const others = names.filter((name) => name !== wanted);
  const starting = others.filter((name) => name.startsWith(wanted));
  const holding = others.filter((name) => !name.startsWith(wanted) && name.includes(wanted));
  return [...starting, ...holding].slice(0, MOST);
}
