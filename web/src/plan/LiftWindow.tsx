import { type SyntheticEvent, useState } from "react";
import styled from "styled-components";
import type { LiftJson, PlanView } from "../api/client";
import { useGym } from "../data/GymSettings";
import { LiftAxis } from "../lifts/LiftAxis";
import { Input, Label } from "../ui/fields";
import { Heading, Panel, PrimaryButton, Problem, Quiet, Select, Small, SmallButton } from "../ui/primitives";
import { capital, told, wallClock } from "../ui/time";
import { Checks } from "./Checks";
import { LiftTable } from "./LiftTable";
import type { PlanEdits } from "./usePlanEdits";

const Form = styled.form`
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: end;
  > div {
    max-width: 100%;
  }
`;

interface Props {
  view: PlanView;
  edits: PlanEdits;
}

/** A lift window: a time axis with the lifts on it, each with its load and plates. */
export function LiftWindow({ view, edits }: Props) {
  const { timetable } = view;
  const { lift } = view.plan;
  const wrong = /^(lift|max|seconds|bar|plates)/.test(edits.problemAt ?? "") ? edits.problem : undefined;
  return (
    <>
      <Panel style={{ marginTop: 24 }}>
        {timetable && lift ? (
          <>
            <Axis
              timetable={timetable}
              lift={lift}
              onLift={(changed, what) => edits.changed({ lift: changed }, what)}
            />
            <LiftTable
              timetable={timetable}
              lift={lift}
              onLift={(changed, what) => edits.changed({ lift: changed }, what)}
              canUndo={edits.canUndo}
              onUndo={edits.undo}
            />
            {wrong && <Problem style={{ marginTop: 8 }}>{wrong}</Problem>}
            <Quiet style={{ marginTop: 12 }}>
              Calm starts end at {wallClock(timetable.latestStartMs)}; the bar must leave the floor before{" "}
              {wallClock(timetable.windowMs)}.
              {timetable.toNextPartMs !== undefined &&
                ` ${told("WHOLE").span(timetable.toNextPartMs)} from the last lift to the next part.`}
              {timetable.fatigueRule && ` ${capital(timetable.fatigueRule)}.`}
            </Quiet>
            <Checks checks={view.checks} view={view} edits={edits} />
          </>
        ) : (
          <>
            <Quiet>Say the max, and how many lifts; the rest can be changed.</Quiet>
            {wrong && <Problem style={{ marginTop: 8 }}>{wrong}</Problem>}
          </>
        )}
      </Panel>
      <Timetable view={view} edits={edits} />
    </>
  );
}

interface AxisProps {
  timetable: NonNullable<PlanView["timetable"]>;
  lift: LiftJson;
  onLift: (lift: LiftJson, what: string) => unknown;
}

/** The lifts on the clock; each can be pulled along, or moved by the arrow keys. */
export function Axis({ timetable, lift, onLift }: AxisProps) {
  return (
    <LiftAxis
      label="The lifts on the clock"
      windowMs={timetable.windowMs}
      maxKg={timetable.maxKg}
      max={lift.max}
      calmUntilMs={timetable.latestStartMs}
      planned={timetable.rows}
      onMove={(index, startMs) =>
        onLift(
          { ...lift, lifts: lift.lifts.map((one, at) => (at === index ? { ...one, startMs } : one)) },
          `Lift ${index + 1} at ${wallClock(startMs)}`,
        )
      }
    />
  );
}

function Timetable({ view, edits }: Props) {
  const { lift } = view.plan;
  const [max, setMax] = useState(lift?.max ?? view.maxes[0]?.load ?? "");
  const [count, setCount] = useState(`${lift?.lifts.length ?? 5}`);
  const [seconds, setSeconds] = useState(lift ? `${lift.complexMs / 1000}` : "");
  const gym = useGym().data;
  const [ownBar, setBar] = useState(lift?.bar);
  const [ownPlates, setPlates] = useState(lift?.plates);
  const bar = ownBar ?? gym?.bar ?? "";
  const plates = ownPlates ?? gym?.plates ?? "";
  const other = gym?.racks.find((rack) => !bar.includes(rack.unit));
  const make = (event: SyntheticEvent) => {
    event.preventDefault();
    edits.makeTimetable({
      max,
      lifts: Math.round(Number(count)) || 0,
      bar,
      plates,
      ...(seconds.trim() !== "" && { seconds: Number(seconds.replace(/s$/, "")) || 0 }),
    });
  };
  return (
    <section aria-label="Build a lift plan" style={{ marginTop: 28 }}>
      <Heading>{lift ? "Start again" : "Build a lift plan"}</Heading>
      <Form onSubmit={make}>
        <Field id="lift-max" name="Max" value={max} onChange={setMax} width={100} placeholder="100 kg" />
        {view.maxes.length > 0 && (
          <div>
            <Label htmlFor="lift-max-of">Percent of</Label>
            <Select
              id="lift-max-of"
              value={view.maxes.some((one) => one.load === max) ? max : ""}
              onChange={(event) => event.target.value && setMax(event.target.value)}
            >
              <option value="">the max typed</option>
              {view.maxes.map((one) => (
                <option key={one.words} value={one.load}>
                  {one.words}
                </option>
              ))}
            </Select>
          </div>
        )}
        <Field id="lift-count" name="Lifts" value={count} onChange={setCount} width={64} />
        <Field
          id="lift-seconds"
          name="Time each, s"
          value={seconds}
          onChange={setSeconds}
          width={92}
          placeholder="default"
        />
        <Field id="lift-bar" name="Bar + collars" value={bar} onChange={setBar} width={110} />
        <Field id="lift-plates" name="Plates (pairs)" value={plates} onChange={setPlates} width={380} />
        <PrimaryButton type="submit" isDisabled={max.trim() === "" || edits.isPending}>
          Build
        </PrimaryButton>
        {other && (
          <SmallButton
            onPress={() => {
              setBar(other.bar);
              setPlates(other.plates);
            }}
          >
            {other.unit === "lb" ? "In pounds" : "In kilograms"}
          </SmallButton>
        )}
      </Form>
      <Small as="p" style={{ marginTop: 8 }}>
        {view.maxWords && `Percentages are of ${view.maxWords}. `}
        {view.maxes.length === 0
          ? "No max on file for this lift: this one is the plan’s. Add the athlete’s on the athlete page."
          : "The first max on file is the one that limits this lift."}
      </Small>
      <Small style={{ display: "block", marginTop: 8, maxWidth: "60em" }}>
        Build-ups from 60%, the target lift with about 2:00 left, the reach 4% above it, all before time and half a
        minute before the next part (typical values, edit what does not fit). Clear the landing space first: a missed
        overhead lift must have nothing in its way.
      </Small>
    </section>
  );
}

interface FieldProps {
  id: string;
  name: string;
  value: string;
  onChange: (value: string) => void;
  width: number;
  placeholder?: string;
}

function Field({ id, name, value, onChange, width, placeholder }: FieldProps) {
  return (
    <div>
      <Label htmlFor={id}>{name}</Label>
      <Input
        id={id}
        value={value}
        placeholder={placeholder ?? ""}
        style={{ width, maxWidth: "100%" }}
        onChange={(event) => onChange(event.target.value)}
      />
    </div>
  );
}
