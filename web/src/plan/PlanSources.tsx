import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { api, type AttemptView, message, orProblem, type PlanView } from "../api/client";
import { usePlanSources, usePlanVersions } from "../api/queries";
import { Input } from "../ui/fields";
import { Button, ButtonLink, Heading, Problem, Quiet, Small, SmallButton, Table } from "../ui/primitives";
import { day } from "../ui/time";
import { Beside } from "./Beside";
import { Line } from "./Line";
import type { PlanEdits } from "./usePlanEdits";
import { WhenItFails } from "./WhenItFails";

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 28px 40px;
  margin-top: 28px;
`;

interface Props {
  view: PlanView;
  attempt: AttemptView;
  edits: PlanEdits;
}

/** Other ways to a plan, what to do when it fails, and what became of earlier versions. */
export function PlanSources({ view, attempt, edits }: Props) {
  return (
    <Grid>
      {view.strategies.length > 0 && <WarmUp attempt={attempt} edits={edits} />}
      {view.lines.length > 1 && <WhenItFails view={view} edits={edits} />}
      <TakeOver attempt={attempt} edits={edits} />
      <Versions view={view} attempt={attempt} edits={edits} />
      <section aria-label="Print and export">
        <Heading>Print and export</Heading>
        <Line>
          <ButtonLink to={`/attempts/${attempt.id}/wall`}>Wall sheet</ButtonLink>
          <ButtonLink to={`/api/attempts/${attempt.id}/plan/sheet`} reloadDocument download>
            Sheet (.csv)
          </ButtonLink>
        </Line>
      </section>
    </Grid>
  );
}

function WarmUp({ attempt, edits }: { attempt: AttemptView; edits: PlanEdits }) {
  const [round, setRound] = useState("");
  const asked = /^\d+:\d{2}/.test(round);
  const said = useQuery({
    queryKey: ["warm-up", attempt.id, round],
    enabled: asked,
    queryFn: async () =>
      orProblem(
        await api.GET("/api/attempts/{id}/plan/warm-up", { params: { path: { id: attempt.id }, query: { round } } }),
      ),
  });
  return (
    <section aria-label="From a warm-up round">
      <Heading>From a warm-up round</Heading>
      <Line>
        <Input
          aria-label="Time of the warm-up round"
          placeholder="e.g. 2:00"
          style={{ width: 90 }}
          value={round}
          onChange={(event) => setRound(event.target.value.trim())}
        />
        <Button isDisabled={!asked || edits.isPending} onPress={() => edits.fromWarmUp(round)}>
          Use this pace
        </Button>
      </Line>
      {asked && said.data && <Quiet>At that pace: {said.data.forecast}.</Quiet>}
      {asked && said.error && <Problem>{message(said.error)}</Problem>}
      {edits.problemAt === "round" && <Problem>{edits.problem}</Problem>}
    </section>
  );
}

function TakeOver({ attempt, edits }: { attempt: AttemptView; edits: PlanEdits }) {
  const sources = usePlanSources(attempt.id);
  return (
    <section aria-label="Copy from another attempt">
      <Heading>Copy from another attempt</Heading>
      {sources.data?.length === 0 && <Quiet>No other attempt at this workout has a plan yet.</Quiet>}
      {sources.data?.map((one) => (
        <Line key={one.id}>
          <SmallButton onPress={() => edits.copyFrom(one.id)}>Copy</SmallButton>
          <span>
            {one.athlete} <Small>{[one.division, day(one.doneOn)].filter(Boolean).join(" · ")}</Small>
          </span>
        </Line>
      ))}
      {(sources.data?.length ?? 0) > 0 && (
        <Small>Paces are scaled to this athlete’s bests, sets to the max unbroken.</Small>
      )}
      {edits.problemAt === "from" && <Problem>{edits.problem}</Problem>}
    </section>
  );
}

function Versions({ view, attempt, edits }: Props) {
  const versions = usePlanVersions(attempt.id);
  const [all, setAll] = useState(false);
  const [beside, setBeside] = useState<number>();
  if (!versions.data?.length) return null;
  const inForce = versions.data[0]?.version ?? 0;
  const edited = versions.data.some((one) => one.doneWith);
  const shown = all ? versions.data : versions.data.slice(0, 5);
  return (
    <section aria-label="Versions">
      <Heading>Versions</Heading>
      <Table>
        <tbody>
          {shown.map((one, index) => (
            <tr key={one.version}>
              <td>
                {one.version} · {one.madeBy}
                {one.doneWith && <Small> · the attempt was done with it</Small>}
              </td>
              <td>
                <Small style={{ whiteSpace: "nowrap" }}>{moment(one.changedAt)}</Small>
              </td>
              <td>
                {index === 0 ? (
                  <span style={{ display: "flex", gap: 6, justifyContent: "flex-end", alignItems: "center" }}>
                    <Small>current</Small>
                    {edited && <SmallButton onPress={edits.doneWithCurrent}>Use in the review</SmallButton>}
                  </span>
                ) : (
                  <span style={{ display: "flex", gap: 6, justifyContent: "flex-end" }}>
                    {view.strategies.length > 0 && (
                      <SmallButton
                        aria-label={`Compare version ${one.version} with the current plan`}
                        aria-expanded={beside === one.version}
                        onPress={() => setBeside(beside === one.version ? undefined : one.version)}
                      >
                        Compare
                      </SmallButton>
                    )}
                    <SmallButton
                      style={{ whiteSpace: "nowrap" }}
                      aria-label={`Restore version ${one.version}`}
                      onPress={() => edits.restore(one.version)}
                    >
                      Restore
                    </SmallButton>
                  </span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      {beside !== undefined && beside !== inForce && <Beside id={attempt.id} version={beside} inForce={inForce} />}
      {versions.data.length > 5 && (
        <SmallButton onPress={() => setAll(!all)}>{all ? "Show less" : `All ${versions.data.length}`}</SmallButton>
      )}
    </section>
  );
}

function moment(iso: string): string {
  return new Date(iso).toLocaleString("en-GB", { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" });
}
