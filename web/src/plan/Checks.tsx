import { useState } from "react";
import styled from "styled-components";
import type { CheckView, PlanView } from "../api/client";
import { Input } from "../ui/fields";
import { Small, SmallButton } from "../ui/primitives";
import type { PlanEdits } from "./usePlanEdits";

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
`;

const Item = styled.li`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  padding: 5px 10px;
  margin: 0 0 6px;
  border-left: 3px solid var(--caution);
  background: var(--caution-ground);
  border-radius: 0 6px 6px 0;
  font-size: 13.5px;
  &[data-aside] {
    border-left-style: dotted;
    background: none;
    color: var(--ink-2);
  }
`;

interface Props {
  checks: CheckView[];
  view: PlanView;
  edits: PlanEdits;
}

/** What an experienced coach would question, each with its fix; set aside with a note why. */
export function Checks({ checks, view, edits }: Props) {
  if (checks.length === 0) return null;
  return (
    <List aria-label="Warnings">
      {checks.map((check) => (
        <Check key={check.key} check={check} view={view} edits={edits} />
      ))}
    </List>
  );
}

function Check({ check, view, edits }: { check: CheckView; view: PlanView; edits: PlanEdits }) {
  const [note, setNote] = useState<string>();
  const { mended } = check;
  const aside = (text: string | undefined) => {
    const { [check.key]: gone, ...others } = view.plan.ignored ?? {};
    const ignored = text === undefined ? others : { ...others, [check.key]: text };
    edits.change({ ignored }, text === undefined ? "Warning shown again" : "Warning ignored");
    setNote(gone === text ? note : undefined);
  };
  if (check.setAside !== undefined) {
    return (
      <Item data-aside>
        <span>
          Ignore: {check.sentence} <Small>{check.setAside}</Small>
        </span>
        <SmallButton onPress={() => aside(undefined)}>Show again</SmallButton>
      </Item>
    );
  }
  return (
    <Item>
      <span>{check.sentence}.</span>
      {mended && check.fix && (
        <SmallButton onPress={() => edits.keep(mended, `Fix: ${check.fix ?? ""}`)}>Do it: {check.fix}</SmallButton>
      )}
      {note === undefined ? (
        <SmallButton onPress={() => setNote("")} aria-label={`Ignore: ${check.sentence}`}>
          Ignore
        </SmallButton>
      ) : (
        <Input
          aria-label="Why it is ignored"
          placeholder="Reason (press Enter to save)"
          style={{ width: 220, minHeight: 28, padding: "2px 8px" }}
          autoFocus
          value={note}
          onChange={(event) => setNote(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter") aside(note.trim());
            if (event.key === "Escape") setNote(undefined);
          }}
        />
      )}
    </Item>
  );
}
