import { useState } from "react";
import { CheckboxButton, CheckboxField, Slider } from "react-aria-components";
import styled from "styled-components";
import type { CallView } from "../api/client";
import { PlanField } from "../plan/PlanField";
import { Small } from "../ui/primitives";
import { Thumb, Track } from "../ui/slider";
import { seconds } from "../ui/time";
import { gainWords } from "./words";

const Row = styled.div`
  display: grid;
  grid-template-columns: 28px minmax(0, 1.3fr) minmax(160px, 1fr) 92px;
  gap: 14px;
  align-items: center;
  padding: 14px 0;
  border-top: 1px solid var(--line);
  &[data-off] {
    color: var(--ink-3);
  }
`;

const Box = styled(CheckboxButton)`
  width: 22px;
  height: 22px;
  border: 1.5px solid var(--ink);
  border-radius: 4px;
  display: grid;
  place-items: center;
  cursor: pointer;
  font-weight: 700;
  &[data-focus-visible] {
    outline: 2px solid var(--focus);
    outline-offset: 2px;
  }
`;

const Gain = styled.span`
  text-align: right;
  font-size: 20px;
  font-weight: 620;
  font-stretch: 82%;
  color: var(--ahead);
  [data-off] & {
    color: inherit;
  }
`;

interface Props {
  change: CallView;
  onTarget: (targetMs: number) => void;
  onSwitch: (on: boolean) => void;
}

/** One change: what, from what to what, what it wins alone, and how far that is backed. */
export function ChangeRow({ change, onTarget, onSwitch }: Props) {
  const [dragged, setDragged] = useState<number>();
  const cadence = change.kind === "HOLD_CADENCE";
  const target = dragged ?? change.targetMs;
  const digits = cadence ? 2 : 1;
  const unit = cadence ? `s per ${change.unit}` : "s";
  const most = Math.max(change.fromMs, change.targetMs, 1);
  return (
    <Row data-off={change.on ? undefined : true}>
      <CheckboxField isSelected={change.on} onChange={onSwitch} aria-label={change.words}>
        <Box>{change.on ? "✓" : ""}</Box>
      </CheckboxField>
      <div>
        <div>{title(change)}</div>
        <Small>
          {change.touched === 0
            ? "nothing in this attempt is slower than that"
            : `${change.touched} ${change.touched === 1 ? "place" : "places"}, the slowest ${seconds(change.fromMs, digits)} ${unit} · ${change.evidenceWords}`}
        </Small>
      </div>
      <div>
        <Slider
          aria-label={`Target: ${change.words}`}
          minValue={0}
          maxValue={most}
          step={cadence ? 10 : 100}
          value={target}
          onChange={setDragged}
          onChangeEnd={(value) => {
            setDragged(undefined);
            onTarget(Math.max(cadence ? 10 : 0, value));
          }}
        >
          <Track>
            <Thumb />
          </Track>
        </Slider>
        <Small>
          to{" "}
          <PlanField
            label={`Target in seconds: ${change.words}`}
            value={seconds(target, digits)}
            onKeep={(text) => onTarget(Math.round(Number(text) * 1000))}
            isNumber
          />{" "}
          {unit}
        </Small>
      </div>
      <Gain title="alone">{gainWords(change.gain)}</Gain>
    </Row>
  );
}

function title({ kind, movement }: CallView): string {
  switch (kind) {
    case "CAP_TRANSITIONS":
      return "Get to the next movement sooner";
    case "CAP_RESTS":
      return "Keep the rests short";
    case "HOLD_CADENCE":
      return `Hold the cadence of the ${movement}`;
  }
}
