import type { LiftReadingView } from "../api/client";
import { Quiet, Small, Table } from "../ui/primitives";
import { told } from "../ui/time";
import { LiftAxis } from "./LiftAxis";
import { onTheAxis } from "./Lifts";

/** Two lifters: what differs in words, both over the clock, the figures in two columns. */
export function Beside({ read, beside }: { read: LiftReadingView; beside: NonNullable<LiftReadingView["beside"]> }) {
  const { span } = told(read.digits);
  const lines: [string, string, string][] = [
    ["best", beside.one.best, beside.other.best],
    ["% of max", beside.one.percent || "unknown", beside.other.percent || "unknown"],
    ["lifts made", beside.one.made, beside.other.made],
    ["opener", beside.one.opener, beside.other.opener],
    ["first jump", beside.one.firstJump, beside.other.firstJump],
    ["rest before the last", rest(beside.one.restBeforeLastMs), rest(beside.other.restBeforeLastMs)],
  ];
  function rest(ms: number | undefined) {
    return ms === undefined ? "–" : span(ms);
  }
  const besideKg = [...read.rows, ...beside.rows].flatMap((row) => row.loadKg ?? []);
  return (
    <>
      {beside.words.map((words) => (
        <Quiet key={words} style={{ marginTop: 8 }}>
          {words}
        </Quiet>
      ))}
      <LiftAxis
        label={`The lifts of ${beside.one.name}`}
        windowMs={read.windowMs}
        planned={[]}
        besideKg={besideKg}
        done={read.rows.map(onTheAxis)}
      />
      <Small>
        {beside.one.name} above, {beside.other.name} below
      </Small>
      <LiftAxis
        label={`The lifts of ${beside.other.name}`}
        windowMs={read.windowMs}
        planned={[]}
        besideKg={besideKg}
        done={beside.rows.map(onTheAxis)}
      />
      <Table style={{ marginTop: 12, maxWidth: 640 }}>
        <thead>
          <tr>
            <th>
              <span className="visually-hidden">Value</span>
            </th>
            <th>{beside.one.name}</th>
            <th>{beside.other.name}</th>
          </tr>
        </thead>
        <tbody>
          {lines.map(([what, one, two]) => (
            <tr key={what}>
              <td>{what}</td>
              <td>{one}</td>
              <td>{two}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </>
  );
}
