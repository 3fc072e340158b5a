import type { ReactNode } from "react";
import styled from "styled-components";
import { useMutation } from "@tanstack/react-query";
import { api, type LiftAttemptJson, type LiftJson, message, orProblem, type PlanView, Unfit } from "../api/client";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { Problem, Select, Small, SmallButton, stacked, Table } from "../ui/primitives";
import { told, wallClock } from "../ui/time";
import { PlanField } from "./PlanField";

const ROLE = { PREP: "build-up", MUST_HIT: "target", WISH: "reach" } as const;
const Stack = styled(Table)`
  ${stacked}
  td {
    vertical-align: top;
  }
  td small {
    display: block;
    color: var(--ink-3);
    font-size: 12.5px;
  }
  @media (min-width: 1100px) {
    td small {
      white-space: nowrap;
    }
  }
`;

interface Props {
  timetable: NonNullable<PlanView["timetable"]>;
  lift: LiftJson;
  /** What comes back is settled with the answer. */
  onLift: (lift: LiftJson, what: string) => unknown;
  canUndo: boolean;
  onUndo: () => void;
  /** What stands beside each lift at the end of its row, under a head. */
  extra?: { head: string; of: (index: number) => ReactNode };
}

/** The lifts of a timetable, every figure of them to be changed: load or share, start, length, what is lifted. */
export function LiftTable({ timetable, lift, onLift, canUndo, onUndo, extra }: Props) {
  const attempt = useOpenAttempt();
  const put = (lifts: LiftAttemptJson[], what: string) => onLift({ ...lift, lifts }, what);
  const set = (index: number, make: (one: LiftAttemptJson) => LiftAttemptJson) =>
    put(
      lift.lifts.map((one, at) => (at === index ? make(one) : one)),
      `Lift ${index + 1}`,
    );
  const add = useMutation({
    mutationFn: async () =>
      orProblem(
        await api.POST("/api/attempts/{id}/lifts/one-more", { params: { path: { id: attempt.id } }, body: { lift } }),
      ),
    onSuccess: (more) => onLift(more, "Lift added"),
  });
  return (
    <>
      <Stack aria-label="Lifts">
        <thead>
          <tr>
            <th>Lift</th>
            <th>Starts</th>
            <th>Load</th>
            <th>% max</th>
            <th>Time, s</th>
            <th>Rest before</th>
            <th style={{ textAlign: "left" }}>Plates per side</th>
            {extra && <th>{extra.head}</th>}
            <th>
              <span className="visually-hidden">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {timetable.rows.map((row, index) => {
            const one = lift.lifts[index];
            if (!one) return null;
            return (
              <tr key={index}>
                <td>
                  {index + 1} ·{" "}
                  <Select
                    aria-label={`What lift ${index + 1} is for`}
                    value={row.role}
                    onChange={(event) => set(index, (old) => ({ ...old, role: event.target.value as typeof row.role }))}
                    style={{ minHeight: 28, padding: "2px 6px" }}
                  >
                    {Object.entries(ROLE).map(([role, name]) => (
                      <option key={role} value={role}>
                        {name}
                      </option>
                    ))}
                  </Select>
                  <div>
                    <PlanField
                      label={`What is lifted in lift ${index + 1}`}
                      value={one.pieces ?? ""}
                      placeholder="the full complex"
                      column="pieces"
                      isText
                      width={150}
                      onKeep={(text) =>
                        set(index, ({ pieces, ...old }) =>
                          text.trim() === "" && pieces ? old : { ...old, pieces: text },
                        )
                      }
                    />
                  </div>
                </td>
                <td data-label="Starts">
                  <PlanField
                    label={`Start of lift ${index + 1}`}
                    value={wallClock(row.startMs)}
                    column="start"
                    onKeep={(text) => {
                      const read = /^(\d+):(\d{1,2})$/.exec(text.trim());
                      if (!read) throw new Unfit(`“${text}” is not a time. Use m:ss, like 2:10.`);
                      return set(index, (old) => ({
                        ...old,
                        startMs: (Number(read[1]) * 60 + Number(read[2])) * 1000,
                      }));
                    }}
                  />
                  <small>latest {wallClock(row.latestMs)}</small>
                </td>
                <td data-label="Load">
                  <PlanField
                    label={`Load of lift ${index + 1}`}
                    value={row.load}
                    column="load"
                    width={84}
                    onKeep={(load) => set(index, (old) => as(old, { load }))}
                  />
                  <small>{row.wanted && `of ${row.wanted}`}</small>
                </td>
                <td data-label="% max">
                  <PlanField
                    label={`% of max of lift ${index + 1}`}
                    value={one.percent === undefined ? row.percent : `${one.percent}%`}
                    column="percent"
                    width={72}
                    onKeep={(text) => {
                      const read = /^(\d+(?:[.]\d+)?)\s*%?$/.exec(text.trim());
                      // A load typed where the share stands is a load; anything else the server says is none.
                      return set(index, (old) => as(old, read ? { percent: Number(read[1]) } : { load: text }));
                    }}
                  />
                  <small>{row.jump === "" ? "" : row.jump}</small>
                </td>
                <td data-label="Time, s">
                  <PlanField
                    label={`Seconds lift ${index + 1} takes`}
                    value={`${row.lengthMs / 1000}`}
                    column="length"
                    isNumber
                    width={56}
                    onKeep={(text) => set(index, (old) => ({ ...old, lengthMs: Math.round(Number(text) * 1000) }))}
                  />
                </td>
                <td data-label="Rest before">{told("WHOLE").span(row.restMs)}</td>
                <td data-label="Plates per side" style={{ textAlign: "left" }}>
                  {row.side || "bar alone"}
                  <small>{index === 0 ? "" : row.change}</small>
                  {row.heavier && index === timetable.rows.length - 1 && <small>next heavier bar {row.heavier}</small>}
                </td>
                {extra && <td data-label={extra.head}>{extra.of(index)}</td>}
                <td>
                  <SmallButton
                    aria-label={`Remove lift ${index + 1}`}
                    isDisabled={lift.lifts.length < 2}
                    onPress={() =>
                      put(
                        lift.lifts.filter((_, at) => at !== index),
                        `Lift ${index + 1} removed`,
                      )
                    }
                  >
                    ×
                  </SmallButton>
                </td>
              </tr>
            );
          })}
        </tbody>
      </Stack>
      <div style={{ marginTop: 10, display: "flex", gap: 10, alignItems: "baseline", flexWrap: "wrap" }}>
        <SmallButton isDisabled={add.isPending} onPress={() => add.mutate()}>
          Add a lift
        </SmallButton>
        <SmallButton isDisabled={!canUndo} onPress={onUndo}>
          Undo
        </SmallButton>
        <Small>
          Write loads like “70”, “70 kg” or “145 lb”, or a % of max like “80%”. Drag a lift along the clock, or use ← →
          (Shift for one second).
        </Small>
      </div>
      {add.isError && <Problem style={{ marginTop: 8 }}>{message(add.error)}</Problem>}
    </>
  );
}

/** The lift with another load: one given outright, or a share of the max. */
function as(
  { role, startMs, lengthMs, pieces }: LiftAttemptJson,
  heavy: { load?: string; percent?: number },
): LiftAttemptJson {
  return {
    role,
    startMs,
    ...(lengthMs !== undefined && { lengthMs }),
    ...(pieces !== undefined && { pieces }),
    ...heavy,
  };
}
