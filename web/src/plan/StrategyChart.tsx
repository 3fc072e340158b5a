import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import { RadioButton, RadioField, RadioGroup } from "react-aria-components";
import styled from "styled-components";
import type { PacingStrategy, StrategyView } from "../api/client";
import { Heading, Small } from "../ui/primitives";
import { clock, span } from "../ui/time";
import { useWidth } from "../ui/useWidth";

const HEIGHT = 170;
const DASH: Record<PacingStrategy, string> = { EVEN: "", KICK: "7 3", BANK: "2 3", INTERVAL: "10 3 2 3" };
export const NAME: Record<PacingStrategy, string> = {
  EVEN: "Even",
  KICK: "Negative split",
  BANK: "Positive split",
  INTERVAL: "On the clock",
};

const Frame = styled.div`
  svg {
    display: block;
  }
  text {
    fill: var(--ink-2);
    font-size: 11.5px;
    font-stretch: 80%;
  }
`;

const Choice = styled(RadioButton)`
  display: grid;
  grid-template-columns: 30px 62px 1fr;
  gap: 6px;
  align-items: center;
  padding: 3px 6px;
  border-radius: 6px;
  cursor: pointer;
  font-size: 13.5px;
  &[data-selected] {
    background: var(--selected);
    font-weight: 600;
  }
  &[data-focus-visible] {
    outline: 2px solid var(--focus);
  }
`;

interface Props {
  /** Whether the finish is designed, so that no strategy says how the end is spent. */
  designed?: boolean;
  strategies: StrategyView[];
  onChoose: (strategy: PacingStrategy) => void;
}

/** The pacing strategy over the same total, round by round, so that the coach chooses knowingly. */
export function StrategyChart({ strategies, designed = false, onChoose }: Props) {
  const [frame, width] = useWidth(380);
  const count = Math.max(0, ...strategies.map((strategy) => strategy.rounds.length));
  if (count < 2) return null;
  const all = strategies.flatMap((strategy) => strategy.rounds.map((round) => round.ms));
  const low = Math.min(...all);
  const high = Math.max(...all);
  const pad = Math.max(1000, (high - low) * 0.15);
  const x = scaleLinear([0, count - 1], [46, width - 14]);
  const y = scaleLinear([low - pad, high + pad], [HEIGHT - 22, 8]);
  const path = line<Placed>()
    .x((round) => x(round.index))
    .y((round) => y(round.ms));
  const chosen = strategies.find((strategy) => strategy.chosen)?.strategy ?? "EVEN";
  const first = strategies[0]?.rounds ?? [];
  // Movements that are done once are no rounds: how long each takes says nothing about a start.
  const rounds = first.some((round) => round.round);
  return (
    <section aria-label="Pacing strategies">
      <Heading>Pacing strategy: {rounds ? "round splits, same finish" : "same finish"}</Heading>
      <Frame ref={frame} hidden={!rounds} style={{ minWidth: 0, overflow: "hidden" }}>
        <svg width={width} height={HEIGHT} role="img" aria-label={told(strategies)}>
          {y.ticks(4).map((tick) => (
            <g key={tick}>
              <line x1={42} x2={width - 8} y1={y(tick)} y2={y(tick)} stroke="var(--line)" />
              <text x={36} y={y(tick) + 4} textAnchor="end">
                {clock(tick).slice(0, -2)}
              </text>
            </g>
          ))}
          {first.map((round, index) => (
            <text key={round.label} x={x(index)} y={HEIGHT - 6} textAnchor="middle">
              {count > 12 && index % 5 !== 4 && index !== 0 ? "" : number(round, index)}
            </text>
          ))}
          {strategies.map((strategy) => (
            <g key={strategy.strategy} opacity={strategy.chosen ? 1 : 0.55}>
              {byBlock(strategy.rounds).map((rounds) => (
                <path
                  key={rounds[0]?.index}
                  d={path(rounds) ?? ""}
                  fill="none"
                  stroke="var(--ink)"
                  strokeWidth={strategy.chosen ? 2.5 : 1.25}
                  strokeDasharray={DASH[strategy.strategy]}
                />
              ))}
              {strategy.chosen &&
                strategy.rounds.map((round, index) => (
                  <circle key={round.label} cx={x(index)} cy={y(round.ms)} r={3.5} fill="var(--ink)">
                    <title>{`${round.label}: ${span(round.ms)}, at ${clock(round.endMs)}`}</title>
                  </circle>
                ))}
            </g>
          ))}
        </svg>
      </Frame>
      {strategies.length === 1 && (
        <Small>
          {designed ? "A finish kick is set" : "Rounds start on the clock"}, so no other pacing strategy applies.
        </Small>
      )}
      <RadioGroup
        hidden={strategies.length === 1}
        aria-label="Pacing strategy"
        value={chosen}
        onChange={(value) => onChoose(value as PacingStrategy)}
      >
        {strategies.map((strategy) => (
          <RadioField key={strategy.strategy} value={strategy.strategy}>
            <Choice>
              <svg width={28} height={10} aria-hidden>
                <line
                  x1={0}
                  x2={28}
                  y1={5}
                  y2={5}
                  stroke="var(--ink)"
                  strokeWidth={2}
                  strokeDasharray={DASH[strategy.strategy]}
                />
              </svg>
              {NAME[strategy.strategy]}
              <Small>{strategy.words}</Small>
            </Choice>
          </RadioField>
        ))}
      </RadioGroup>
      <Small hidden={strategies.length === 1} style={{ marginTop: 6 }}>
        Default is even: going out too fast is the most common mistake. The sizes of the others are typical values
        (assumed).
      </Small>
    </section>
  );
}

function told(strategies: StrategyView[]): string {
  return strategies
    .map((one) => `${NAME[one.strategy]}: ${one.rounds.map((round) => span(round.ms)).join(", ")}`)
    .join(". ");
}

type Placed = StrategyView["rounds"][number] & { index: number };

/** The rounds of each block on their own: those of different work are not joined by a line. */
function byBlock(rounds: StrategyView["rounds"]): Placed[][] {
  const blocks: Placed[][] = [];
  rounds.forEach((round, index) => {
    const last = blocks.at(-1);
    if (last && last[0]?.block === round.block) last.push({ ...round, index });
    else blocks.push([{ ...round, index }]);
  });
  return blocks;
}

/** The number of a round in its block. */
function number(round: StrategyView["rounds"][number], index: number): string {
  return /^round (\d+)/.exec(round.label)?.[1] ?? `${index + 1}`;
}
