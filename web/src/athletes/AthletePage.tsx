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

/** One athlete: what hurts, what they train for, how it moved, what was done, and what the calls taught. */
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
      {told.attempts > 1 && <p style={{ marginTop: 4 }}>{told.answer}</p>}
      {told.goal && <p style={{ marginTop: 4 }}>Trains for {told.goal}.</p>}
      {told.note && <Quiet>{told.note}</Quiet>}
      {told.pain && (
        <Caution style={{ marginTop: 8 }}>
          Pain noted: {told.pain}. No retest until a licensed professional has cleared it.
        </Caution>
      )}
      {told.recoversSlowly && <Small as="p">Recovers slowly: a retest a day later.</Small>}
      {told.beingRead > 0 && (
        <Quiet role="status">{told.beingRead} attempts are still being read, and come in as they are.</Quiet>
      )}
      <section aria-label="Over time" style={{ marginTop: 24 }}>
        <Head>
          <Heading>Over time</Heading>
          <label>
            from <Input type="date" value={from} onChange={(event) => set("from", event.target.value)} />
          </label>
        </Head>
        {told.lines.length === 0 && (
          <Quiet>
            {from
              ? "Fewer than two attempts since then tell the same thing. Take the day away, or an earlier one."
              : "Two attempts that tell the same thing at like load make a line."}
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
              {all ? "Fewer lines" : `All ${told.lines.length} lines`}
            </SmallButton>
          </p>
        )}
        <Small as="p" style={{ marginTop: 8 }}>
          Quicker, shorter and less lie higher. A change counts beyond twice the typical error: the standard deviation
          of the differences from one attempt to the next, over √2 (Hopkins 2000). Movements at like load, within 2.5 %,
          in whatever workout they came.
        </Small>
      </section>
      {told.limiters.length > 0 && (
        <section aria-label="What lost the most" style={{ marginTop: 28 }}>
          <Heading>What lost the most</Heading>
          <Limiters of={told.limiters} says={told.limiter} />
        </section>
      )}
      <section aria-label="Attempts" style={{ marginTop: 28 }}>
        <Heading>Attempts</Heading>
        <PastAttempts workouts={told.workouts} />
      </section>
      <TwoColumns $left={1.2}>
        <section aria-label="Figures and tests">
          <Heading>Figures and tests</Heading>
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
          <section aria-label="Calls" style={{ marginTop: 24 }}>
            <Heading>Calls</Heading>
            <p>{told.calls?.says ?? "No call has been checked yet."}</p>
            {told.kinds.length > 0 && (
              <ul>
                {told.kinds.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            )}
            <Quiet style={{ marginTop: 8 }}>What they taught, for the next call:</Quiet>
            <ul>
              {told.learned.lines.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <Small as="p">{told.learned.says}</Small>
          </section>
        </div>
      </TwoColumns>
      <p style={{ marginTop: 28, display: "flex", gap: 8, flexWrap: "wrap" }}>
        <ButtonLink to="/athletes">The roster</ButtonLink>
        <ButtonLink to={`/api/athletes/${id}/athlete.json`} reloadDocument download>
          Take {told.name} along (JSON)
        </ButtonLink>
      </p>
    </Page>
  );
}
