import { useRef } from "react";
import styled from "styled-components";
import type { WorkoutCheck } from "../api/client";

const Sheet = styled.div`
  display: grid;
  grid-template-columns: 40px 1fr;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--panel);
  font-size: 15px;
  line-height: 24px;
`;

const Margin = styled.ol`
  list-style: none;
  margin: 0;
  padding: 12px 0;
  text-align: right;
  color: var(--ink-3);
  border-right: 1px solid var(--line);
  li {
    padding-right: 8px;
    height: 24px;
    font-size: 12px;
  }
  li[data-problem] {
    color: var(--panel);
    background: var(--behind);
    font-weight: 700;
  }
  li[data-hint] {
    color: var(--caution);
    font-weight: 700;
  }
`;

const Text = styled.textarea`
  font: inherit;
  font-stretch: 92%;
  border: 0;
  padding: 12px;
  background: transparent;
  color: var(--ink);
  resize: none;
  white-space: pre;
  overflow-x: auto;
  min-height: 336px;
`;

const Remarks = styled.ul`
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
  font-size: 13.5px;
  button {
    font: inherit;
    background: none;
    border: 0;
    padding: 3px 0;
    color: var(--behind);
    text-align: left;
    cursor: pointer;
  }
  [data-hint] {
    color: var(--caution);
  }
`;

type Remark = WorkoutCheck["errors"][number];

interface Props {
  notation: string;
  onChange: (notation: string) => void;
  errors: Remark[];
  hints: Remark[];
}

/** The notation as plain text, with what does not fit in the margin and in words below. */
export function Editor({ notation, onChange, errors, hints }: Props) {
  const text = useRef<HTMLTextAreaElement>(null);
  const lines = notation.split("\n");
  const go = (remark: Remark) => {
    const start = lines.slice(0, remark.line - 1).reduce((sum, line) => sum + line.length + 1, 0);
    text.current?.focus();
    text.current?.setSelectionRange(start + remark.column - 1, start + remark.column - 1);
  };
  return (
    <>
      <Sheet>
        <Margin aria-hidden>
          {lines.map((_, index) => (
            <li
              key={index}
              data-problem={errors.some((error) => error.line === index + 1) || undefined}
              data-hint={hints.some((hint) => hint.line === index + 1) || undefined}
            >
              {index + 1}
            </li>
          ))}
        </Margin>
        <Text
          ref={text}
          aria-label="Workout notation"
          spellCheck={false}
          wrap="off"
          value={notation}
          rows={Math.max(14, lines.length)}
          onChange={(event) => onChange(event.target.value)}
        />
      </Sheet>
      <Remarks aria-label="What does not fit" aria-live="polite">
        {errors.slice(0, 12).map((error, index) => (
          <li key={index}>
            <button type="button" onClick={() => go(error)}>
              Line {error.line}, column {error.column}: found {error.found}, expected {error.expected}.
            </button>
          </li>
        ))}
        {errors.length > 12 && <li>and {errors.length - 12} more.</li>}
        {hints.map((hint, index) => (
          <li key={`hint ${index}`}>
            <button type="button" data-hint onClick={() => go(hint)}>
              Line {hint.line}: {hint.found} is not in the catalogue; {hint.expected}?
            </button>
          </li>
        ))}
      </Remarks>
    </>
  );
}
