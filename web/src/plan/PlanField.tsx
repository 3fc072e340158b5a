import { useState } from "react";
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
  &[aria-invalid="true"] {
    border-color: var(--behind);
  }
`;

interface Props {
  label: string;
  value: string;
  onKeep: (value: string) => void;
  isNumber?: boolean;
  width?: number;
}

/** A figure of the plan: Enter or leaving it keeps what was typed, Escape takes it back. */
export function PlanField({ label, value, onKeep, isNumber = false, width }: Props) {
  const [typed, setTyped] = useState<string>();
  const fits = typed === undefined || !isNumber || (typed.trim() !== "" && Number.isFinite(Number(typed)));
  const keep = () => {
    if (typed !== undefined && typed !== value && fits) onKeep(typed);
    if (fits) setTyped(undefined);
  };
  return (
    <Box
      aria-label={label}
      aria-invalid={!fits}
      title={fits ? undefined : "Expected a number of seconds"}
      value={typed ?? value}
      style={width ? { width } : undefined}
      inputMode={isNumber ? "decimal" : "text"}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => {
        if (event.key === "Enter") keep();
        if (event.key === "Escape") setTyped(undefined);
      }}
    />
  );
}
