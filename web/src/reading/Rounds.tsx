import { scaleLinear } from "d3-scale";
import type { ReadingView } from "../api/client";
import { Quiet, Small } from "../ui/primitives";
import { clock, lost, seconds } from "../ui/time";

const BAR = 300;

/** Round splits as bars, and how even they were. */
export function Rounds({ reading }: { reading: ReadingView }) {
  const { rounds, consistency } = reading;
  if (rounds.length === 0) return <Quiet>This workout has no rounds, or none is complete yet.</Quiet>;
  const x = scaleLinear([0, Math.max(...rounds.map((round) => round.elapsedMs))], [0, BAR]);
  return (
    <>
      <svg viewBox={`0 0 ${BAR + 110} ${rounds.length * 26}`} style={{ width: "100%", maxWidth: 460 }} role="img">
        <title>Round splits</title>
        {rounds.map((round, index) => (
          <g key={round.number} transform={`translate(0 ${index * 26})`} fill="var(--ink)" fontSize="14">
            <text y={16} style={{ fill: "var(--ink-2)" }}>
              {round.number}
            </text>
            <rect x={24} y={6} width={x(round.elapsedMs)} height={12} opacity={0.8} />
            <text x={x(round.elapsedMs) + 32} y={17} style={{ fontStretch: "80%" }}>
              {clock(round.elapsedMs)}
            </text>
          </g>
        ))}
      </svg>
      <Small as="p">
        {consistency
          ? `Slowest ${seconds(consistency.rangeMs)} s over fastest; on average ${consistency.decrementPercent.toFixed(1)} % over the best round; drifting ${lost(consistency.slopeMsPerRound)} s a round.`
          : "Rounds of different work: their times are not compared with each other."}
      </Small>
    </>
  );
}
