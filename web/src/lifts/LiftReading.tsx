import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { api, type LiftReadingView, message, orProblem } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { CornerStage, type Clip } from "../reading/CornerStage";
import { Filmed } from "../reading/filmed";
import { Play } from "../reading/Play";
import {
  ButtonLink,
  Caution,
  Heading,
  Page,
  Problem,
  Quiet,
  Select,
  Sentence,
  Small,
  SmallButton,
  stacked,
  Table,
} from "../ui/primitives";
import { say } from "../ui/notices";
import { told } from "../ui/time";
import { Told } from "../ui/useTimes";
import { Waiting } from "../ui/Waiting";
import { LiftAxis, type Lifted } from "./LiftAxis";

const Stack = styled(Table)`
  ${stacked}
`;

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 12px;
    align-items: baseline;
    padding: 9px 0;
    border-top: 1px solid var(--line);
  }
`;

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
  gap: 40px;
  margin-top: 28px;
  @media screen and (max-width: 860px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

type Row = LiftReadingView["rows"][number];

/** How long a moment is played where the end of the lift was not seen. */
const MOMENT_MS = 20_000;

const RESULT = { MADE: "made", MISSED: "missed", UNTOLD: "not told" } as const;

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
        <Quiet style={{ margin: "12px 0 20px" }}>The reading fills as you log the lifts, or type them.</Quiet>
        <ButtonLink to={`/attempts/${attempt.id}/log`}>Go to the log</ButtonLink>
      </Page>
    );
  }
  const filmed = attempt.recordings.length > 0;
  const play = (fromMs: number, toMs: number, label: string) =>
    filmed && setClip({ fromMs: Math.max(0, fromMs), toMs, label, at: Date.now() });
  const missed = read.rows.some((row) => row.outcome === "MISSED");
  return (
    <Filmed value={filmed}>
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
              {...(filmed && {
                onPlay: (lift: Lifted) => play(lift.startMs, lift.startMs + (lift.lengthMs ?? MOMENT_MS), lift.load),
              })}
            />
            <Small>
              Solid made, open missed with a notch at the rep; hatched rest
              {read.planned.length > 0 && "; outlined as planned"}.
            </Small>
          </section>
          <section aria-label="Lifts" style={{ marginTop: 24 }}>
            <Lifts rows={read.rows} read={read} onPlay={play} />
          </section>
          <Two>
            <section aria-label="Findings">
              <Heading>What there is to see</Heading>
              <List>
                {read.findings.map((finding) => (
                  <li key={finding.words}>
                    <span style={{ flex: "1 1 20em" }}>{finding.words}</span>
                    <Play what="it" fromMs={finding.fromMs} toMs={finding.toMs} onPlay={play} />
                  </li>
                ))}
              </List>
              {missed && (
                <Caution style={{ marginTop: 12 }}>
                  A missed lift needs a clear landing space. Pain, or a joint that hurts: stop, and see a licensed
                  professional before heavy bars.
                </Caution>
              )}
            </section>
            <section aria-label="Maxes">
              <Heading>What the made lifts show</Heading>
              <Maxes id={attempt.id} read={read} />
            </section>
          </Two>
          {read.others.length > 0 && (
            <section aria-label="Beside another lifter" style={{ marginTop: 32 }}>
              <Heading>Beside another</Heading>
              <Select
                aria-label="Which other attempt"
                value={other ?? ""}
                onChange={(event) => setOther(event.target.value || undefined)}
              >
                <option value="">another attempt …</option>
                {read.others.map((one) => (
                  <option key={one.id} value={one.id}>
                    {one.words}
                  </option>
                ))}
              </Select>
              {other && read.beside && <Beside read={read} beside={read.beside} />}
            </section>
          )}
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
    </Filmed>
  );
}

function onTheAxis(row: Row): Lifted {
  const { atMs, lengthMs, load, loadKg, outcome, missedOn, reps, restMs } = row;
  return { startMs: atMs, lengthMs, load, loadKg, outcome, missedOn, reps, restMs };
}

interface LiftsProps {
  rows: Row[];
  read: LiftReadingView;
  onPlay: (fromMs: number, toMs: number, label: string) => void;
}

function Lifts({ rows, read, onPlay }: LiftsProps) {
  const { clock, span } = told(read.digits);
  const planned = rows.some((row) => row.plan !== undefined);
  return (
    <Stack aria-label="Lifts">
      <thead>
        <tr>
          <th>Lift</th>
          <th>Of the max</th>
          <th>Jump</th>
          <th>Start</th>
          <th>Took</th>
          <th>Rest before</th>
          <th>Start to start</th>
          {planned && <th>Planned</th>}
          <th>Result</th>
          <th>
            <span className="visually-hidden">See it</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.number}>
            <td>
              {row.number} · <strong>{row.load || "no load told"}</strong>{" "}
              {!row.isComplex && <Small>{row.pieces}</Small>}
            </td>
            <td data-label="Of the max">{row.percent}</td>
            <td data-label="Jump">{row.jump}</td>
            <td data-label="Start">{clock(row.atMs)}</td>
            <td data-label="Took">{row.lengthMs === undefined ? "–" : span(row.lengthMs)}</td>
            <td data-label="Rest before">{row.restMs === undefined ? "–" : span(row.restMs)}</td>
            <td data-label="Start to start">{row.number === 1 ? "" : span(row.sinceMs)}</td>
            {planned && <td data-label="Planned">{row.plan}</td>}
            <td data-label="Result">{result(row)}</td>
            <td>
              <Play
                what={`lift ${row.number}`}
                fromMs={row.atMs}
                toMs={row.atMs + (row.lengthMs ?? MOMENT_MS)}
                onPlay={onPlay}
              />
            </td>
          </tr>
        ))}
      </tbody>
    </Stack>
  );
}

function result(row: Row): string {
  if (row.outcome !== "MISSED") return RESULT[row.outcome];
  const on = row.reps > 1 && row.missedOn !== undefined ? ` on rep ${row.missedOn}` : "";
  return `missed${on}${row.missedPiece && row.reps > 1 ? `, the ${row.missedPiece}` : ""}`;
}

/** Maxes that grow are offered, and noted only when asked. */
function Maxes({ id, read }: { id: string; read: LiftReadingView }) {
  const note = useMutation({
    mutationFn: async (movement: string) =>
      orProblem(await api.POST("/api/attempts/{id}/lifts/maxes", { params: { path: { id } }, body: { movement } })),
    onSuccess: async (_, movement) => {
      say(`The max ${movement} is noted with the athlete, with its day. It can be changed there.`);
      await queryClient.invalidateQueries({ queryKey: keys.athletes });
      await queryClient.invalidateQueries({ queryKey: keys.reading(id) });
      await queryClient.invalidateQueries({ queryKey: keys.plan(id) });
      await queryClient.invalidateQueries({ queryKey: keys.retest(id) });
    },
  });
  if (read.maxes.length === 0) return <Quiet>No lift was made.</Quiet>;
  return (
    <>
      <List>
        {read.maxes.map((max) => (
          <li key={max.movement}>
            <span style={{ flex: "1 1 14em" }}>
              {max.movement}: <strong>{max.load}</strong> made
              {max.known ? `; max noted ${max.known}` : "; no max noted"}
              {max.estimated && (
                <Small as="span" style={{ display: "block" }}>
                  {max.estimated}
                </Small>
              )}
            </span>
            {max.grows && (
              <SmallButton isDisabled={note.isPending} onPress={() => note.mutate(max.movement)}>
                Note {max.load} as max
              </SmallButton>
            )}
          </li>
        ))}
      </List>
      {note.isError && <Problem>{message(note.error)}</Problem>}
    </>
  );
}

function Beside({ read, beside }: { read: LiftReadingView; beside: NonNullable<LiftReadingView["beside"]> }) {
  const { span } = told(read.digits);
  const lines: [string, string, string][] = [
    ["best", beside.one.best, beside.other.best],
    ["of the max", beside.one.percent || "not known", beside.other.percent || "not known"],
    ["lifts made", beside.one.made, beside.other.made],
    ["opener", beside.one.opener, beside.other.opener],
    ["first jump", beside.one.firstJump, beside.other.firstJump],
    ["rest before the last", rest(beside.one.restBeforeLastMs), rest(beside.other.restBeforeLastMs)],
  ];
  function rest(ms: number | undefined) {
    return ms === undefined ? "–" : span(ms);
  }
  return (
    <>
      {beside.words.map((words) => (
        <Quiet key={words} style={{ marginTop: 8 }}>
          {words}
        </Quiet>
      ))}
      <LiftAxis
        label={`The lifts of ${beside.one.name}`}
        windowMs={read.windowMs}
        planned={[]}
        done={read.rows.map(onTheAxis)}
      />
      <Small>
        {beside.one.name} above, {beside.other.name} below
      </Small>
      <LiftAxis
        label={`The lifts of ${beside.other.name}`}
        windowMs={read.windowMs}
        planned={[]}
        done={beside.rows.map(onTheAxis)}
      />
      <Table style={{ marginTop: 12, maxWidth: 640 }}>
        <thead>
          <tr>
            <th>
              <span className="visually-hidden">Figure</span>
            </th>
            <th>{beside.one.name}</th>
            <th>{beside.other.name}</th>
          </tr>
        </thead>
        <tbody>
          {lines.map(([what, one, two]) => (
            <tr key={what}>
              <td>{what}</td>
              <td>{one}</td>
              <td>{two}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </>
  );
}
