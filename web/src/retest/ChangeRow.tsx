import { useState } from "react";
import { CheckboxButton, CheckboxField, Slider } from "react-aria-components";
import styled from "styled-components";
import type { ProjectedChangeView, ChangeJson, SliderView } from "../api/client";
import { PlanField } from "../plan/PlanField";
import { Select, Small, SmallButton } from "../ui/primitives";
import { Thumb, Track } from "../ui/slider";
import { span } from "../ui/time";

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

/** A share is said where it is not just the gain again. */
const TOLD_APART_MS = 500;

interface Props {
  projected: ProjectedChangeView;
  solved: string | undefined;
  /** Absent where there is nothing to solve for. */
  onSolve: (() => void) | undefined;
  onChange: (part: Partial<ChangeJson>) => unknown;
  onDrag: (target: number) => void;
  onRemove: () => unknown;
}

/** One change with its target, projected gain, likely range, how well it is proven and its break-even. */
export function ChangeRow({ projected, solved, onSolve, onChange, onDrag, onRemove }: Props) {
  return (
    <Row data-off={projected.on ? undefined : true} aria-label={projected.title}>
      <CheckboxField isSelected={projected.on} onChange={(on) => onChange({ on })} aria-label={projected.title}>
        <Box>{projected.on ? "✓" : ""}</Box>
      </CheckboxField>
      <div>
        <div>{projected.title}</div>
        <Small>
          {projected.place}
          {projected.reason === undefined && ` · ${projected.evidenceWords}`}
        </Small>
        {projected.places.length > 1 && <Where projected={projected} onChange={onChange} />}
        {solved !== undefined && <Aside role="status">{solved}</Aside>}
        {projected.breakEven.map((line) => (
          <Aside key={line}>{line}</Aside>
        ))}
      </div>
      <Target projected={projected} onSolve={onSolve} onChange={onChange} onDrag={onDrag} />
      <Gain>
        <b data-costs={projected.expected.ms < 0 || projected.expected.reps < 0 ? true : undefined}>
          {projected.expected.words}
        </b>
        <Small as="div" title="Likely range, 8 in 10">
          {projected.low &&
            projected.high &&
            projected.low.words !== projected.high.words &&
            `${projected.low.words === "no change" ? "0" : projected.low.words} to ${projected.high.words}`}
        </Small>
        {projected.gain.words !== projected.expected.words && (
          <Small as="div">{projected.gain.words} before fatigue</Small>
        )}
        {projected.shareMs !== undefined &&
          projected.gain.reps === 0 &&
          Math.abs(projected.shareMs - projected.gain.ms) > TOLD_APART_MS && (
            <Small as="div">{span(projected.shareMs)} of the total</Small>
          )}
        <SmallButton onPress={onRemove} aria-label={`Remove: ${projected.title}`} style={{ marginTop: 4 }}>
          Remove
        </SmallButton>
      </Gain>
    </Row>
  );
}

/** For which places it is meant. */
function Where({ projected, onChange }: Pick<Props, "projected" | "onChange">) {
  const now = projected.places.findIndex((place) => place.chosen);
  return (
    <Select
      aria-label={`Where: ${projected.title}`}
      value={now}
      style={{ display: "block", marginTop: 4, minHeight: 26, padding: "1px 6px", fontSize: 13 }}
      onChange={(event) => {
        const place = projected.places[Number(event.target.value)];
        if (place) onChange(place.where ? { where: place.where } : { where: EVERYWHERE });
      }}
    >
      {now < 0 && <option value={-1}>as chosen</option>}
      {projected.places.map((place, index) => (
        <option key={place.words} value={index}>
          {place.words}
        </option>
      ))}
    </Select>
  );
}

const EVERYWHERE = { from: 0, to: 0, section: "", load: "", set: 0 };

type TargetProps = Pick<Props, "projected" | "onChange" | "onDrag" | "onSolve">;

/** One figure, or one for each place in turn. */
function targets(text: string): Partial<ChangeJson> {
  const each = text
    .split(/[,;\s]+/)
    .filter((part) => part !== "")
    .map(Number);
  return { target: each[0] ?? Number.NaN, targets: each.length > 1 ? each : [] };
}

function Target({ projected, onSolve, onChange, onDrag }: TargetProps) {
  if (projected.change.kind === "CHANGE_SETS") {
    return (
      <Small>
        in{" "}
        <PlanField
          label={`Sets: ${projected.title}`}
          value={projected.change.sets ?? "unbroken"}
          onKeep={(sets) => onChange({ sets })}
          width={96}
        />
      </Small>
    );
  }
  return projected.slider ? (
    <TargetSlider
      projected={projected}
      slider={projected.slider}
      onSolve={onSolve}
      onChange={onChange}
      onDrag={onDrag}
    />
  ) : (
    <span />
  );
}

function TargetSlider({ projected, slider, onSolve, onChange, onDrag }: TargetProps & { slider: SliderView }) {
  const [dragged, setDragged] = useState<number>();
  const target = dragged ?? slider.value;
  const { least, most, step, digits } = slider;
  return (
    <div>
      <Slider
        aria-label={`Target: ${projected.title}`}
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
          onChange({ target: value, targets: [] });
        }}
      >
        <Track>
          <Thumb />
        </Track>
      </Slider>
      <Small>
        to{" "}
        <PlanField
          label={`Target in ${slider.unit}: ${projected.title}`}
          value={dragged === undefined ? slider.written : target.toFixed(digits)}
          onKeep={(text) => onChange(targets(text))}
          width={Math.max(64, 12 + 9 * slider.written.length)}
        />{" "}
        {dragged === undefined ? slider.says || slider.unit : slider.unit}
      </Small>{" "}
      {onSolve && (
        <SmallButton onPress={onSolve} aria-label={`Solve for goal: ${projected.title}`}>
          Solve for goal
        </SmallButton>
      )}
      {slider.shown.length > 1 && (
        <Select
          aria-label={`Match a round: ${projected.title}`}
          value=""
          style={{ display: "block", marginTop: 4, minHeight: 26, padding: "1px 6px", fontSize: 13 }}
          onChange={(event) => onChange({ target: Number(event.target.value), targets: [] })}
        >
          <option value="">match round…</option>
          {slider.shown.map((one) => (
            <option key={one.words} value={one.value}>
              {one.words}: {one.value.toFixed(digits)}
            </option>
          ))}
        </Select>
      )}
    </div>
  );
}
