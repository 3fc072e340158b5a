import { Link } from "react-router";
import styled from "styled-components";
import type { ActualView } from "../api/client";
import { Heading, Quiet, Sentence, Small, stacked, Table } from "../ui/primitives";
import { day, span, savedWords } from "../ui/time";

const Stack = styled(Table)`
  ${stacked}
  @media (max-width: 620px) {
    td[aria-hidden] {
      grid-column: 1 / -1;
    }
  }
`;

const Bars = styled.td`
  width: 34%;
  min-width: 120px;
  background: linear-gradient(var(--line), var(--line)) center / 1px 100% no-repeat;
`;

const Bar = styled.span`
  display: block;
  height: 7px;
  margin: 2px 0;
  background: var(--ink-3);
  &[data-actual] {
    background: var(--ahead);
  }
  &[data-lost] {
    background: var(--behind);
  }
`;

/** Projected vs actual: each change with what was projected and what the retest saved of it, and what came from elsewhere. */
export function ProjectedVsActual({ actual }: { actual: ActualView }) {
  const widest = Math.max(1, ...actual.changes.flatMap((one) => [one.projectedMs, one.actualMs ?? 0].map(Math.abs)));
  // Won to the right of the middle, lost to the left of it.
  const side = (ms: number) => ({
    width: `${(50 * Math.abs(ms)) / widest}%`,
    marginLeft: `${50 - (ms < 0 ? (50 * -ms) / widest : 0)}%`,
  });
  return (
    <section aria-label="Projected vs actual" style={{ marginBottom: 40 }}>
      <Sentence>{actual.answer}</Sentence>
      <Quiet style={{ margin: "8px 0 18px" }}>
        Across the {actual.segments} splits both attempts have:{" "}
        {actual.wonMs >= 0 ? `${span(actual.wonMs)} faster` : `${span(-actual.wonMs)} slower`}.{" "}
        <Link to={`/attempts/${actual.firstId}/retest`}>The attempt of {day(actual.firstOn)}</Link>
      </Quiet>
      {actual.changes.length > 0 && (
        <>
          <Heading>Projected vs actual</Heading>
          <Stack>
            <thead>
              <tr>
                <th>Change</th>
                <th>
                  <span className="visually-hidden">Drawn</span>
                </th>
                <th>Projected</th>
                <th>Actual</th>
                <th>Result</th>
              </tr>
            </thead>
            <tbody>
              {actual.changes.map((one, index) => (
                <tr key={index}>
                  <td>{one.words}</td>
                  <Bars aria-hidden>
                    <Bar style={side(one.projectedMs)} />
                    {one.actualMs !== undefined && (
                      <Bar
                        data-actual={one.actualMs >= 0 ? true : undefined}
                        data-lost={one.actualMs < 0 ? true : undefined}
                        style={side(one.actualMs)}
                      />
                    )}
                  </Bars>
                  <td data-label="Projected">{savedWords(one.projectedMs)}</td>
                  <td data-label="Actual">{one.actualMs === undefined ? "–" : savedWords(one.actualMs)}</td>
                  <td data-label="Result">{one.says}</td>
                </tr>
              ))}
            </tbody>
          </Stack>
        </>
      )}
      {actual.elsewhere.length > 0 && (
        <>
          <Heading style={{ marginTop: 20 }}>Also faster or slower</Heading>
          <Quiet>
            {actual.elsewhere.map((one, index) => (
              <span key={one.what}>
                {index > 0 && " · "}
                {one.what} {savedWords(one.wonMs)}
              </span>
            ))}
          </Quiet>
        </>
      )}
      {actual.back !== undefined && (
        <Small as="p" style={{ marginTop: 10 }}>
          {actual.back}
        </Small>
      )}
      <Small as="p" style={{ marginTop: 10 }}>
        {actual.variationPercent === undefined
          ? "Normal variation is unknown until three retests."
          : `Normal variation for this athlete: ±${actual.variationPercent.toFixed(1)}%. Smaller changes may be chance.`}
      </Small>
    </section>
  );
}
