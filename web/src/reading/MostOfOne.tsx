import { useQuery } from "@tanstack/react-query";
import { scaleLinear } from "d3-scale";
import { useState } from "react";
import { api, message, orProblem, type ReadingView } from "../api/client";
import { keys } from "../api/queries";
import { Input } from "../ui/fields";
import { Problem, Quiet, Small } from "../ui/primitives";
import { useTimes } from "../ui/useTimes";
import { Play } from "./Play";

const BAR = 300;
const ROW = 26;

type Most = NonNullable<ReadingView["most"]>;

interface Props {
  attemptId: string;
  most: Most;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

/** As many of one movement as there was time for: minute by minute, its cycle with its pauses, and what a target takes. */
export function MostOfOne({ attemptId, most, onPlay }: Props) {
  const { clock, span } = useTimes();
  const { minutes, pauses } = most;
  const x = scaleLinear([0, Math.max(1, ...minutes.map((minute) => minute.done))], [0, BAR]);
  return (
    <>
      <p>
        <strong>{most.done}</strong> {most.movement} in the {clock(most.untilMs - most.fromMs)} there were.
      </p>
      <svg
        viewBox={`0 0 ${BAR + 110} ${minutes.length * ROW}`}
        style={{ width: "100%", maxWidth: 460, display: "block", marginTop: 8 }}
        role="img"
        aria-label={`${most.movement} by minute: ${minutes.map((minute) => minute.done).join(", ")}`}
      >
        {minutes.map((minute, index) => (
          <g key={minute.fromMs} transform={`translate(0 ${index * ROW})`} fill="var(--ink)" fontSize="14">
            <text y={16} style={{ fill: "var(--ink-2)", fontStretch: "80%" }}>
              {clock(minute.fromMs)}
            </text>
            <rect x={52} y={6} width={x(minute.done)} height={12} opacity={0.8} />
            <text x={x(minute.done) + 60} y={17}>
              {minute.done}
              {minute.toMs - minute.fromMs < 60_000 && ` in ${clock(minute.toMs - minute.fromMs)}`}
            </text>
          </g>
        ))}
      </svg>
      {most.cycleMs !== undefined && (
        <Quiet style={{ marginTop: 6 }}>
          One every {span(most.cycleMs)} with rests{most.usualMs !== undefined && `, ${span(most.usualMs)} typically`}.{" "}
          {pauses.length > 0 &&
            `${pauses.length === 1 ? "1 long gap cost" : `${pauses.length} long gaps cost`} ${span(most.pausedMs)}:`}{" "}
          {pauses.map((pause) => (
            <span key={pause.fromMs}>
              <Play
                what={`the long gap at ${clock(pause.fromMs)}`}
                fromMs={pause.fromMs}
                toMs={pause.toMs}
                onPlay={onPlay}
              />{" "}
            </span>
          ))}
          {most.runs !== "" && `Sets between them: ${most.runs}.`}
          {most.withoutPauses !== undefined && ` With no gaps: ${most.withoutPauses} reps at most.`}
        </Quiet>
      )}
      <Target attemptId={attemptId} most={most} />
    </>
  );
}

function Target({ attemptId, most }: Pick<Props, "attemptId" | "most">) {
  const { span } = useTimes();
  const [typed, setTyped] = useState("");
  const asked = /^\d+$/.test(typed) ? Number(typed) : undefined;
  const said = useQuery({
    queryKey: [...keys.reading(attemptId), "most", asked],
    enabled: asked !== undefined,
    queryFn: async () =>
      orProblem(
        await api.GET("/api/attempts/{id}/reading/most", {
          params: { path: { id: attemptId }, query: { target: asked ?? 0 } },
        }),
      ),
  });
  const target = asked === undefined ? most.target : said.data?.target;
  return (
    <div style={{ display: "flex", gap: 8, alignItems: "center", flexWrap: "wrap", marginTop: 10 }}>
      <label htmlFor="target-of-most">For</label>
      <Input
        id="target-of-most"
        inputMode="numeric"
        style={{ width: 70 }}
        placeholder={`${most.target.reps}`}
        value={typed}
        onChange={(event) => setTyped(event.target.value.trim())}
      />
      {target && (
        <span role="status">
          one every {span(target.cycleMs)}
          {target.quickerMs !== undefined &&
            (target.quickerMs > 0 ? `, ${span(target.quickerMs)} faster` : ", no faster than it was")}
          {target.withinUsual !== undefined && (
            <Small>
              {" "}
              {target.withinUsual
                ? "The typical rate without gaps is as fast."
                : "This athlete hasn’t done that rate here."}
            </Small>
          )}
        </span>
      )}
      {typed !== "" && asked === undefined && <Problem>Enter a number of reps.</Problem>}
      {said.error && <Problem>{message(said.error)}</Problem>}
    </div>
  );
}
