import { type KeyboardEvent, useRef, useState } from "react";
import styled from "styled-components";
import type { WorkoutCheck } from "../api/client";
import { Small, SmallButton } from "../ui/primitives";
import { completions, type Fragment, fragmentAt } from "./completion";
import { broken, indented, put } from "./indent";

const Sheet = styled.div`
  display: grid;
  grid-template-columns: 40px minmax(0, 1fr);
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

const Offers = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  min-height: 34px;
  margin-top: 8px;
`;

const Tidy = styled.p`
  margin: 8px 0 0;
  font-size: 13.5px;
`;

type Remark = WorkoutCheck["errors"][number];

interface Props {
  notation: string;
  onChange: (notation: string) => void;
  errors: Remark[];
  hints: Remark[];
  /** The text as the notation would write it, where it was read as it is usually meant. */
  tidy?: string | undefined;
  /** Names of the movements the catalogue knows. */
  movements: readonly string[];
}

/** The notation as plain text, with what does not fit in the margin and in words below. */
export function Editor({ notation, onChange, errors, hints, tidy, movements }: Props) {
  const [fragment, setFragment] = useState<Fragment>();
  const text = useRef<HTMLTextAreaElement>(null);
  /** Nothing was typed yet, or Escape was pressed: the next Tab leaves, as everywhere else. */
  const leaving = useRef(false);
  const lines = notation.split("\n");
  const go = (remark: Remark) => {
    const start = lines.slice(0, remark.line - 1).reduce((sum, line) => sum + line.length + 1, 0);
    text.current?.focus();
    text.current?.setSelectionRange(start + remark.column - 1, start + remark.column - 1);
  };
  const offers = fragment ? completions(movements, fragment.typed) : [];
  const accept = (name: string) => {
    if (!fragment) return;
    const end = fragment.start + fragment.typed.length;
    onChange(notation.slice(0, fragment.start) + name + notation.slice(end));
    setFragment(undefined);
    const caret = fragment.start + name.length;
    requestAnimationFrame(() => {
      text.current?.focus();
      text.current?.setSelectionRange(caret, caret);
    });
  };
  const press = (event: KeyboardEvent<HTMLTextAreaElement>) => {
    const first = offers[0];
    const leaves = leaving.current;
    leaving.current = event.key === "Escape" || (leaves && event.key === "Shift");
    if (event.key === "Tab" && !event.shiftKey && first) {
      event.preventDefault();
      accept(first);
    } else if (event.key === "Tab" && !leaves) {
      event.preventDefault();
      put(event.currentTarget, indented(event.currentTarget, event.shiftKey ? -1 : 1));
    } else if (event.key === "Enter") {
      event.preventDefault();
      put(event.currentTarget, broken(event.currentTarget));
    }
    if (event.key === "Escape") setFragment(undefined);
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
          onChange={(event) => {
            onChange(event.target.value);
            setFragment(fragmentAt(event.target.value, event.target.selectionStart));
          }}
          onKeyDown={press}
          // Reached by Tab it is left by Tab; only who works in it indents.
          onFocus={() => (leaving.current = true)}
          onClick={() => (leaving.current = false)}
          onBlur={() => setTimeout(() => setFragment(undefined), 200)}
        />
      </Sheet>
      <Offers role="status" aria-label="Suggested movements">
        {offers.map((name, index) => (
          <SmallButton key={name} onPress={() => accept(name)}>
            {index === 0 ? `Tab: ${name}` : name}
          </SmallButton>
        ))}
      </Offers>
      <Small as="p">Enter keeps the indent, Tab and Shift Tab change it; Escape, then Tab, leaves the text.</Small>
      {tidy !== undefined && (
        <Tidy role="status">
          Read as it is usually meant; the board beside shows how.{" "}
          <SmallButton onPress={() => onChange(tidy)}>Clean up formatting</SmallButton>
        </Tidy>
      )}
      <Remarks aria-label="Errors" aria-live="polite">
        {errors.slice(0, 12).map((error, index) => (
          <li key={index}>
            <button type="button" onClick={() => go(error)}>
              {error.text}
            </button>
          </li>
        ))}
        {errors.length > 12 && <li>and {errors.length - 12} more.</li>}
        {hints.map((hint, index) => (
          <li key={`hint ${index}`}>
            <button type="button" data-hint onClick={() => go(hint)}>
              {hint.text}
            </button>
          </li>
        ))}
      </Remarks>
    </>
  );
}
