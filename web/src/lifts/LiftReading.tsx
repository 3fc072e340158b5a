import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type LiftReadingView, orProblem } from "../api/client";
import { keys } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { TakeAlong } from "../files/TakeAlong";
import { CornerStage, type Clip } from "../reading/CornerStage";
import { OnVideo } from "../reading/onVideo";
import { Play } from "../reading/Play";
import { ButtonLink, Caution, Heading, Page, Quiet, Select, Sentence, Small, TwoColumns } from "../ui/primitives";
import { Told } from "../ui/useTimes";
import { Waiting } from "../ui/Waiting";
import { Beside } from "./Beside";
import { LiftAxis, type Lifted } from "./LiftAxis";
import { Lifts, MOMENT_MS, onTheAxis } from "./Lifts";
import { Entries, Maxes } from "./Maxes";

/** The reading of a lift window: when, how heavy, with how much rest, and what was missed on. */
export function LiftReading() {
  const attempt = useOpenAttempt();
  const [other, setOther] = useState<string>();
  const [clip, setClip] = useState<Clip>();
  const reading = useQuery({
    queryKey: [...keys.reading(attempt.id), "lifts", other ?? ""],
    placeholderData: (previous: LiftReadingView | undefined) => previous,
    queryFn: async () =>
      orProblem(
        await api.GET("/api/attempts/{id}/lifts", {
          params: { path: { id: attempt.id }, query: other ? { other } : {} },
        }),
      ),
  });
  if (!reading.isSuccess) return <Waiting error={reading.error} />;
  const read = reading.data;
  if (read.rows.length === 0) {
    return (
      <Page>
        <Sentence>{read.answer}</Sentence>
        <Quiet style={{ margin: "12px 0 20px" }}>The review fills in as you log or type the lifts.</Quiet>
        <ButtonLink to={`/attempts/${attempt.id}/log`}>Go to the log</ButtonLink>
      </Page>
    );
  }
  const filmed = attempt.recordings.length > 0;
  const play = (fromMs: number, toMs: number, label: string) =>
    filmed && setClip({ fromMs: Math.max(0, fromMs), toMs, label, at: Date.now() });
  const missed = read.rows.some((row) => row.outcome === "MISSED");
  return (
    <OnVideo value={filmed}>
      <Told value={read.digits}>
        <Page>
          <Sentence>{read.answer}</Sentence>
          <Quiet style={{ marginTop: 8 }}>{read.maxWords}</Quiet>
          <section aria-label="The lifts on the clock" style={{ marginTop: 20 }}>
            <LiftAxis
              label="The lifts on the clock"
              windowMs={read.windowMs}
              planned={read.planned}
              done={read.rows.map(onTheAxis)}
              maxKg={read.maxKg}
              max={read.max}
              {...(filmed && {
                onPlay: (lift: Lifted) => play(lift.startMs, lift.startMs + (lift.lengthMs ?? MOMENT_MS), lift.load),
              })}
            />
            <Small>
              ■ made · □ missed (notch = rep) · ▨ rest
              {read.planned.length > 0 && ", outline = planned"}.
            </Small>
          </section>
          <section aria-label="Lifts" style={{ marginTop: 24 }}>
            <Lifts rows={read.rows} digits={read.digits} onPlay={play} />
          </section>
          <TwoColumns $left={1.4}>
            <section aria-label="Findings">
              <Heading>Lift notes</Heading>
              <Entries>
                {read.findings.map((finding) => (
                  <li key={finding.words}>
                    <span style={{ flex: "1 1 20em" }}>{finding.words}</span>
                    <Play what="it" fromMs={finding.fromMs} toMs={finding.toMs} onPlay={play} />
                  </li>
                ))}
              </Entries>
              {missed && (
                <Caution style={{ marginTop: 12 }}>
                  A missed lift needs a clear landing space. Stop for pain or a sore joint, and see a licensed
                  professional before heavy bars.
                </Caution>
              )}
            </section>
            <section aria-label="Maxes">
              <Heading>Maxes</Heading>
              <Maxes id={attempt.id} read={read} />
            </section>
          </TwoColumns>
          {read.others.length > 0 && (
            <section aria-label="Compare with another lifter" style={{ marginTop: 32 }}>
              <Heading>Compare with…</Heading>
              <Select
                aria-label="Which other attempt"
                value={other ?? ""}
                onChange={(event) => setOther(event.target.value || undefined)}
              >
                <option value="">choose an attempt…</option>
                {read.others.map((one) => (
                  <option key={one.id} value={one.id}>
                    {one.words}
                  </option>
                ))}
              </Select>
              {other && read.beside && <Beside read={read} beside={read.beside} />}
            </section>
          )}
          <section aria-label="Export" className="not-on-paper" style={{ marginTop: 32 }}>
            <Heading>Export</Heading>
            <TakeAlong wake={false} />
          </section>
          {clip && (
            <CornerStage
              attempt={attempt}
              clip={clip}
              place={undefined}
              onClose={() => setClip(undefined)}
              onEnd={() => undefined}
            />
          )}
        </Page>
      </Told>
    </OnVideo>
  );
}
