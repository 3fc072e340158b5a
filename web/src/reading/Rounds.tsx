import { scaleLinear } from "d3-scale";
import type { ReadingView } from "../api/client";
import { Quiet, Small } from "../ui/primitives";
import { useTimes } from "../ui/useTimes";
import { Play } from "./Play";

const BAR = 300;
const ROW = 26;

type Block = ReadingView["blocks"][number];

interface Props {
  reading: ReadingView;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** Round splits as bars, block by block, and how even they were. */
export function Rounds({ reading, onPlay }: Props) {
  const blocks = reading.blocks.filter((block) => block.rounds.length > 0);
  if (blocks.length === 0) return <Quiet>This workout has no rounds, or none is complete yet.</Quiet>;
  return blocks.map((block) => <BlockOfRounds key={block.name} block={block} onPlay={onPlay} />);
}

function BlockOfRounds({ block, onPlay }: { block: Block; onPlay: Props["onPlay"] }) {
  const { clock, span } = useTimes();
  const { rounds, consistency, differentWork } = block;
  const x = scaleLinear([0, Math.max(...rounds.map((round) => round.elapsedMs))], [0, BAR]);
  // Room for "3.2" and for the partner's "(partner)" alike.
  const indent = 14 + 8 * Math.min(6, Math.max(...rounds.map((round) => round.number.length)));
  const slowest = rounds.reduce((one, other) => (other.elapsedMs > one.elapsedMs ? other : one));
  return (
    <div style={{ marginBottom: 16 }}>
      {block.name !== "" && <strong>{block.name}</strong>}
      <svg
        viewBox={`0 0 ${BAR + 86 + indent + (differentWork ? 90 : 0)} ${rounds.length * ROW}`}
        style={{ width: "100%", maxWidth: 500, display: "block" }}
        role="img"
        aria-label={`Round splits${block.name && ` of ${block.name}`}: ${rounds.map((round) => (differentWork && round.rate ? `${clock(round.elapsedMs)} at ${round.rate}` : clock(round.elapsedMs))).join(", ")}`}
      >
        {rounds.map((round, index) => (
          <g key={round.words} transform={`translate(0 ${index * ROW})`} fill="var(--ink)" fontSize="14">
            <text y={16} style={{ fill: "var(--ink-2)" }}>
              {round.number}
            </text>
            <rect x={indent} y={6} width={x(round.elapsedMs)} height={12} opacity={0.8} />
            <text x={x(round.elapsedMs) + indent + 8} y={17} style={{ fontStretch: "80%" }}>
              {clock(round.elapsedMs)}
              {differentWork && round.rate && ` · ${round.rate}`}
            </text>
          </g>
        ))}
      </svg>
      <Small as="p">
        {consistency
          ? `Slowest (${slowest.words}) ${span(consistency.rangeMs)} over the fastest. ${trend(consistency.slopeMsPerRound, span)}`
          : (differentWork ?? "Only one full round, nothing to compare.")}{" "}
        {rounds.length > 1 && !differentWork && (
          <Play what={slowest.words} fromMs={slowest.startMs} toMs={slowest.endMs} onPlay={onPlay} />
        )}
      </Small>
    </div>
  );
}

function trend(slopeMs: number, span: (ms: number) => string): string {
  if (Math.abs(slopeMs) < 50) return "No fade.";
  return slopeMs > 0 ? `Fade: ${span(slopeMs)} per round.` : `Each round ${span(-slopeMs)} faster.`;
}
