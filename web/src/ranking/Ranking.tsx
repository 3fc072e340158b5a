import { useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import styled from "styled-components";
import type { RankingView } from "../api/client";
import { useNextPlace, useRanking } from "../api/queries";
import { Toggle } from "../ui/fields";
import {
  ButtonLink,
  Heading,
  Page,
  Quiet,
  Select,
  Sentence,
  Small,
  SmallButton,
  stacked,
  Table,
} from "../ui/primitives";
import { capital, day, wallClock } from "../ui/time";
import { Waiting } from "../ui/Waiting";

const BARS = 220;
const HIGH = 14;

const Places = styled(Table)`
  td.bars {
    width: ${BARS + 16}px;
  }
  td.place {
    width: 3em;
    font-weight: 650;
  }
  tr[data-again] td {
    color: var(--ink-3);
  }
  td.more {
    white-space: nowrap;
  }
  ${stacked}
  @media (max-width: 620px) {
    tr > td.bars,
    tr > td.more {
      grid-column: 1 / -1;
      width: auto;
    }
  }
`;

const Bars = styled.svg`
  display: block;
  color: var(--ink);
  max-width: 100%;
`;

type Division = RankingView["divisions"][number];
type Place = Division["places"][number];

/** All attempts at a part of a workout in the order of their scores, by division. */
export function Ranking() {
  const { id = "" } = useParams();
  const [search, setSearch] = useSearchParams();
  const part = Number(search.get("part") ?? "0");
  const ranking = useRanking(id, part);
  const [all, setAll] = useState(true);
  if (!ranking.isSuccess) return <Waiting error={ranking.error} />;
  const { title, parts, divisions, unfinished, left } = ranking.data;
  const again = divisions.some((division) => division.places.some((place) => !place.best));
  return (
    <Page>
      <title>{`Leaderboard of ${title} · Wake`}</title>
      <Sentence>
        {divisions.length === 0 ? `Nobody has done ${title} to its end yet.` : leaders(title, divisions)}
      </Sentence>
      <div className="not-on-paper" style={{ display: "flex", gap: 8, flexWrap: "wrap", marginTop: 12 }}>
        {parts.length > 1 && (
          <Select aria-label="Part" value={part} onChange={(event) => setSearch({ part: event.target.value })}>
            {parts.map((name, index) => (
              <option key={name} value={index}>
                Part {name}
              </option>
            ))}
          </Select>
        )}
        {again && (
          <Toggle isSelected={!all} onChange={(best) => setAll(!best)}>
            Best per athlete only
          </Toggle>
        )}
        <ButtonLink to={`/workouts/${id}`}>The workout</ButtonLink>
        <ButtonLink to={`/attempts/heat?workout=${id}`}>Add a heat</ButtonLink>
      </div>
      {divisions.map((division) => (
        <section key={division.division} aria-label={division.division || "Everybody"} style={{ marginTop: 28 }}>
          <Heading>{division.division ? capital(division.division) : "Everybody"}</Heading>
          <DivisionTable division={division} all={all} />
        </section>
      ))}
      {unfinished.length > 0 && (
        <section aria-label="Not finished logging" style={{ marginTop: 28 }}>
          <Heading>Not finished logging</Heading>
          {unfinished.map((one) => (
            <p key={one.attemptId}>
              <Link to={`/attempts/${one.attemptId}/log`}>{one.athlete}</Link>, {day(one.doneOn)}: {one.score}
            </p>
          ))}
        </section>
      )}
      {left > 0 && <Small>{left} older attempts are left out.</Small>}
    </Page>
  );
}

function leaders(title: string, divisions: Division[]): string {
  const firsts = divisions.map((division) => {
    const names = division.places.filter((place) => place.place === 1).map((place) => place.athlete);
    const score = division.places[0]?.score ?? "";
    const who = `${names.join(" and ")} ${names.length > 1 ? "lead" : "leads"}, ${score}`;
    return division.division ? `${division.division}: ${who}` : who;
  });
  return `${title}. ${firsts.join("; ")}.`;
}

function DivisionTable({ division, all }: { division: Division; all: boolean }) {
  const places = all ? division.places : division.places.filter((place) => place.best);
  const first = division.places[0];
  const [asked, setAsked] = useState<string>();
  const broken = places.some((place) => place.tieBreak);
  return (
    <Places>
      <thead>
        <tr>
          <th>Place</th>
          <th style={{ textAlign: "left" }}>Athlete</th>
          <th>Score</th>
          {broken && <th>Tie-break</th>}
          <th>Percentile</th>
          <th style={{ textAlign: "left" }}>Splits</th>
          <th className="not-on-paper">
            <span className="visually-hidden">More</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {places.map((place) => [
          <tr key={place.attemptId} data-again={place.best ? undefined : true}>
            <td className="place">{place.place}</td>
            <td data-label="Athlete" style={{ textAlign: "left" }}>
              <Link to={`/attempts/${place.attemptId}/reading`}>{place.athlete}</Link>{" "}
              <Small>{day(place.doneOn)}</Small>
            </td>
            <td data-label="Score">{place.score}</td>
            {broken && <td data-label="Tie-break">{place.tieBreak ?? "–"}</td>}
            <td data-label="Percentile">{Math.round(place.percentile)}</td>
            <td className="bars" data-label="Splits">
              <Splits place={place} longestMs={division.longestMs} />
            </td>
            <td className="not-on-paper more">
              {first && place.attemptId !== first.attemptId && (
                <Link
                  to={`/attempts/${place.attemptId}/versus?with=${first.attemptId}`}
                  aria-label={`Compare ${place.athlete} with ${first.athlete}`}
                >
                  Compare with 1st
                </Link>
              )}{" "}
              {place.place > 1 && place.best && (
                <SmallButton
                  aria-expanded={asked === place.attemptId}
                  aria-label={`How to move ${place.athlete} up`}
                  onPress={() => setAsked((old) => (old === place.attemptId ? undefined : place.attemptId))}
                >
                  How to move up
                </SmallButton>
              )}
            </td>
          </tr>,
          asked === place.attemptId && (
            <tr key={`${place.attemptId} up`}>
              <td colSpan={broken ? 7 : 6} style={{ textAlign: "left" }}>
                <MovesUp id={place.attemptId} />
              </td>
            </tr>
          ),
        ])}
      </tbody>
    </Places>
  );
}

/** Each round, or movement outside rounds, as a bar; all attempts of the division at one scale. */
function Splits({ place, longestMs }: { place: Place; longestMs: number }) {
  const scale = BARS / Math.max(1, longestMs);
  const ends = place.bars.map((_, index) => place.bars.slice(0, index).reduce((sum, bar) => sum + bar.ms, 0));
  if (place.bars.length === 0) return <Small>–</Small>;
  const words = place.bars.map((bar) => `${bar.label} ${wallClock(bar.ms)}`).join(", ");
  return (
    <Bars width={BARS} height={HIGH} role="img" aria-label={words}>
      <title>{words}</title>
      {place.bars.map((bar, index) => (
        <rect
          key={`${bar.label} ${index}`}
          x={(ends[index] ?? 0) * scale}
          y={0}
          width={Math.max(1, bar.ms * scale - 1.5)}
          height={HIGH}
          fill="currentColor"
          opacity={index % 2 === 0 ? 0.75 : 0.4}
        />
      ))}
    </Bars>
  );
}

/** The cheapest way, proven, to the place above. */
function MovesUp({ id }: { id: string }) {
  const next = useNextPlace(id);
  if (!next.isSuccess) return <Waiting error={next.error} />;
  const { says, steps } = next.data;
  return (
    <div style={{ maxWidth: 720 }}>
      <Quiet>{says}</Quiet>
      <ol style={{ margin: "6px 0", paddingLeft: 20 }}>
        {steps.map((step) => (
          <li key={step.change}>
            {step.change}: {step.after}. <Small>{capital(step.reason)}.</Small>
          </li>
        ))}
      </ol>
      <Link to={`/attempts/${id}/retest`}>Retest projection</Link>
    </div>
  );
}
