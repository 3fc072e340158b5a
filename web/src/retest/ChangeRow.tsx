import { useState } from "react";
import { CheckboxButton, CheckboxField, Slider } from "react-aria-components";
import styled from "styled-components";
import type { CallView, ChangeJson, DialView } from "../api/client";
import { PlanField } from "../plan/PlanField";
import { Select, Small, SmallButton } from "../ui/primitives";
import { Thumb, Track } from "../ui/slider";

const Row = styled.article`
  display: grid;
  grid-template-columns: 28px minmax(0, 1.7fr) minmax(150px, 1fr) 108px;
  gap: 2px 14px;
  align-items: start;
  padding: 12px 0;
  border-top: 1px solid var(--line);
  &[data-off] {
    color: var(--ink-3);
  }
  @media (max-width: 620px) {
    grid-template-columns: 28px minmax(0, 1fr) 92px;
    > :nth-child(3) {
      grid-column: 2;
      grid-row: 2;
    }
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

const Gain = styled.div`
  text-align: right;
  b {
    display: block;
    font-size: 20px;
    line-height: 1.2;
    font-weight: 620;
    font-stretch: 82%;
    color: var(--ahead);
  }
  b[data-costs] {
    color: var(--behind);
  }
  [data-off] & b {
    color: inherit;
  }
`;

const Aside = styled.p`
  font-size: 13px;
  color: var(--ink-2);
  margin-top: 3px;
`;

interface Props {
  call: CallView;
  onChange: (part: Partial<ChangeJson>) => void;
  onDrag: (target: number) => void;
  onRemove: () => void;
}

/** One change: what, to what, what it wins alone and in most replays, how far that is backed, and what it would have to bring. */
export function ChangeRow({ call, onChange, onDrag, onRemove }: Props) {
  return (
    <Row data-off={call.on ? undefined : true} aria-label={call.title}>
      <CheckboxField isSelected={call.on} onChange={(on) => onChange({ on })} aria-label={call.title}>
        <Box>{call.on ? "✓" : ""}</Box>
      </CheckboxField>
      <div>
        <div>{call.title}</div>
        <Small>
          {call.place}
          {call.reason === undefined && ` · ${call.evidenceWords}`}
        </Small>
        {call.breakEven.map((line) => (
          <Aside key={line}>{line}</Aside>
        ))}
      </div>
      <Target call={call} onChange={onChange} onDrag={onDrag} />
      <Gain>
        <b data-costs={call.gain.ms < 0 || call.gain.reps < 0 ? true : undefined}>{call.gain.words}</b>
        <Small title="In eight replays of ten">
          {call.low && call.high && call.low.words !== call.high.words && `${call.low.words} to ${call.high.words}`}
        </Small>{" "}
        <SmallButton onPress={onRemove} aria-label={`Take out: ${call.title}`} style={{ marginTop: 4 }}>
          Take out
        </SmallButton>
      </Gain>
    </Row>
  );
}

function Target({ call, onChange, onDrag }: Omit<Props, "onRemove">) {
  if (call.change.kind === "CHANGE_SETS") {
    return (
      <Small>
        in{" "}
        <PlanField
          label={`Sets: ${call.title}`}
          value={call.change.sets ?? "unbroken"}
          onKeep={(sets) => onChange({ sets })}
          width={96}
        />
      </Small>
    );
  }
  return call.dial ? <Dial call={call} dial={call.dial} onChange={onChange} onDrag={onDrag} /> : <span />;
}

function Dial({ call, dial, onChange, onDrag }: Omit<Props, "onRemove"> & { dial: DialView }) {
  const [dragged, setDragged] = useState<number>();
  const target = dragged ?? dial.value;
  const { least, most, step, digits } = dial;
  return (
    <div>
      <Slider
        aria-label={`Target: ${call.title}`}
        minValue={least}
        maxValue={Math.max(most, target)}
        step={step}
        value={target}
        onChange={(value) => {
          setDragged(value);
          onDrag(value);
        }}
        onChangeEnd={(value) => {
          setDragged(undefined);
          onChange({ target: value });
        }}
      >
        <Track>
          <Thumb />
        </Track>
      </Slider>
      <Small>
        to{" "}
        <PlanField
          label={`Target in ${dial.unit}: ${call.title}`}
          value={target.toFixed(digits)}
          onKeep={(text) => onChange({ target: Number(text) })}
          isNumber
        />{" "}
        {dragged === undefined ? dial.says || dial.unit : dial.unit}
      </Small>
      {dial.shown.length > 1 && (
        <Select
          aria-label={`Hold a round: ${call.title}`}
          value=""
          style={{ display: "block", marginTop: 4, minHeight: 26, padding: "1px 6px", fontSize: 13 }}
          onChange={(event) => onChange({ target: Number(event.target.value) })}
        >
          <option value="">hold round…</option>
          {dial.shown.map((one) => (
            <option key={one.words} value={one.value}>
              {one.words}: {one.value.toFixed(digits)}
            </option>
          ))}
        </Select>
      )}
    </div>
  );
}
