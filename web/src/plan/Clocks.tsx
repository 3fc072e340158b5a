import styled from "styled-components";
import type { PlanView } from "../api/client";
import { Heading, Small, Table } from "../ui/primitives";
import { clock, span } from "../ui/time";

const Facts = styled.dl`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 16px;
  margin: 0 0 20px;
  font-stretch: 88%;
  dt {
    color: var(--ink-2);
  }
  dd {
    margin: 0;
    text-align: right;
    white-space: nowrap;
  }
`;

const Tall = styled.div`
  max-height: 560px;
  overflow: auto;
`;

/** What the plan adds up to, and the clock at every segment. */
export function Clocks({ view }: { view: PlanView }) {
  const { budget, segments } = view;
  const latest = segments.some((segment) => segment.latestMs !== undefined);
  return (
    <>
      <section aria-label="Totals">
        <Heading>Totals</Heading>
        <Facts>
          {budget.sections.length > 1 &&
            budget.sections.map((section, index) => (
              <Fact key={index} name={section.label}>
                {clock(section.ms)}
                {section.rounds > 1 && <Small> · {clock(section.perRoundMs)} each</Small>}
              </Fact>
            ))}
          <Fact name="work : rest">
            {budget.workToRest}
            <Small> · {span(budget.pauseMs)} not moving</Small>
          </Fact>
          {budget.drops > 0 && <Fact name="breaks">{budget.drops}</Fact>}
          {budget.kilograms > 0 && <Fact name="moved">{Math.round(budget.kilograms).toLocaleString("en-GB")} kg</Fact>}
          {budget.metres > 0 && <Fact name="covered">{Math.round(budget.metres).toLocaleString("en-GB")} m</Fact>}
          {budget.intervalRestMs !== undefined && (
            <Fact name="shortest interval rest">{span(budget.intervalRestMs)}</Fact>
          )}
          {budget.cutOffs.map((stage) => (
            <Fact key={stage.after} name={`${stage.after} by ${clock(stage.byMs).slice(0, -2)}`}>
              {clock(stage.clockMs)}
              <Small style={stage.marginMs < 0 ? { color: "var(--behind)" } : {}}>
                {" "}
                · {stage.marginMs < 0 ? "late by " : "to spare "}
                {span(Math.abs(stage.marginMs))}
              </Small>
            </Fact>
          ))}
          {budget.tieBreak && (
            <Fact name={`tie-break after ${budget.tieBreak.after}`}>{clock(budget.tieBreak.clockMs)}</Fact>
          )}
        </Facts>
      </section>
      <section aria-label="Clock after each movement">
        <Heading>Clock after each movement</Heading>
        <Tall tabIndex={0}>
          <Table>
            {latest && (
              <thead>
                <tr>
                  <th colSpan={2}>Movement</th>
                  <th>Planned</th>
                  <th>Latest</th>
                </tr>
              </thead>
            )}
            <tbody>
              {segments.map((segment) => (
                <tr key={segment.segmentIndex}>
                  <td>
                    {segment.round ? `${segment.round} · ` : ""}
                    {segment.label}
                  </td>
                  <td style={{ whiteSpace: "nowrap" }}>{segment.sets.includes("-") ? segment.sets : ""}</td>
                  <td>{clock(segment.endMs)}</td>
                  {latest && <Latest segment={segment} />}
                </tr>
              ))}
            </tbody>
          </Table>
        </Tall>
        {latest && (
          <Small>Latest: last moment from which the goal and cut-offs can still be made at planned pace.</Small>
        )}
      </section>
    </>
  );
}

function Latest({ segment }: { segment: PlanView["segments"][number] }) {
  const { latestMs, endMs } = segment;
  if (latestMs === undefined) return <td />;
  return <td style={latestMs < endMs ? { color: "var(--behind)" } : {}}>{clock(latestMs)}</td>;
}

function Fact({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </>
  );
}
