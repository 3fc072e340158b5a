import { scaleLinear } from "d3-scale";
import { type SyntheticEvent, useState } from "react";
import styled from "styled-components";
import type { LiftJson, PlanView } from "../api/client";
import { Input, Label } from "../ui/fields";
import {
  Heading,
  Panel,
  PrimaryButton,
  Problem,
  Quiet,
  Select,
  Small,
  SmallButton,
  stacked,
  Table,
} from "../ui/primitives";
import { clock, wallClock } from "../ui/time";
import { useWidth } from "../ui/useWidth";
import { Checks } from "./Checks";
import { PlanField } from "./PlanField";
import type { PlanEdits } from "./usePlanEdits";

const KILOGRAMS = "25x2 20x2 15x1 10x2 5x1 2.5x1 2x1 1.5x1 1x1 0.5x1";
const POUNDS = "45x3 35x1 25x1 15x1 10x2 5x1 2.5x1 1x2 0.5x1";
const ROLE = { PREP: "prep", MUST_HIT: "must hit", WISH: "wish" } as const;

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
  const wrong = edits.problemAt === "lift" ? edits.problem : undefined;
  return (
    <>
      <Panel style={{ marginTop: 24 }}>
        {timetable && lift ? (
          <>
            <Axis view={view} />
            <Lifts view={view} lift={lift} edits={edits} />
            <Quiet style={{ marginTop: 12 }}>
              Calm starts end at {wallClock(timetable.latestStartMs)}; the bar must leave the floor before{" "}
              {wallClock(timetable.windowMs)}.
              {timetable.toNextPartMs !== undefined &&
                ` ${clock(timetable.toNextPartMs)} from the last lift to the next part.`}
            </Quiet>
            <Checks checks={view.checks} view={view} edits={edits} />
          </>
        ) : (
          <Quiet>Say the max, and how many lifts; the rest can be changed.</Quiet>
        )}
        {wrong && <Problem style={{ marginTop: 8 }}>{wrong}</Problem>}
      </Panel>
      <Timetable view={view} edits={edits} />
    </>
  );
}

const Stack = styled(Table)`
  ${stacked}
`;

function Axis({ view }: { view: PlanView }) {
  const [frame, width] = useWidth(1080);
  const { timetable } = view;
  const lift = view.plan.lift;
  if (!timetable || !lift) return null;
  const last = timetable.rows.at(-1)?.startMs ?? 0;
  const x = scaleLinear([0, Math.max(timetable.windowMs, last + lift.complexMs)], [12, width - 12]);
  const minutes = Array.from({ length: Math.floor(timetable.windowMs / 60_000) + 1 }, (_, index) => index * 60_000);
  return (
    <div ref={frame}>
      <svg width={width} height={86} role="img" aria-label="The lifts on the clock" style={{ display: "block" }}>
        <line x1={x(0)} x2={x(timetable.windowMs)} y1={52} y2={52} stroke="var(--ink)" />
        {minutes.map((ms) => (
          <g key={ms} fill="var(--ink-3)" fontSize={11.5}>
            <line x1={x(ms)} x2={x(ms)} y1={52} y2={58} stroke="var(--ink)" />
            <text x={x(ms)} y={72} textAnchor="middle">
              {wallClock(ms)}
            </text>
          </g>
        ))}
        <rect
          x={x(timetable.latestStartMs)}
          width={x(timetable.windowMs) - x(timetable.latestStartMs)}
          y={30}
          height={22}
          fill="var(--caution-ground)"
          stroke="var(--caution)"
        />
        {timetable.rows.map((row, index) => (
          <g key={index}>
            <rect
              x={x(row.startMs)}
              width={Math.max(3, x(lift.complexMs) - x(0))}
              y={30}
              height={22}
              fill="var(--ink)"
            />
            <text
              x={x(row.startMs)}
              y={22}
              fontSize={13}
              fontWeight={600}
              fill="var(--ink)"
              textAnchor={index === timetable.rows.length - 1 ? "end" : "start"}
            >
              {row.load}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}

function Lifts({ view, lift, edits }: Props & { lift: LiftJson }) {
  const { timetable } = view;
  if (!timetable) return null;
  const put = (changed: LiftJson, what: string) => edits.change({ lift: changed }, what);
  const set = (index: number, part: Partial<LiftJson["lifts"][number]>) =>
    put(
      { ...lift, lifts: lift.lifts.map((one, at) => (at === index ? { ...one, ...part } : one)) },
      `Lift ${index + 1}`,
    );
  return (
    <Stack aria-label="Lifts">
      <thead>
        <tr>
          <th>Lift</th>
          <th>Starts</th>
          <th>Of the max, %</th>
          <th>On the bar</th>
          <th>Each side</th>
          <th style={{ textAlign: "left" }}>Change</th>
          <th>Rest before</th>
          <th>
            <span className="visually-hidden">Take out</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {timetable.rows.map((row, index) => (
          <tr key={index}>
            <td>
              {index + 1} ·{" "}
              <Select
                aria-label={`What lift ${index + 1} is for`}
                value={row.role}
                onChange={(event) => set(index, { role: event.target.value as typeof row.role })}
                style={{ minHeight: 28, padding: "2px 6px" }}
              >
                {Object.entries(ROLE).map(([role, name]) => (
                  <option key={role} value={role}>
                    {name}
                  </option>
                ))}
              </Select>
            </td>
            <td data-label="Starts">
              <PlanField
                label={`Start of lift ${index + 1}`}
                value={wallClock(row.startMs)}
                column="start"
                onKeep={(text) => {
                  const read = /^(\d+):(\d{1,2})$/.exec(text.trim());
                  if (read) set(index, { startMs: (Number(read[1]) * 60 + Number(read[2])) * 1000 });
                }}
              />
            </td>
            <td data-label="Of the max, %">
              <PlanField
                label={`Percent of lift ${index + 1}`}
                value={`${row.percent}`}
                column="percent"
                isNumber
                onKeep={(text) => set(index, { percent: Number(text) })}
              />
            </td>
            <td data-label="On the bar">
              <strong>{row.load}</strong> <Small>of {row.wanted}</Small>
            </td>
            <td data-label="Each side">{row.side || "bar alone"}</td>
            <td data-label="Change" style={{ textAlign: "left" }}>
              {row.change}
            </td>
            <td data-label="Rest before">{clock(row.restMs)}</td>
            <td>
              <SmallButton
                aria-label={`Take lift ${index + 1} out`}
                isDisabled={lift.lifts.length < 2}
                onPress={() =>
                  put({ ...lift, lifts: lift.lifts.filter((_, at) => at !== index) }, `Lift ${index + 1} out`)
                }
              >
                Out
              </SmallButton>
            </td>
          </tr>
        ))}
      </tbody>
    </Stack>
  );
}

function Timetable({ view, edits }: Props) {
  const { lift } = view.plan;
  const [max, setMax] = useState(lift?.max ?? view.knownMax ?? "");
  const [count, setCount] = useState(`${lift?.lifts.length ?? 5}`);
  const [bar, setBar] = useState(lift?.bar ?? "20 kg");
  const [plates, setPlates] = useState(lift?.plates ?? KILOGRAMS);
  const make = (event: SyntheticEvent) => {
    event.preventDefault();
    edits.makeTimetable({ max, lifts: Math.round(Number(count)) || 0, bar, plates });
  };
  return (
    <section aria-label="Make a timetable" style={{ marginTop: 28 }}>
      <Heading>{lift ? "Start the timetable over" : "Make a timetable"}</Heading>
      <Form onSubmit={make}>
        <Field id="lift-max" name="Max" value={max} onChange={setMax} width={100} placeholder="100 kg" />
        <Field id="lift-count" name="Lifts" value={count} onChange={setCount} width={64} />
        <Field id="lift-bar" name="Bar with collars" value={bar} onChange={setBar} width={110} />
        <Field id="lift-plates" name="Plates, with pairs" value={plates} onChange={setPlates} width={400} />
        <PrimaryButton type="submit" isDisabled={max.trim() === "" || edits.isPending}>
          Make it
        </PrimaryButton>
        <SmallButton
          onPress={() => {
            const kilograms = !bar.includes("kg");
            setBar(kilograms ? "20 kg" : "45 lb");
            setPlates(kilograms ? KILOGRAMS : POUNDS);
          }}
        >
          {bar.includes("kg") ? "In pounds" : "In kilograms"}
        </SmallButton>
      </Form>
      <Small style={{ display: "block", marginTop: 8, maxWidth: "60em" }}>
        Prep lifts from 60 %, one that must be made with two minutes left, a wish lift 4 % above it: common practice,
        change what does not fit. Clear the landing space first; a missed overhead lift must have nothing in its way.
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
