import { scaleLinear } from "d3-scale";
import styled from "styled-components";
import type { HeadToHeadView } from "../api/client";
import { Toggle, Toggles } from "../ui/fields";
import { Heading } from "../ui/primitives";
import { Stretch, TextureKey, Textures } from "../ui/textures";
import { wallClock } from "../ui/time";
import { useWidth } from "../ui/useWidth";

const NAME = 118;
const RIGHT = 12;
const ROW = 46;
const BAND = 24;
const AXIS = 22;
/** A place's name needs so much room. */
const ROOM = 64;

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 8px 16px;
  align-items: center;
`;

const Frame = styled.div`
  margin-top: 8px;
  color: var(--ink);
  svg {
    display: block;
  }
  text {
    fill: var(--ink-2);
    font-size: 12px;
    font-stretch: 80%;
  }
`;

interface Props {
  versus: HeadToHeadView;
  byWork: boolean;
  onByWork: (byWork: boolean) => void;
  onStart: ((clocks: number[], label: string) => void) | undefined;
}

/** A strip for each attempt, one under the other: by the clock, or with every place starting at one point. */
export function StripsByWork({ versus, byWork, onByWork, onStart }: Props) {
  const [frame, width] = useWidth(1130);
  const { sides, slots } = versus;
  const name = width < 560 ? 74 : NAME;
  const x = scaleLinear([0, Math.max(1, byWork ? versus.workMs : versus.clockMs)], [name, width - RIGHT]);
  const height = AXIS + sides.length * ROW + 18;
  const first = (index: number) => slots[index]?.spans[0];
  /** Where a clock time of a side lies. */
  const place = (side: number, clockMs: number) => {
    if (!byWork) return x(clockMs);
    const slot = slots.find((one) => clockMs <= (one.spans[side]?.toMs ?? 0)) ?? slots.at(-1);
    return slot ? x(slot.atMs + clockMs - (slot.spans[side]?.fromMs ?? 0)) : x(0);
  };
  return (
    <>
      <Head>
        <Heading style={{ margin: 0 }}>{byWork ? "Line up by movement" : "Line up by clock"}</Heading>
        <Toggles
          aria-label="Line up"
          selectionMode="single"
          disallowEmptySelection
          selectedKeys={[byWork ? "work" : "clock"]}
          onSelectionChange={(chosen) => onByWork([...chosen][0] === "work")}
        >
          <Toggle id="clock">Line up by clock</Toggle>
          <Toggle id="work">Line up by movement</Toggle>
        </Toggles>
      </Head>
      <Frame ref={frame}>
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={`Strips of ${sides.map((side) => side.name).join(" and ")}, ${byWork ? "lined up by movement" : "lined up by clock"}`}
        >
          <Textures />
          {byWork
            ? slots.map((slot) => (
                <path
                  key={slot.atMs}
                  d={`M${x(slot.atMs)} ${AXIS - 4} V${height - 14}`}
                  stroke="var(--line)"
                  strokeWidth={1}
                />
              ))
            : ticks(versus.clockMs, width).map((ms) => (
                <g key={ms}>
                  <path d={`M${x(ms)} ${AXIS - 4} V${height - 14}`} stroke="var(--line)" />
                  <text x={x(ms) + 3} y={12}>
                    {wallClock(ms)}
                  </text>
                </g>
              ))}
          {sides.map((side, index) => (
            <g key={side.attemptId}>
              <text x={0} y={AXIS + index * ROW + BAND / 2 + 4} style={{ fill: "var(--ink)" }}>
                {shortened(side.name, name)}
              </text>
              {side.bands.flatMap((band) =>
                band.pieces.map((piece) => (
                  <Stretch
                    key={`${band.fromMs} ${piece.kind} ${piece.fromMs}`}
                    kind={piece.kind}
                    x={place(index, piece.fromMs + 1)}
                    y={AXIS + index * ROW}
                    width={Math.max(0.5, place(index, piece.toMs) - place(index, piece.fromMs + 1) - 0.5)}
                    height={BAND}
                  />
                )),
              )}
              {side.bands.map((band) => (
                <path
                  key={band.fromMs}
                  d={`M${place(index, band.toMs)} ${AXIS + index * ROW - 3} v${BAND + 8}`}
                  stroke="var(--ink-3)"
                  strokeWidth={0.8}
                />
              ))}
            </g>
          ))}
          {byWork &&
            slots.map((slot) =>
              x(slot.atMs + slot.lengthMs) - x(slot.atMs) > ROOM ? (
                <text key={slot.atMs} x={x(slot.atMs) + 3} y={12}>
                  {shortened(slot.name, x(slot.atMs + slot.lengthMs) - x(slot.atMs))}
                </text>
              ) : null,
            )}
          {onStart &&
            slots.map((slot, index) => {
              const from = byWork ? x(slot.atMs) : x(first(index)?.fromMs ?? 0);
              const to = byWork ? x(slot.atMs + slot.lengthMs) : x(first(index)?.toMs ?? 0);
              return (
                <rect
                  key={slot.atMs}
                  x={from}
                  y={0}
                  width={Math.max(1, to - from)}
                  height={height}
                  fill="transparent"
                  style={{ cursor: "pointer" }}
                  onClick={() =>
                    onStart(
                      slot.spans.map((span) => (byWork ? (span.beginMs ?? span.fromMs) : (slot.spans[0]?.fromMs ?? 0))),
                      slot.place,
                    )
                  }
                >
                  <title>{`Play side by side from ${slot.place}`}</title>
                </rect>
              );
            })}
        </svg>
      </Frame>
      <TextureKey />
    </>
  );
}

/** A text as far as there is room. */
function shortened(name: string, room: number): string {
  const letters = Math.floor(room / 6.4);
  return name.length <= letters ? name : `${name.slice(0, Math.max(1, letters - 1))}…`;
}

const STEPS_MS = [15, 30, 60, 120, 300, 600].map((seconds) => seconds * 1000);

function ticks(toMs: number, width: number): number[] {
  const step = STEPS_MS.find((one) => toMs / one <= width / 70) ?? 1_800_000;
  return Array.from({ length: Math.floor(toMs / step) + 1 }, (_, index) => index * step);
}
