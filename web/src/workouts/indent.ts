const STEP = "  ";
/** After these a block is open: what comes next stands inside it. */
const OPENS = /:\s*$|^(for time|amrap|every|lift)\b/i;

interface Written {
  value: string;
  selectionStart: number;
  selectionEnd: number;
}

/** Text to stand in the place of a stretch, and what is selected then. */
export interface Put {
  from: number;
  to: number;
  text: string;
  start: number;
  end: number;
}

/**
 * A new line with the indent of the one it is broken off, a step deeper where that opens a block; from a line left blank a step less deep: a
 * blank line ends a block.
 */
export function broken({ value, selectionStart, selectionEnd }: Written): Put {
  const line = value.slice(value.lastIndexOf("\n", selectionStart - 1) + 1, selectionStart);
  const indent = /^ */.exec(line)?.[0] ?? "";
  const ends = line.trim() === "" && indent.length > STEP.length;
  const text = ends ? `\n${indent.slice(STEP.length)}` : `\n${indent}${OPENS.test(line.trim()) ? STEP : ""}`;
  const at = selectionStart + text.length;
  return { from: selectionStart, to: selectionEnd, text, start: at, end: at };
}

/** The lines touched, a step deeper or less deep. */
export function indented({ value, selectionStart, selectionEnd }: Written, by: 1 | -1): Put {
  const from = value.lastIndexOf("\n", selectionStart - 1) + 1;
  const next = value.indexOf("\n", selectionEnd);
  const to = next < 0 ? value.length : next;
  const lines = value.slice(from, to).split("\n");
  const moved = lines.map((line) => (by > 0 ? STEP + line : line.replace(/^ {1,2}/, "")));
  const text = moved.join("\n");
  const first = (moved[0]?.length ?? 0) - (lines[0]?.length ?? 0);
  return {
    from,
    to,
    text,
    start: Math.max(from, selectionStart + first),
    end: Math.max(from, selectionEnd + text.length - (to - from)),
  };
}

/** Puts it into a text box as if it had been typed, so that the browser's own undo knows of it. */
export function put(box: HTMLTextAreaElement, { from, to, text, start, end }: Put): void {
  box.setSelectionRange(from, to);
  // Old, and the only way to type into a text box that the undo of browsers knows of.
  // eslint-disable-next-line @typescript-eslint/no-deprecated
  const typed = text === "" ? document.execCommand("delete") : document.execCommand("insertText", false, text);
  if (typed) box.setSelectionRange(start, end);
}
