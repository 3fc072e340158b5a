import styled from "styled-components";
import type { BackView, CreditView, RetestRequest } from "../api/client";
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
  onKeep: (credits: NonNullable<RetestRequest["credits"]>) => unknown;
}

interface BackProps {
  back: BackView;
  onKeep: (back: NonNullable<RetestRequest["back"]>) => unknown;
}

const SHARES = [
  ["ways", "transitions"],
  ["rests", "rests"],
  ["pace", "pace"],
] as const;

/** The fatigue cost of a second saved, and the form of the day: assumptions, and the coach's to set. */
export function GiveBack({ back, onKeep }: BackProps) {
  const keep = (part: Partial<BackView>) => {
    const all = { ...back, ...part };
    onKeep({ ways: all.ways / 100, rests: all.rests / 100, pace: all.pace / 100, form: all.form / 100 });
  };
  return (
    <>
      <Line as="div" role="group" aria-label="Fatigue cost">
        <Small>Fatigue cost of each second saved ({back.says}):</Small>
        {SHARES.map(([kind, words]) => (
          <span key={kind}>
            {words}{" "}
            <PlanField
              label={`Fatigue cost on ${words}, percent`}
              value={back[kind].toFixed(0)}
              onKeep={(text) => keep({ [kind]: Number(text) })}
              width={52}
              isNumber
            />{" "}
            %
          </span>
        ))}
        <span>
          day-to-day variation ±{" "}
          <PlanField
            label="Day-to-day variation, percent"
            value={back.form.toFixed(1)}
            onKeep={(text) => keep({ form: Number(text) })}
            width={56}
            isNumber
          />{" "}
          %
        </span>
      </Line>
      <Meaning of="Fatigue cost">
        Resting less and going faster both take energy, so some of the time saved is lost again as slower work in the
        next minutes, a third more where work goes on until time. Athletes differ: these sizes come from simulated
        athletes, and the likely range allows for half as much either way.
      </Meaning>
    </>
  );
}

/** What a gain counts as proven, by how well it is backed: an assumption, and the coach's to set. */
export function Credits({ credits, onKeep }: Props) {
  const keep = (evidence: CreditView["evidence"], percent: number) =>
    onKeep(
      Object.fromEntries(
        credits.map((one) => [one.evidence, (one.evidence === evidence ? percent : one.percent) / 100]),
      ),
    );
  return (
    <>
      <Line as="div" role="group" aria-label="How much counts as proven">
        <Small>How much a saving counts as proven (assumed):</Small>
        {credits.map((one) => (
          <span key={one.evidence}>
            {one.words}{" "}
            <PlanField
              label={`Counts as proven, percent: ${one.words}`}
              value={one.percent.toFixed(0)}
              onKeep={(text) => keep(one.evidence, Number(text))}
              width={52}
              isNumber
            />{" "}
            %
          </span>
        ))}
      </Line>
      <Meaning of="Done late in this attempt">Held in the last third of the attempt, so by a tired athlete.</Meaning>
    </>
  );
}
