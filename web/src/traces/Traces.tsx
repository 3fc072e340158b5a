import { useMutation } from "@tanstack/react-query";
import { useRef, useState } from "react";
import styled from "styled-components";
import { api, message, orProblem, type TraceView } from "../api/client";
import { queryClient } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { say } from "../ui/notices";
import { Button, Problem, Quiet, Select, Small, SmallButton } from "../ui/primitives";
import { wallClock } from "../ui/time";
import { useWidth } from "../ui/useWidth";
import { TraceLine } from "./TraceLine";
import { tracesOf, useTraces } from "./useTraces";

const LANE = 54;
const LEFT = 118;
const RIGHT = 8;
const NUDGE_MS = 500;

const One = styled.article`
  border-top: 1px solid var(--line);
  padding: 10px 0 14px;
  svg {
    display: block;
    margin: 6px 0;
  }
  text {
    fill: var(--ink-2);
    font-size: 12px;
    font-stretch: 84%;
  }
`;

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
`;

const Beats = styled.ul`
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin: 4px 0;
  padding: 0;
  font-stretch: 86%;
  font-size: 14px;
  button {
    font: inherit;
    font-size: 14px;
    background: none;
    border: 0;
    padding: 2px 0;
    color: var(--ink);
    text-align: left;
    cursor: pointer;
    text-decoration: underline;
    text-decoration-color: var(--line);
  }
`;

/** More borders than these are folded. */
const SHOWN = 12;

interface Props {
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** What a machine or a strap noted beside the log: drawn over the clock, held against the splits. */
export function Traces({ onPlay }: Props) {
  const attempt = useOpenAttempt();
  const traces = useTraces(attempt.id);
  const file = useRef<HTMLInputElement>(null);
  const path = { attemptId: attempt.id, id: "" };
  const settled = async () => {
    await queryClient.invalidateQueries({ queryKey: tracesOf(attempt.id) });
  };
  const add = useMutation({
    mutationFn: async ({ label, text }: { label: string; text: string }) =>
      orProblem(
        await api.PUT("/api/attempts/{attemptId}/traces/{id}", {
          params: { path: { ...path, id: crypto.randomUUID() } },
          body: { label, file: text },
        }),
      ),
    onSuccess: async (_, { label }) => {
      say(`${label} added.`);
      await settled();
    },
  });
  const simulate = useMutation({
    mutationFn: async () =>
      orProblem(
        await api.PUT("/api/attempts/{attemptId}/traces/{id}/simulated", {
          params: { path: { ...path, id: crypto.randomUUID() } },
        }),
      ),
    onSuccess: settled,
  });
  const simulated = attempt.recordings.some((one) => one.kind === "SIMULATED");
  const problem = add.error ?? simulate.error;
  return (
    <>
      {traces.data?.length === 0 && (
        <Quiet>
          Add a CSV or GPX file from an erg monitor, heart-rate strap or watch to see pace, stroke rate and heart rate
          on the same clock.
        </Quiet>
      )}
      {traces.data?.map((trace) => (
        <Trace key={trace.id} trace={trace} clockMs={attempt.log.clockMs} onPlay={onPlay} onAdd={add.mutate} />
      ))}
      <Tools className="not-on-paper" style={{ marginTop: 8 }}>
        <Button onPress={() => file.current?.click()} isDisabled={add.isPending}>
          Add a CSV or GPX file
        </Button>
        <input
          ref={file}
          type="file"
          accept=".csv,.gpx,text/csv,application/gpx+xml"
          hidden
          aria-label="Device file"
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            event.target.value = "";
            if (chosen) void chosen.text().then((text) => add.mutate({ label: chosen.name.slice(0, 200), text }));
          }}
        />
        {simulated && (
          <Button onPress={() => simulate.mutate()} isDisabled={simulate.isPending}>
            Simulated monitor and strap
          </Button>
        )}
      </Tools>
      {problem && <Problem>{message(problem)}</Problem>}
    </>
  );
}

interface TraceProps extends Props {
  trace: TraceView;
  clockMs: number;
  onAdd: (again: { label: string; text: string }) => void;
}

function Trace({ trace, clockMs, onPlay, onAdd }: TraceProps) {
  const attempt = useOpenAttempt();
  const [frame, width] = useWidth(1130);
  const [all, setAll] = useState(false);
  const path = { attemptId: attempt.id, id: trace.id };
  const settled = async () => {
    await queryClient.invalidateQueries({ queryKey: tracesOf(attempt.id) });
  };
  const move = useMutation({
    mutationFn: async (offsetMs: number) =>
      orProblem(
        await api.PUT("/api/attempts/{attemptId}/traces/{id}/offset", { params: { path }, body: { offsetMs } }),
      ),
    onSuccess: settled,
  });
  const remove = useMutation({
    mutationFn: async () => {
      const sheet = await fetch(`/api/attempts/${attempt.id}/traces/${trace.id}/sheet`).then((answer) => answer.text());
      orProblem(await api.DELETE("/api/attempts/{attemptId}/traces/{id}", { params: { path } }));
      return sheet;
    },
    onSuccess: async (text) => {
      say(`${trace.label} removed.`, { words: "Undo", act: () => onAdd({ label: trace.label, text }) });
      await settled();
    },
  });
  const x = (ms: number) => LEFT + (ms / Math.max(1, clockMs)) * (width - LEFT - RIGHT);
  const within = (ms: number) => (ms >= 0 && ms <= clockMs ? x(ms) : undefined);
  const borders = all ? trace.borders : trace.borders.slice(0, SHOWN);
  return (
    <One>
      <Tools>
        <strong>{trace.label}</strong>
        <Small>{trace.offset}</Small>
        <Select
          aria-label={`Align ${trace.label} to`}
          value={trace.matches.find((match) => match.chosen)?.offsetMs ?? ""}
          onChange={(event) => {
            if (event.target.value !== "") move.mutate(Number(event.target.value));
          }}
        >
          {!trace.matches.some((match) => match.chosen) && <option value="">aligned by hand</option>}
          {trace.matches.map((match) => (
            <option key={match.words} value={match.offsetMs}>
              {match.words}
            </option>
          ))}
        </Select>
        <SmallButton onPress={() => move.mutate(trace.offsetMs - NUDGE_MS)} aria-label="Half a second earlier">
          −0.5 s
        </SmallButton>
        <SmallButton onPress={() => move.mutate(trace.offsetMs + NUDGE_MS)} aria-label="Half a second later">
          +0.5 s
        </SmallButton>
        <SmallButton onPress={() => remove.mutate()} isDisabled={remove.isPending}>
          Remove
        </SmallButton>
      </Tools>
      <div ref={frame}>
        <svg width={width} height={trace.series.length * LANE + 18} role="img" aria-label={drawn(trace)}>
          {attempt.log.segments.map(
            ({ index, split }) =>
              split?.complete && (
                <line
                  key={index}
                  x1={x(split.endMs)}
                  x2={x(split.endMs)}
                  y1={0}
                  y2={trace.series.length * LANE}
                  stroke="var(--line)"
                />
              ),
          )}
          {trace.series.map((series, lane) => (
            <g key={series.kind}>
              <text x={0} y={lane * LANE + 22}>
                {series.words}
              </text>
              <text x={0} y={lane * LANE + 38}>
                {series.span}
              </text>
              <TraceLine
                of={series}
                x={(point) => within(point.atMs)}
                top={lane * LANE + 6}
                bottom={(lane + 1) * LANE - 6}
              />
            </g>
          ))}
          <text x={LEFT} y={trace.series.length * LANE + 14}>
            0:00
          </text>
          <text x={width - RIGHT} y={trace.series.length * LANE + 14} textAnchor="end">
            {wallClock(clockMs)}
          </text>
        </svg>
      </div>
      {trace.pieces.length > 0 && (
        <Beats aria-label="Erg and log">
          {trace.pieces.map((piece) => (
            <li key={piece.atMs}>
              <button type="button" onClick={() => onPlay(piece.atMs, piece.atMs + 4000, piece.place)}>
                {piece.place}
              </button>
              : <span style={{ color: piece.agrees ? "var(--ink-2)" : "var(--behind)" }}>{piece.says}</span>
            </li>
          ))}
        </Beats>
      )}
      {borders.length > 0 && (
        <>
          <Small>Heart rate at the end of each movement</Small>
          <Beats aria-label="Heart rate at the end of each movement">
            {borders.map((border) => (
              <li key={border.atMs}>
                <button
                  type="button"
                  onClick={() => onPlay(Math.max(0, border.atMs - 2000), border.atMs + 2000, border.place)}
                >
                  {border.at}
                </button>{" "}
                <strong>{border.beats}</strong> <Small>{border.place}</Small>
              </li>
            ))}
          </Beats>
          {trace.borders.length > SHOWN && (
            <SmallButton onPress={() => setAll(!all)}>{all ? "Show less" : `All ${trace.borders.length}`}</SmallButton>
          )}
        </>
      )}
      {trace.rests.length > 0 && (
        <>
          <Small as="p">Heart rate drop in the first 30 s of each rest</Small>
          <Beats aria-label="Heart rate drop in rests">
            {trace.rests.map((rest) => (
              <li key={rest.atMs}>
                <button type="button" onClick={() => onPlay(rest.atMs, rest.atMs + 4000, rest.place)}>
                  {rest.place}
                </button>{" "}
                {rest.says}
              </li>
            ))}
          </Beats>
        </>
      )}
      {(move.isError || remove.isError) && <Problem>{message(move.error ?? remove.error)}</Problem>}
    </One>
  );
}

function drawn(trace: TraceView): string {
  return `${trace.label} over the clock: ${trace.series.map((one) => `${one.words} ${one.span}`).join(", ")}`;
}
