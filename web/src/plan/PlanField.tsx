import { type KeyboardEvent, useEffect, useRef, useState } from "react";
import styled from "styled-components";

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
  onKeep: (value: string) => void;
  isNumber?: boolean;
  /** Words stand at the left, figures at the right. */
  isText?: boolean;
  width?: number;
  placeholder?: string;
  /** Which column of the board it stands in; up and down go along it. */
  column?: string;
  /** Nobody has changed it: it is the draft's. */
  isPale?: boolean;
}

/** A figure of the plan: Enter or leaving it keeps what was typed, Escape takes it back, up and down change the row. */
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
}: Props) {
  const field = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState<string>();
  const [sent, setSent] = useState<{ text: string; was: string }>();
  // What was sent stays on show until the figure changes: while the answer is on its way, and when it was refused.
  const shown = typed ?? (sent?.was === value ? sent.text : value);
  const fits = typed === undefined || !isNumber || (typed.trim() !== "" && Number.isFinite(Number(typed)));
  const keep = () => {
    if (!fits) return;
    if (typed !== undefined && typed !== value) {
      setSent({ text: typed, was: value });
      onKeep(typed);
    }
    setTyped(undefined);
  };
  useEffect(() => {
    if (typed === undefined && document.activeElement === field.current) field.current?.select();
  }, [typed, shown]);
  const press = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === "Enter") {
      keep();
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
      aria-invalid={!fits}
      title={fits ? undefined : "Expected a number of seconds"}
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

/** To the next or previous field of the same column. */
function along(from: HTMLElement, column: string, step: number) {
  const fields = [...(from.closest("table")?.querySelectorAll<HTMLElement>(`[data-column="${column}"]`) ?? [])];
  fields[fields.indexOf(from) + step]?.focus();
}
