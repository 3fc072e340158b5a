import { type KeyboardEvent, useEffect, useRef, useState } from "react";
import styled from "styled-components";
import { message } from "../api/client";

const Box = styled.input`
  font: inherit;
  text-align: right;
  width: 64px;
  padding: 4px 8px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--ground);
  color: var(--ink);
  &::placeholder {
    color: var(--ink-3);
    opacity: 0.75;
    font-style: italic;
  }
  /* On the board a figure is pencilled; it becomes a box where it is about to be changed. */
  &[data-column]:not(:focus, :hover) {
    background: none;
    border-color: transparent;
    border-bottom: 1px dotted var(--ink-3);
    border-radius: 0;
  }
  &[data-pale]:not(:focus) {
    color: var(--ink-3);
  }
  &[aria-invalid="true"] {
    border-color: var(--behind) !important;
  }
`;

interface Props {
  label: string;
  value: string;
  /** Sends what was typed; what comes back is settled with the answer, and fails with the reason it was refused for. */
  onKeep: (value: string) => unknown;
  isNumber?: boolean;
  /** Words stand at the left, figures at the right. */
  isText?: boolean;
  width?: number;
  placeholder?: string;
  /** Which column of the board it stands in; up and down go along it. */
  column?: string;
  /** Nobody has changed it: it is the draft's. */
  isPale?: boolean;
  /** Whether it may be emptied though it is a number. */
  isClearable?: boolean;
  /** Whether Enter goes on to the next field of the column, as in a table of figures. */
  enterGoesOn?: boolean;
}

/** A figure of the plan: Enter or leaving it keeps what was typed, Escape shows what is in force, up and down change the row. */
export function PlanField({
  label,
  value,
  onKeep,
  isNumber = false,
  isText = false,
  width,
  placeholder,
  column,
  isPale = false,
  isClearable = false,
  enterGoesOn = false,
}: Props) {
  const field = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState<string>();
  // What was sent stays on show while its answer is on the way, and, marked, when it was refused, until it is mended.
  const [sent, setSent] = useState<{ text: string; refused?: string }>();
  const shown = typed ?? sent?.text ?? value;
  const isEmpty = typed?.trim() === "";
  const isNone = typed !== undefined && isNumber && (isEmpty ? !isClearable : !Number.isFinite(Number(typed)));
  const wrong = isNone ? `“${typed}” is not a number of seconds. Use seconds, like 4.5.` : sent?.refused;
  const keep = () => {
    if (isNone) return;
    if (typed !== undefined && typed !== (sent?.text ?? value)) send(typed);
    setTyped(undefined);
  };
  const send = (text: string) => {
    const mine = { text };
    setSent(mine);
    // An answer to what was typed before says nothing of what was typed since.
    const settle = (now: { text: string; refused: string } | undefined) =>
      setSent((latest) => (latest === mine ? now : latest));
    new Promise((resolve) => resolve(onKeep(text))).then(
      () => settle(undefined),
      (error: unknown) => settle({ text, refused: message(error) }),
    );
  };
  useEffect(() => {
    if (typed === undefined && document.activeElement === field.current) field.current?.select();
  }, [typed, shown]);
  const press = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === "Enter") {
      // Leaving it keeps what was typed, once.
      const goesOn = enterGoesOn && column && !isNone && along(event.currentTarget, column, event.shiftKey ? -1 : 1);
      if (!goesOn) keep();
    }
    if (event.key === "Escape") {
      setTyped(undefined);
      setSent(undefined);
    }
    if (column && (event.key === "ArrowDown" || event.key === "ArrowUp")) {
      event.preventDefault();
      along(event.currentTarget, column, event.key === "ArrowDown" ? 1 : -1);
    }
  };
  return (
    <Box
      aria-label={label}
      aria-invalid={wrong !== undefined}
      title={wrong}
      ref={field}
      value={shown}
      placeholder={placeholder}
      data-column={column}
      data-pale={isPale || undefined}
      style={{ ...(width && { width, maxWidth: "100%" }), ...(isText && { textAlign: "left", paddingLeft: 0 }) }}
      inputMode={isNumber ? "decimal" : "text"}
      onFocus={(event) => event.currentTarget.select()}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={keep}
      onKeyDown={press}
    />
  );
}

/** To the next or previous field of the same column; whether there is one. */
function along(from: HTMLElement, column: string, step: number) {
  const fields = [...(from.closest("table")?.querySelectorAll<HTMLElement>(`[data-column="${column}"]`) ?? [])];
  const next = fields[fields.indexOf(from) + step];
  next?.focus();
  return next !== undefined;
}
