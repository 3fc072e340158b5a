import { useMutation } from "@tanstack/react-query";
import styled from "styled-components";
import {
  api,
  type AttemptView,
  type LineJson,
  message,
  orProblem,
  type PacingJson,
  type PlanView,
} from "../api/client";
import { keys, queryClient, usePlan } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { Button, Caution, Heading, Page, Panel, Problem, Quiet, Sentence, Table } from "../ui/primitives";
import { Waiting } from "../ui/Waiting";
import { clock, seconds } from "../ui/time";
import { PlanField } from "./PlanField";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.7fr) minmax(0, 1fr);
  gap: 28px;
  margin-top: 24px;
  align-items: start;
  @media (max-width: 900px) {
    grid-template-columns: 1fr;
  }
`;

const Per = styled.span`
  display: inline-block;
  width: 34px;
  margin-left: 6px;
  text-align: left;
  color: var(--ink-2);
`;

const Pacing = styled(Table)`
  td:not(:first-child) {
    white-space: nowrap;
  }
  td:first-child {
    width: 40%;
  }
`;

/** The plan: one line of pacing per movement, and the clock it leads to. */
export function PlanStep() {
  const attempt = useOpenAttempt();
  const plan = usePlan(attempt.id);
  const keep = useMutation({
    mutationFn: async (lines: LineJson[] | undefined) => {
      const params = { params: { path: { id: attempt.id } } };
      return lines
        ? orProblem(await api.PUT("/api/attempts/{id}/plan", { ...params, body: { lines } }))
        : orProblem(await api.DELETE("/api/attempts/{id}/plan", params));
    },
    onSuccess: async (view) => {
      queryClient.setQueryData(keys.plan(attempt.id), view);
      await queryClient.invalidateQueries({ queryKey: keys.attempt(attempt.id), exact: true });
      await queryClient.invalidateQueries({ queryKey: keys.reading(attempt.id), refetchType: "none" });
    },
  });
  if (!plan.isSuccess) return <Waiting error={plan.error} />;
  const { assumed, lines, overCap } = plan.data;
  const change = (lineIndex: number, every: PacingJson) =>
    keep.mutate(lines.map((line) => (line.lineIndex === lineIndex ? { ...line, every } : line)));
  return (
    <Page>
      <Sentence>{lead(plan.data)}</Sentence>
      <Quiet style={{ marginTop: 8 }}>
        {assumed
          ? "A draft from usual cadences, not this athlete’s: an assumption until you change a figure."
          : "Your plan. The reading compares the attempt with it."}{" "}
        {!assumed && <Button onPress={() => keep.mutate(undefined)}>Back to the draft</Button>}
      </Quiet>
      {overCap && <Caution style={{ marginTop: 16 }}>This plan runs into the cap.</Caution>}
      {keep.isError && <Problem style={{ marginTop: 12 }}>{message(keep.error)}</Problem>}
      <Columns>
        <Panel>
          <Pacing aria-label="Pacing by movement">
            <thead>
              <tr>
                <th>Movement</th>
                <th>Sets</th>
                <th>Seconds each</th>
                <th>Rest, s</th>
                <th>Way there, s</th>
              </tr>
            </thead>
            <tbody>
              {lines.map((line) => (
                <Row key={line.lineIndex} line={line} attempt={attempt} onChange={change} />
              ))}
            </tbody>
          </Pacing>
        </Panel>
        <Clocks plan={plan.data} />
      </Columns>
    </Page>
  );
}

function lead({ score, overCap }: PlanView): string {
  return overCap ? `As planned, the cap comes first: ${score}.` : `As planned, this finishes in ${score}.`;
}

interface RowProps {
  line: LineJson;
  attempt: AttemptView;
  onChange: (lineIndex: number, every: PacingJson) => void;
}

function Row({ line, attempt, onChange }: RowProps) {
  const board = attempt.lines[line.lineIndex];
  const { every, lineIndex } = line;
  const set = (part: Partial<PacingJson>) => onChange(lineIndex, { ...every, ...part });
  const name = board?.movement ?? "";
  const counted = board?.unit === "rep" || board?.unit === "cal";
  return (
    <tr>
      <td>
        {board?.written}
        {board?.caution && <div style={{ fontSize: 12.5, color: "var(--caution)" }}>{board.caution}</div>}
      </td>
      <td>
        {counted ? (
          <PlanField label={`Sets of ${name}`} value={every.sets} width={92} onKeep={(sets) => set({ sets })} />
        ) : (
          "one piece"
        )}
      </td>
      <td>
        <PlanField
          label={`Seconds per ${board?.unit ?? "rep"} of ${name}`}
          value={every.secondsPerUnit.toFixed(2)}
          onKeep={(text) => set({ secondsPerUnit: Number(text) })}
          isNumber
        />
        <Per>/ {board?.unit}</Per>
      </td>
      <td>
        <PlanField
          label={`Rest between sets of ${name}, seconds`}
          value={seconds(every.restMs)}
          onKeep={(text) => set({ restMs: Math.round(Number(text) * 1000) })}
          isNumber
        />
      </td>
      <td>
        <PlanField
          label={`Seconds to get to ${name}`}
          value={seconds(every.transitionMs)}
          onKeep={(text) => set({ transitionMs: Math.round(Number(text) * 1000) })}
          isNumber
        />
      </td>
    </tr>
  );
}

function Clocks({ plan }: { plan: PlanView }) {
  return (
    <section aria-label="Clock at every segment">
      <Heading>The clock that results</Heading>
      <Table>
        <tbody>
          {plan.segments.map((segment) => (
            <tr key={segment.segmentIndex}>
              <td>
                {segment.round > 1 || plan.segments.some((other) => other.round > 1) ? `${segment.round} · ` : ""}
                {segment.label}
              </td>
              <td>{segment.sets.includes("-") ? segment.sets : ""}</td>
              <td>{clock(segment.endMs)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </section>
  );
}
