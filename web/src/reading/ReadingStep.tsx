import { useState } from "react";
import { ToggleButtonGroup } from "react-aria-components";
import styled from "styled-components";
import type { ReadingView } from "../api/client";
import { useReading, type YardstickKind } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { ButtonLink, Heading, Page, Quiet, Sentence, Small, Toggle } from "../ui/primitives";
import { Waiting } from "../ui/Waiting";
import { clock, seconds } from "../ui/time";
import { CornerStage, type Clip } from "./CornerStage";
import { Findings } from "./Findings";
import { LedgerTable } from "./LedgerTable";
import { Rounds } from "./Rounds";
import { WakeChart } from "./WakeChart";
import { WakeTable } from "./WakeTable";

const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 24px;
  flex-wrap: wrap;
`;

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 40px;
  margin-top: 28px;
  @media (max-width: 860px) {
    grid-template-columns: 1fr;
  }
`;

const Group = styled(ToggleButtonGroup)`
  display: flex;
  gap: 6px;
`;

/** The reading: where every second went, the answer first. */
export function ReadingStep() {
  const attempt = useOpenAttempt();
  const [yardstick, setYardstick] = useState<YardstickKind>();
  const [asTable, setAsTable] = useState(false);
  const [clip, setClip] = useState<Clip>();
  const reading = useReading(attempt.id, yardstick);
  if (!reading.isSuccess) return <Waiting error={reading.error} />;
  const read = reading.data;
  if (read.borders.length === 0) {
    return (
      <Page>
        <Sentence>{read.answer}</Sentence>
        <Quiet style={{ margin: "12px 0 20px" }}>
          {attempt.log.liftWindow
            ? "The lifts stand in the log, each with the rest before it."
            : "The reading fills as you log."}
        </Quiet>
        <ButtonLink to={`/attempts/${attempt.id}/log`}>Go to the log</ButtonLink>
      </Page>
    );
  }
  const play = (fromMs: number, toMs: number, label: string) => setClip({ fromMs, toMs, label, at: Date.now() });
  return (
    <Page>
      <Head>
        <div>
          <Sentence>{read.answer}</Sentence>
          <Quiet style={{ marginTop: 8 }}>{against(read)}</Quiet>
        </div>
        <Group
          aria-label="Read against"
          selectionMode="single"
          disallowEmptySelection
          selectedKeys={[read.yardstick]}
          onSelectionChange={(chosen) => setYardstick([...chosen][0] as YardstickKind)}
        >
          <Toggle id="PLAN">Plan</Toggle>
          {read.yardsticks.includes("FALLBACK") && <Toggle id="FALLBACK">Fallback</Toggle>}
          <Toggle id="OWN_BEST">Own best</Toggle>
        </Group>
      </Head>
      <section aria-label="The wake" style={{ marginTop: 24 }}>
        {asTable ? <WakeTable reading={read} onPlay={play} /> : <WakeChart reading={read} onPlay={play} />}
        <div style={{ textAlign: "right", marginTop: 6 }}>
          <Toggle isSelected={asTable} onChange={setAsTable}>
            As a table
          </Toggle>
        </div>
      </section>
      <Two>
        <section aria-label="Findings">
          <Heading>What cost most</Heading>
          <Findings findings={read.findings} onPlay={play} />
        </section>
        <section aria-label="Rounds">
          <Heading>Rounds</Heading>
          <Rounds reading={read} />
        </section>
      </Two>
      <section aria-label="Ledger" style={{ marginTop: 32 }}>
        <Heading>Seconds lost (+) and won (−), by movement and cause</Heading>
        <LedgerTable reading={read} />
        <Small>
          The causes add up to the difference: {clock(read.clockMs)} on the clock against {clock(read.allowedMs)} for
          the same work.
          {read.unseparatedMs > 0 && ` The marks do not tell ${seconds(read.unseparatedMs)} s of the clock apart.`}
        </Small>
      </section>
      {clip && <CornerStage attempt={attempt} clip={clip} onClose={() => setClip(undefined)} />}
    </Page>
  );
}

function against({ yardstick, planAssumed, score, over }: ReadingView): string {
  const so = over ? `Scored ${score}.` : `Logged so far: ${score}.`;
  if (yardstick === "OWN_BEST") {
    return `${so} Read against the best quarter of this attempt’s own transitions, rests and cadences.`;
  }
  if (yardstick === "FALLBACK") return `${so} Read against what you wrote for the movement that fails.`;
  return planAssumed
    ? `${so} Read against a draft of usual cadences: an assumption, not this athlete’s plan.`
    : `${so} Read against your plan.`;
}
