import styled from "styled-components";
import type { CreditView, RetestRequest } from "../api/client";
import { PlanField } from "../plan/PlanField";
import { Meaning } from "../ui/Meaning";
import { Small } from "../ui/primitives";

const Line = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  margin-top: 8px;
  font-size: 13.5px;
  color: var(--ink-2);
`;

interface Props {
  credits: CreditView[];
  onKeep: (credits: NonNullable<RetestRequest["credits"]>) => void;
}

/** What a gain counts on evidence, by how well it is backed: an assumption, and the coach's to set. */
export function Credits({ credits, onKeep }: Props) {
  const keep = (evidence: CreditView["evidence"], percent: number) =>
    onKeep(
      Object.fromEntries(
        credits.map((one) => [one.evidence, (one.evidence === evidence ? percent : one.percent) / 100]),
      ),
    );
  return (
    <>
      <Line as="div" role="group" aria-label="Credits">
        <Small>On evidence a saving counts, by assumption:</Small>
        {credits.map((one) => (
          <span key={one.evidence}>
            {one.words}{" "}
            <PlanField
              label={`Credit in percent: ${one.words}`}
              value={one.percent.toFixed(0)}
              onKeep={(text) => keep(one.evidence, Number(text))}
              width={52}
              isNumber
            />{" "}
            %
          </span>
        ))}
      </Line>
      <Meaning of="shown late">
        Held in the last third of the attempt, and so by someone tired. “Shown” is anywhere in the attempt, “elsewhere”
        in another one.
      </Meaning>
    </>
  );
}
