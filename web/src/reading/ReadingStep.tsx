import { useState } from "react";
import styled from "styled-components";
import type { ReadingView } from "../api/client";
import { useFan, useReading, type BaselineKind } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { Toggle, Toggles } from "../ui/fields";
import { ButtonLink, Heading, Page, Quiet, Sentence, Small, Select, TwoColumns } from "../ui/primitives";
import { Meaning } from "../ui/Meaning";
import { Waiting } from "../ui/Waiting";
import { told, wallClock } from "../ui/time";
import { TakeAlong } from "../files/TakeAlong";
import { LiftReading } from "../lifts/LiftReading";
import { Traces } from "../traces/Traces";
import { useTraces } from "../traces/useTraces";
import { Told } from "../ui/useTimes";
import { CornerStage, type Clip } from "./CornerStage";
import { OnVideo } from "./onVideo";
import { Findings } from "./Findings";
import { LedgerTable } from "./LedgerTable";
import { MostOfOne } from "./MostOfOne";
import { OverTheClock } from "./OverTheClock";
import { Remarks } from "./Remarks";
import { Rounds } from "./Rounds";
import { Sections } from "./Sections";
import { Sets } from "./Sets";
import { Standing } from "./Standing";
import { Techniques } from "./Techniques";
import { WakeChart } from "./WakeChart";
import { WakeTable } from "./WakeTable";
import { WhereTheClockWent } from "./WhereTheClockWent";

const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 24px;
  flex-wrap: wrap;
`;

const Against = styled.div`
  display: grid;
  gap: 6px;
  justify-items: end;
  @media (max-width: 720px) {
    justify-items: start;
  }
`;

/** The reading: of a lift window its lifts, of everything else where every second went. */
export function ReadingStep() {
  return useOpenAttempt().log.liftWindow ? <LiftReading /> : <ClockReading />;
}

/** Where every second went, the answer first. */
function ClockReading() {
  const attempt = useOpenAttempt();
  const [baseline, setBaseline] = useState<BaselineKind>();
  const [other, setOther] = useState<string>();
  const [asTable, setAsTable] = useState(false);
  const [reel, setReel] = useState<{ clips: Clip[]; at: number }>();
  const reading = useReading(attempt.id, baseline, other);
  const fan = useFan(attempt.id, baseline, other);
  const traces = useTraces(attempt.id, baseline);
  if (!reading.isSuccess) return <Waiting error={reading.error} />;
  const read = reading.data;
  if (read.borders.length === 0) {
    return (
      <Page>
        <Sentence>{read.answer}</Sentence>
        <Quiet style={{ margin: "12px 0 20px" }}>The review fills in as you log.</Quiet>
        <ButtonLink to={`/attempts/${attempt.id}/log`}>Go to the log</ButtonLink>
      </Page>
    );
  }
  const filmed = attempt.recordings.length > 0;
  const playAll = (moments: Omit<Clip, "at">[]) => {
    if (!filmed) return;
    const now = Date.now();
    setReel({ clips: moments.map((moment, index) => ({ ...moment, at: now + index })), at: 0 });
  };
  const play = (fromMs: number, toMs: number, label: string) => playAll([{ fromMs, toMs, label }]);
  const next = () => setReel((old) => (old && old.at + 1 < old.clips.length ? { ...old, at: old.at + 1 } : old));
  const clip = reel?.clips[reel.at];
  const planned = ["PLAN", "EDITED_PLAN", "FALLBACK"].includes(read.baseline);
  const { span } = told(read.digits);
  const whereItWent = (
    <section aria-label="Where the time went" style={{ marginTop: 24 }}>
      <Heading>Where the time went</Heading>
      <WhereTheClockWent reading={read} onPlay={play} />
    </section>
  );
  return (
    <OnVideo value={filmed}>
      <Told value={read.digits}>
        <Page>
          <Head>
            <div style={{ flex: "1 1 24em" }}>
              <Sentence>{read.answer}</Sentence>
              <Quiet style={{ marginTop: 8 }}>{against(read)}</Quiet>
            </div>
            <Against>
              <Toggles
                aria-label="Compare with"
                selectionMode="single"
                selectedKeys={other ? [] : [read.baseline]}
                onSelectionChange={(chosen) => {
                  const first = [...chosen][0];
                  if (first === undefined) return;
                  setOther(undefined);
                  setBaseline(first as BaselineKind);
                }}
              >
                <Toggle id="PLAN">Plan</Toggle>
                {read.baselines.includes("EDITED_PLAN") && <Toggle id="EDITED_PLAN">Edited plan</Toggle>}
                {read.baselines.includes("FALLBACK") && <Toggle id="FALLBACK">Plan B</Toggle>}
                <Toggle id="BEST_SPLITS">Best splits</Toggle>
              </Toggles>
              {read.others.length > 0 && (
                <Select
                  aria-label="Or compare with another attempt"
                  value={other ?? ""}
                  onChange={(event) => setOther(event.target.value || undefined)}
                >
                  <option value="">compare with…</option>
                  {read.others.map((one) => (
                    <option key={one.id} value={one.id}>
                      {one.words}
                    </option>
                  ))}
                </Select>
              )}
            </Against>
          </Head>
          {(!planned || read.compared.nothing) && whereItWent}
          <section aria-label="Gap over time" style={{ marginTop: 24 }} hidden={read.compared.nothing}>
            {asTable ? (
              <WakeTable reading={read} onPlay={play} />
            ) : (
              <WakeChart reading={read} fan={fan.data} traces={other ? [] : traces.data} onPlay={play} />
            )}
            <div style={{ textAlign: "right", marginTop: 6 }}>
              <Toggle isSelected={asTable} onChange={setAsTable}>
                Show as table
              </Toggle>
            </div>
          </section>
          <TwoColumns $left={1.25}>
            <section aria-label="Findings">
              <Heading>Biggest time losses</Heading>
              <Findings findings={read.findings} silence={read.silence} onPlay={play} />
              {(read.techniques.length > 0 || read.cueEffects.length > 0) && (
                <section aria-label="Techniques" style={{ marginTop: 20 }}>
                  <Heading>Techniques</Heading>
                  <Techniques reading={read} onPlay={play} />
                </section>
              )}
            </section>
            <section aria-label="Rounds">
              <Heading>{read.most ? "Minute by minute" : "Rounds"}</Heading>
              {read.most ? (
                <MostOfOne attemptId={attempt.id} most={read.most} onPlay={play} />
              ) : (
                <Rounds reading={read} onPlay={play} />
              )}
              <Standing reading={read} onPlay={play} />
            </section>
          </TwoColumns>
          {planned && !read.compared.nothing && whereItWent}
          {read.sections.length > 0 && (
            <section aria-label="Sections" style={{ marginTop: 32 }}>
              <Heading>Sections</Heading>
              <Sections reading={read} onPlay={play} />
            </section>
          )}
          {hasRates(read) && (
            <section aria-label="Over the clock" className="not-on-paper" style={{ marginTop: 32 }}>
              <Heading>Rep rate and notes over time</Heading>
              <OverTheClock reading={read} onPlay={play} />
            </section>
          )}
          <section aria-label="Ledger" style={{ marginTop: 32 }}>
            <Heading>Time lost (+) and saved (−), by movement</Heading>
            <LedgerTable reading={read} onPlayAll={playAll} />
            <Small>
              Adds up to the gap: {wallClock(read.clockMs)} against {wallClock(read.expectedMs)} for the same work.
              {(read.totals.UNFINISHED ?? 0) > 0 &&
                ` Not counted: ${span(read.totals.UNFINISHED ?? 0)} of unfinished work at the end.`}
            </Small>
            {read.unseparatedMs > 0 && (
              <Meaning of="Unassigned">
                Only the end of the movement or round was logged, so this time cannot be split into pace, rest and
                transition. Log starts and breaks to split it.
              </Meaning>
            )}
          </section>
          <section aria-label="Notes" style={{ marginTop: 32 }}>
            <Heading>Notes</Heading>
            <Remarks attempt={attempt} reading={read} onPlay={play} />
          </section>
          {read.movements.length > 0 && (
            <section
              aria-label="Sets by movement"
              className="not-on-paper"
              style={{ marginTop: 32, overflowX: "auto" }}
            >
              <Heading>Sets</Heading>
              <Sets reading={read} onPlay={play} />
            </section>
          )}
          <section aria-label="Erg and heart-rate data" style={{ marginTop: 32 }}>
            <Heading>Erg and heart-rate data</Heading>
            <Traces onPlay={play} />
          </section>
          <section aria-label="Export" className="not-on-paper" style={{ marginTop: 32 }}>
            <Heading>Export</Heading>
            <TakeAlong wake={!read.compared.nothing} />
          </section>
          {reel && clip && (
            <CornerStage
              attempt={attempt}
              clip={clip}
              place={reel.clips.length > 1 ? `${reel.at + 1} of ${reel.clips.length}` : undefined}
              onClose={() => setReel(undefined)}
              onEnd={next}
            />
          )}
        </Page>
      </Told>
    </OnVideo>
  );
}

function hasRates({ movements, notes, efforts }: ReadingView): boolean {
  const rated = movements.some((one) => one.rows.some((row) => row.perMinute !== undefined));
  return rated || notes.length > 0 || efforts.length > 0;
}

function against({ baseline, baselines, baselineWords, planAssumed, score, reached, over }: ReadingView): string {
  const so = over ? [`Score ${score}`, reached].filter(Boolean).join(" · ") : `So far ${score}`;
  if (baseline === "BEST_SPLITS") {
    return `${so} · compared with its best splits of the same work at the same load`;
  }
  if (baseline === "ATTEMPT") return `${so} · compared with ${baselineWords}, for the same work`;
  if (baseline === "EDITED_PLAN") return `${so} · compared with your plan as it is now, edited after the attempt`;
  if (baseline === "PLAN" && baselines.includes("EDITED_PLAN")) {
    return `${so} · compared with the plan the attempt was done with, which was edited since`;
  }
  if (baseline === "FALLBACK") return `${so} · compared with your Plan B`;
  return planAssumed
    ? `${so} · compared with a draft plan of typical rates (assumed). Save a plan to compare with yours.`
    : `${so} · compared with your plan`;
}
