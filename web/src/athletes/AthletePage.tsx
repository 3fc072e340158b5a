import { useState } from "react";
import { useParams, useSearchParams } from "react-router";
import styled from "styled-components";
import { Input } from "../ui/fields";
import { ButtonLink, Caution, Heading, Page, Quiet, Sentence, Small, SmallButton, TwoColumns } from "../ui/primitives";
import { Waiting } from "../ui/Waiting";
import { FiguresTable } from "./FiguresTable";
import { HistoryChart } from "./HistoryChart";
import { LiftHistory } from "./LiftHistory";
import { Limiters } from "./Limiters";
import { PastAttempts } from "./PastAttempts";
import { StrengthWork } from "./StrengthWork";
import { Techniques } from "./Techniques";
import { useAthletePage } from "./page";

const Lines = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(262px, 100%), 1fr));
  gap: 14px;
  margin-top: 10px;
`;

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  justify-content: space-between;
  gap: 8px 20px;
  label {
    font-size: 14px;
    color: var(--ink-2);
  }
  input {
    width: auto;
  }
`;

/** Lines of more attempts than these are shown unfolded. */
const SHOWN = 8;

/** One athlete: what hurts, what they train for, how it moved, what was done, and what the projections taught. */
export function AthletePage() {
  const { id = "" } = useParams();
  const [search, setSearch] = useSearchParams();
  const from = search.get("from") ?? "";
  const over = search.get("over") ?? "";
  const [all, setAll] = useState(false);
  const page = useAthletePage(id, from, over);
  if (!page.isSuccess) return <Waiting error={page.error} />;
  const told = page.data;
  const set = (name: string, value: string) =>
    setSearch(
      (old) => {
        const now = new URLSearchParams(old);
        if (value) now.set(name, value);
        else now.delete(name);
        return now;
      },
      { replace: true },
    );
  const lines = all ? told.lines : told.lines.slice(0, SHOWN);
  return (
    <Page>
      <title>{`${told.name} · Wake`}</title>
      <Sentence>{told.name}</Sentence>
      {told.lines.length > 0 && <p style={{ marginTop: 4 }}>{told.answer}</p>}
      {told.goal && <p style={{ marginTop: 4 }}>Trains for {told.goal}.</p>}
      {told.note && <Quiet>{told.note}</Quiet>}
      {told.pain && (
        <Caution style={{ marginTop: 8 }}>
          Pain on file: {told.pain}. No retest until a licensed professional clears it and you remove the note.
        </Caution>
      )}
      {told.recoversSlowly && <Small as="p">Slow to recover: one day more before a retest.</Small>}
      {told.beingRead > 0 && (
        <Quiet role="status">Still working through {told.beingRead} attempts; they appear as they finish.</Quiet>
      )}
      <section aria-label="Trends" style={{ marginTop: 24 }}>
        <Head>
          <Heading>Trends</Heading>
          <label>
            from <Input type="date" value={from} onChange={(event) => set("from", event.target.value)} />
          </label>
        </Head>
        {told.lines.length === 0 && (
          <Quiet>
            {from
              ? "Fewer than two comparable attempts since then. Choose an earlier day."
              : "Trends start with two attempts at the same movement and load."}
          </Quiet>
        )}
        <Lines>
          {lines.map((line) => (
            <HistoryChart key={`${line.kind} ${line.title}`} of={line} />
          ))}
        </Lines>
        {told.lines.length > SHOWN && (
          <p style={{ marginTop: 8 }}>
            <SmallButton onPress={() => setAll(!all)}>
              {all ? "Show less" : `All ${told.lines.length} lines`}
            </SmallButton>
          </p>
        )}
        <Small as="p" style={{ marginTop: 8 }}>
          Higher is better. “Improved” means beyond this athlete’s normal variation: chance alone does that to 1 figure
          in 20 at most (Hopkins 2000, Student’s t). Same movement at about the same load, in workouts about as long.
        </Small>
      </section>
      {told.limiters.length > 0 && (
        <section aria-label="Limiters" style={{ marginTop: 28 }}>
          <Heading>Limiters</Heading>
          <Limiters of={told.limiters} says={told.limiter} />
        </section>
      )}
      <section aria-label="Attempts" style={{ marginTop: 28 }}>
        <Heading>Attempts</Heading>
        <PastAttempts workouts={told.workouts} />
      </section>
      <section aria-label="Strength work" style={{ marginTop: 28 }}>
        <Heading>Strength work</Heading>
        <StrengthWork athleteId={id} />
      </section>
      <TwoColumns $left={1.2}>
        <section aria-label="Bests and tests">
          <Heading>Bests and tests</Heading>
          <FiguresTable page={told} />
          <LiftHistory athleteId={id} name={told.name} />
        </section>
        <div>
          <section aria-label="Technique">
            <Heading>Technique</Heading>
            <Techniques
              athleteId={id}
              techniques={told.techniques}
              over={over}
              onOver={(workout) => set("over", workout)}
            />
          </section>
          <section aria-label="Projection record" style={{ marginTop: 24 }}>
            <Heading>Projection record</Heading>
            <p>{told.projections?.says ?? "No projection checked yet."}</p>
            {told.kinds.length > 0 && (
              <ul>
                {told.kinds.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            )}
            <Quiet style={{ marginTop: 8 }}>Used in the next projection:</Quiet>
            <ul>
              {told.calibration.lines.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <Small as="p">{told.calibration.says}</Small>
          </section>
        </div>
      </TwoColumns>
      <p style={{ marginTop: 28, display: "flex", gap: 8, flexWrap: "wrap" }}>
        <ButtonLink to="/athletes">All athletes</ButtonLink>
        <ButtonLink to={`/api/athletes/${id}/athlete.json`} reloadDocument download>
          Take {told.name} along (JSON)
        </ButtonLink>
      </p>
    </Page>
  );
}
