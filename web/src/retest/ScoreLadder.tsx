import { scaleLinear } from "d3-scale";
import styled from "styled-components";
import type { ProjectionView, ScoreView } from "../api/client";
import { Meaning } from "../ui/Meaning";
import { Small } from "../ui/primitives";

const HEIGHT = 300;
const APART = 46;

const Ladder = styled.div`
  position: relative;
  height: ${HEIGHT + 48}px;
  margin-bottom: 6px;
`;

const Scale = styled.svg`
  position: absolute;
  inset: 0 auto 0 0;
  overflow: visible;
`;

const Rung = styled.li`
  position: absolute;
  left: 74px;
  list-style: none;
  line-height: 1.15;
  b {
    font-size: 25px;
    font-weight: 620;
    font-stretch: 80%;
    margin-right: 8px;
  }
  span {
    color: var(--ink-2);
    font-size: 13.5px;
  }
`;

type Kind = "now" | "all" | "evidence" | "middle" | "goal";

interface Mark {
  score: ScoreView;
  says: string;
  kinds: Kind[];
}

/** A score that several stand for is drawn once, with all their names. */
function once(marks: Mark[]): Mark[] {
  const drawn: Mark[] = [];
  for (const mark of marks) {
    const same = drawn.find((one) => one.score.words === mark.score.words);
    if (same) {
      same.says += ` = ${mark.says}`;
      same.kinds.push(...mark.kinds);
    } else drawn.push({ ...mark, kinds: [...mark.kinds] });
  }
  return drawn;
}

/** The scores on one scale, the best on top: this attempt, proven, projected, best case, goal; the likely range as a band. */
export function ScoreLadder({ view, goal }: { view: ProjectionView; goal: ScoreView | undefined }) {
  const marks: Mark[] = [
    { score: view.bestCase, says: "best case", kinds: ["all"] },
    { score: view.middle, says: "projected", kinds: ["middle"] },
    { score: view.proven, says: "proven", kinds: ["evidence"] },
    { score: view.before, says: "this attempt", kinds: ["now"] },
  ];
  if (goal) marks.push({ score: goal, says: "goal", kinds: ["goal"] });
  const ends = view.range ? [view.range.p10, view.range.p90] : [];
  const all = [...marks.map((mark) => mark.score), ...ends];
  // Finishes go by the clock, everything else by what got done; a cap among finishes stands below them all.
  const byClock = all.every((score) => score.done === all[0]?.done);
  const worth = (score: ScoreView) => (byClock ? -score.clockMs : score.done);
  const worths = all.map(worth);
  const y = scaleLinear()
    .domain([Math.max(...worths), Math.min(...worths) - 1e-9])
    .range([14, HEIGHT]);
  const placed = apart(once(marks).map((mark) => ({ ...mark, at: y(worth(mark.score)) })));
  return (
    <>
      <Ladder>
        <Scale width={70} height={HEIGHT + 48} aria-hidden>
          <line x1={10} x2={10} y1={4} y2={HEIGHT + 10} stroke="var(--ink)" strokeWidth={2} />
          {view.range && (
            <rect
              x={11}
              width={16}
              y={y(worth(view.range.p90))}
              height={Math.max(2, y(worth(view.range.p10)) - y(worth(view.range.p90)))}
              fill="var(--ahead)"
              opacity={0.22}
            />
          )}
          {placed.map((mark) => (
            <path
              key={mark.says}
              d={`M4 ${mark.at} H27 L58 ${mark.label} H70`}
              fill="none"
              stroke={mark.kinds.includes("middle") ? "var(--ahead)" : "var(--ink)"}
              strokeWidth={mark.kinds.includes("now") || mark.kinds.includes("middle") ? 2 : 1}
              strokeDasharray={mark.kinds.includes("now") ? undefined : "3 3"}
            />
          ))}
        </Scale>
        <ol aria-label="Scores, the best on top" style={{ margin: 0, padding: 0 }}>
          {placed.map((mark) => (
            <Rung key={mark.says} style={{ top: mark.label - 15 }}>
              <b style={mark.kinds.includes("middle") ? { color: "var(--ahead)" } : undefined}>{mark.score.words}</b>
              <span>{mark.says}</span>
            </Rung>
          ))}
        </ol>
      </Ladder>
      <Small as="p">
        {view.range
          ? `Likely range: 8 in 10 of ${view.range.replays.toLocaleString("en-GB")} simulated retests score ${view.range.words}. They include this athlete’s variation, good and bad days, and fatigue.`
          : view.noRange}
      </Small>
      <Meaning of="Proven">
        “Proven” counts each change by how well this athlete has already done it: fully if late in this attempt, less if
        earlier, elsewhere or never. “Projected” assumes every change is made, and takes off the fatigue cost.
      </Meaning>
    </>
  );
}

/** Labels far enough apart to be read, in the order of their scores. */
function apart<T extends { at: number }>(marks: T[]): (T & { label: number })[] {
  const sorted = [...marks].sort((one, other) => one.at - other.at);
  const placed: (T & { label: number })[] = [];
  let last = -APART;
  for (const mark of sorted) {
    last = Math.max(mark.at, last + APART);
    placed.push({ ...mark, label: last });
  }
  const over = (placed.at(-1)?.label ?? 0) - HEIGHT - 20;
  if (over <= 0) return placed;
  let next = HEIGHT + 20;
  for (const mark of placed.toReversed()) {
    mark.label = Math.min(mark.label, next);
    next = mark.label - APART;
  }
  return placed;
}
