import { useState } from "react";
import { useParams, useSearchParams } from "react-router";
import styled from "styled-components";
import type { FieldView } from "../api/client";
import { useField } from "../api/queries";
import { Toggle, Toggles } from "../ui/fields";
import { Actions, ButtonLink, Heading, Page, Quiet, Select, Sentence, Small, stacked, Table } from "../ui/primitives";
import { capital, seconds, span as spanWords } from "../ui/time";
import { Waiting } from "../ui/Waiting";
import { FieldChart } from "./FieldChart";

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.9fr) minmax(240px, 1fr);
  gap: 28px;
  margin-top: 16px;
  align-items: start;
  @media (max-width: 860px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Parts = styled.ol`
  list-style: none;
  margin: 8px 0;
  padding: 0;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 4.5em;
    gap: 2px 10px;
    margin-bottom: 9px;
  }
  span:nth-child(2) {
    text-align: right;
  }
  i {
    grid-column: 1 / -1;
    display: block;
    height: 6px;
    background: var(--ahead);
  }
  i[data-back] {
    background: none;
    border: 1px solid var(--ink-3);
  }
`;

const Spans = styled(Table)`
  td.strip {
    min-width: 160px;
    width: 34%;
  }
  th.place,
  td.place {
    text-align: left;
  }
  ${stacked}
`;

type Span = FieldView["spans"][number];
type Spread = NonNullable<Span["split"]>;

const WHAT = { split: "Splits", transition: "Transitions", rest: "Rests", pace: "Pace" } as const;
type What = keyof typeof WHAT;

/** So many parts of the difference are listed; the others are in one row. */
const PARTS = 7;

/** The field of a workout: how the splits are spread, and where one attempt stands in each. */
export function FieldPage() {
  const { id = "" } = useParams();
  const [search, setSearch] = useSearchParams();
  const part = Number(search.get("part") ?? "0");
  const division = search.get("division");
  const attempt = search.get("attempt");
  const field = useField(id, { part, ...(division !== null && { division }), ...(attempt !== null && { attempt }) });
  if (!field.isSuccess) return <Waiting error={field.error} />;
  const view = field.data;
  const choose = (name: string, value: string) =>
    setSearch((old) => {
      const next = new URLSearchParams(old);
      if (name === "division") next.delete("attempt");
      if (value === "") next.delete(name);
      else next.set(name, value);
      return next;
    });
  const chosen = view.entriesToChoose.find((one) => one.attemptId === view.chosen);
  return (
    <Page>
      <title>{`Field of ${view.title} · Wake`}</title>
      <Sentence>{`${view.title}${view.division && `, ${view.division}`}. ${view.says}`}</Sentence>
      {view.largest && <Quiet style={{ marginTop: 8 }}>{view.largest}</Quiet>}
      <Actions className="not-on-paper">
        {view.divisions.length > 1 && (
          <Select
            aria-label="Division"
            value={view.division}
            onChange={(event) => choose("division", event.target.value)}
          >
            {view.divisions.map((one) => (
              <option key={one} value={one}>
                {capital(one)}
              </option>
            ))}
          </Select>
        )}
        {view.entriesToChoose.length > 0 && (
          <Select
            aria-label="Athlete"
            value={view.chosen ?? ""}
            onChange={(event) => choose("attempt", event.target.value)}
          >
            <option value="">No athlete</option>
            {view.entriesToChoose.map((one) => (
              <option key={one.attemptId} value={one.attemptId}>
                {one.place}. {one.athlete}, {one.score}
              </option>
            ))}
          </Select>
        )}
        {chosen && <ButtonLink to={`/attempts/${chosen.attemptId}/reading`}>Review</ButtonLink>}
        <ButtonLink to={`/workouts/${id}/ranking${part === 0 ? "" : `?part=${part}`}`}>Leaderboard</ButtonLink>
      </Actions>
      {view.waiting > 0 && <Quiet role="status">{view.waiting} attempts are still being read.</Quiet>}
      {view.spans.length > 0 && (
        <>
          <Two>
            <section aria-label="Gap to the median">
              <Heading>Gap to the median{chosen && `: ${chosen.athlete}`}</Heading>
              <FieldChart spans={view.spans} name={chosen?.athlete} />
              <Small>
                {view.logged} of {view.entries} attempts have splits. At each place, of those who reached it.
              </Small>
            </section>
            <Separated view={view} />
          </Two>
          <SpansTable spans={view.spans} name={chosen?.athlete} />
        </>
      )}
    </Page>
  );
}

function Separated({ view }: { view: FieldView }) {
  const { separation } = view;
  if (!separation) return null;
  const shown = separation.parts.slice(0, PARTS);
  const most = Math.max(...shown.map((part) => Math.abs(part.ms)), 1);
  const left = separation.parts.length - shown.length;
  return (
    <section aria-label="Top quarter against middle half">
      <Heading>Top quarter vs middle half</Heading>
      <Small>
        Averages of {separation.top} and {separation.middle}
        {separation.through && `, through ${separation.through}`}. {spanWords(separation.ms)} in all.
      </Small>
      <Parts>
        {shown.map((part) => (
          <li key={part.words}>
            <span>{capital(part.words)}</span>
            <span>{part.ms < 0 ? `−${spanWords(-part.ms)}` : spanWords(part.ms)}</span>
            <i data-back={part.ms < 0 || undefined} style={{ width: `${(100 * Math.abs(part.ms)) / most}%` }} />
          </li>
        ))}
      </Parts>
      {left > 0 && <Small>{left} smaller parts make up the rest.</Small>}
    </section>
  );
}

function SpansTable({ spans, name }: { spans: Span[]; name: string | undefined }) {
  const [what, setWhat] = useState<What>("split");
  const kinds = (Object.keys(WHAT) as What[]).filter((kind) => spans.some((span) => span[kind]));
  const told = kinds.includes(what) ? what : (kinds[0] ?? "split");
  const rows = spans.flatMap((span) => {
    const spread = span[told];
    return spread ? [{ place: span.place, spread }] : [];
  });
  const words = told === "pace" ? (value: number) => `${value.toFixed(2)} s` : spanWords;
  return (
    <section aria-label="Splits of the field" style={{ marginTop: 28 }}>
      <Toggles
        aria-label="What"
        selectionMode="single"
        disallowEmptySelection
        selectedKeys={[told]}
        onSelectionChange={(keys) => setWhat([...keys][0] as What)}
      >
        {kinds.map((kind) => (
          <Toggle key={kind} id={kind}>
            {WHAT[kind]}
          </Toggle>
        ))}
      </Toggles>
      <Spans>
        <thead>
          <tr>
            <th className="place">{told === "pace" ? "Seconds per unit" : "Where"}</th>
            <th style={{ textAlign: "left" }}>Spread, each row its own scale</th>
            <th>Median</th>
            <th>Middle half</th>
            {name && <th>{name}</th>}
            {name && <th>Faster than</th>}
            <th>Logs</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ place, spread }, index) => (
            <tr key={`${place} ${index}`}>
              <td className="place">{capital(place)}</td>
              <td className="strip" data-label="Spread">
                <Strip spread={spread} />
              </td>
              <td data-label="Median">{words(spread.p50)}</td>
              <td data-label="Middle half">
                {words(spread.p25)} – {words(spread.p75)}
              </td>
              {name && <td data-label={name}>{spread.own === undefined ? "–" : words(spread.own)}</td>}
              {name && (
                <td data-label="Faster than">
                  {spread.ownPercentile === undefined ? "–" : `${Math.round(spread.ownPercentile)}%`}
                </td>
              )}
              <td data-label="Logs">{spread.count}</td>
            </tr>
          ))}
        </tbody>
      </Spans>
    </section>
  );
}

const TALL = 20;

/** Nine tenths of the field as a line, its middle half as a bar, the median as a tick, and the chosen one as a dot. */
function Strip({ spread }: { spread: Spread }) {
  const low = Math.min(spread.p10, spread.own ?? spread.p10);
  const high = Math.max(spread.p90, spread.own ?? spread.p90);
  const at = (value: number) => `${3 + (94 * (value - low)) / Math.max(1e-9, high - low)}%`;
  const width = `${(94 * (spread.p75 - spread.p25)) / Math.max(1e-9, high - low)}%`;
  return (
    <svg width="100%" height={TALL} role="img" aria-label={`from ${seconds(spread.p10)} to ${seconds(spread.p90)}`}>
      <line x1={at(spread.p10)} x2={at(spread.p90)} y1={TALL / 2} y2={TALL / 2} stroke="var(--ink-3)" />
      <rect x={at(spread.p25)} width={width} y={5} height={TALL - 10} fill="var(--ink)" fillOpacity={0.28} />
      <line x1={at(spread.p50)} x2={at(spread.p50)} y1={3} y2={TALL - 3} stroke="var(--ink)" strokeWidth={2} />
      {spread.own !== undefined && <circle cx={at(spread.own)} cy={TALL / 2} r={5} fill="var(--behind)" />}
    </svg>
  );
}
