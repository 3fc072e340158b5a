import { Link } from "react-router";
import styled from "styled-components";
import type { CameView } from "../api/client";
import { Heading, Quiet, Sentence, Small, stacked, Table } from "../ui/primitives";
import { day, lost, seconds, won } from "../ui/time";

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
`;

const Bar = styled.span`
  display: block;
  height: 7px;
  margin: 2px 0;
  background: var(--ink-3);
  &[data-came] {
    background: var(--ahead);
  }
  &[data-lost] {
    background: var(--behind);
  }
`;

/** Called against came: each change with what was called and what the retest won of it, and what came from elsewhere. */
export function Came({ came }: { came: CameView }) {
  const widest = Math.max(1, ...came.changes.flatMap((one) => [Math.abs(one.calledMs), Math.abs(one.cameMs)]));
  const width = (ms: number) => ({ width: `${(100 * Math.abs(ms)) / widest}%` });
  return (
    <section aria-label="Called against came" style={{ marginBottom: 40 }}>
      <Sentence>{came.answer}</Sentence>
      <Quiet style={{ margin: "8px 0 18px" }}>
        Over the {came.segments} segments both attempts did,{" "}
        {came.wonMs >= 0 ? `${seconds(came.wonMs)} s were won` : `${seconds(-came.wonMs)} s were lost`}. Every second
        below belongs to one change or to none.{" "}
        <Link to={`/attempts/${came.firstId}/retest`}>The attempt of {day(came.firstOn)}</Link>
      </Quiet>
      {came.changes.length > 0 && (
        <>
          <Heading>Called against came</Heading>
          <Stack>
            <thead>
              <tr>
                <th>Change</th>
                <th>
                  <span className="visually-hidden">Drawn</span>
                </th>
                <th>Called</th>
                <th>Came</th>
                <th>So</th>
              </tr>
            </thead>
            <tbody>
              {came.changes.map((one, index) => (
                <tr key={index}>
                  <td>{one.words}</td>
                  <Bars aria-hidden>
                    <Bar style={width(one.calledMs)} />
                    <Bar
                      data-came={one.cameMs >= 0 ? true : undefined}
                      data-lost={one.cameMs < 0 ? true : undefined}
                      style={width(one.cameMs)}
                    />
                  </Bars>
                  <td data-label="Called">{won(one.calledMs)} s</td>
                  <td data-label="Came">{won(one.cameMs)} s</td>
                  <td data-label="So">{one.says}</td>
                </tr>
              ))}
            </tbody>
          </Stack>
        </>
      )}
      {came.elsewhere.length > 0 && (
        <>
          <Heading style={{ marginTop: 20 }}>Not called, and came all the same</Heading>
          <Quiet>
            {came.elsewhere.map((one, index) => (
              <span key={one.what}>
                {index > 0 && " · "}
                {one.what} {lost(-one.wonMs)} s
              </span>
            ))}
          </Quiet>
        </>
      )}
      <Small as="p" style={{ marginTop: 10 }}>
        {came.typicalErrorPercent === undefined
          ? "This athlete’s usual scatter between attempts is not known yet: it takes three retests."
          : `This athlete’s repeat attempts scatter by ${came.typicalErrorPercent.toFixed(1)} % (typical error); less than twice that may be luck.`}
      </Small>
    </section>
  );
}
