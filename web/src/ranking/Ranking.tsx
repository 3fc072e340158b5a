import { useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import styled from "styled-components";
import type { RankingView } from "../api/client";
import { useNextPlace, useRanking } from "../api/queries";
import { Toggle } from "../ui/fields";
import {
  Actions,
  Button,
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

const HIGH = 16;
/** So many rows at first: a leaderboard of thousands is not drawn at once. */
const AT_ONCE = 100;

const Places = styled(Table)`
  table-layout: fixed;
  th,
  td {
    text-align: left;
  }
  th.figure,
  td.figure {
    text-align: right;
  }
  td.place {
    font-weight: 650;
  }
  td.athlete {
    overflow-wrap: anywhere;
  }
  tr[data-again] td {
    color: var(--ink-3);
  }
  ${stacked}
  @media (max-width: 620px) {
    table-layout: auto;
    td.figure {
      text-align: left;
    }
    tr > td.bars,
    tr > td.more {
      grid-column: 1 / -1;
      width: auto;
    }
  }
`;

const Bars = styled.svg`
  display: block;
  width: 100%;
  color: var(--ink);
`;

type Division = RankingView["divisions"][number];
type Place = Division["places"][number];

/** All attempts at a part of a workout in the order of their scores, by division. */
export function Ranking() {
  const { id = "" } = useParams();
  const [search, setSearch] = useSearchParams();
  const part = Number(search.get("part") ?? "0");
  const ranking = useRanking(id, part);
  const [all, setAll] = useState(false);
  if (!ranking.isSuccess) return <Waiting error={ranking.error} />;
  const { title, parts, longestMs, divisions, unfinished, waiting } = ranking.data;
  const places = divisions.flatMap((division) => division.places);
  const again = places.some((place) => place.place === undefined);
  const broken = places.some((place) => place.tieBreak);
  const asked = part === 0 ? "" : `?part=${part}`;
  return (
    <Page>
      <title>{`Leaderboard of ${title} · Wake`}</title>
      <Sentence>
        {divisions.length === 0 ? `Nobody has done ${title} to its end yet.` : leaders(title, divisions)}
      </Sentence>
      <Actions className="not-on-paper">
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
          <Toggle isSelected={all} onChange={setAll}>
            All attempts
          </Toggle>
        )}
        {divisions.length > 0 && <ButtonLink to={`/workouts/${id}/field${asked}`}>The field</ButtonLink>}
        <ButtonLink to={`/workouts/${id}`}>The workout</ButtonLink>
        <ButtonLink to={`/attempts/heat?workout=${id}`}>Add a heat</ButtonLink>
        {divisions.length > 0 && (
          <>
            <ButtonLink to={`/api/workouts/${id}/ranking.csv${asked}`} reloadDocument download>
              CSV
            </ButtonLink>
            <Button onPress={() => window.print()}>Print</Button>
          </>
        )}
      </Actions>
      {waiting > 0 && <Quiet role="status">{waiting} attempts are still being read.</Quiet>}
      {divisions.map((division) => (
        <section key={division.division} aria-label={division.division || "Everybody"} style={{ marginTop: 24 }}>
          <Heading>{division.division ? capital(division.division) : "Everybody"}</Heading>
          <DivisionTable division={division} longestMs={longestMs} all={all} broken={broken} />
        </section>
      ))}
      {unfinished.length > 0 && (
        <section aria-label="Not finished logging" style={{ marginTop: 28 }}>
          <Heading>Not finished logging</Heading>
          {unfinished.map((one) => (
            <p key={one.attemptId}>
              <Link to={`/attempts/${one.attemptId}/log`}>{one.athlete}</Link>, {day(one.doneOn)}: {one.says}
            </p>
          ))}
        </section>
      )}
    </Page>
  );
}

function leaders(title: string, divisions: Division[]): string {
  const firsts = divisions.map((division) => {
    const names = division.places.filter((place) => place.place === 1).map((place) => place.athlete);
    const score = division.places[0]?.score ?? "";
    const who = `${names.join(" and ")} ${names.length > 1 ? "lead" : "leads"}, ${score}`;
    return division.division ? `${capital(division.division)}: ${who}` : who;
  });
  return `${title}. ${firsts.join("; ")}.`;
}

interface Shown {
  division: Division;
  longestMs: number;
  all: boolean;
  /** Whether equal scores are decided by a clock in any division: the columns line up across them. */
  broken: boolean;
}

function DivisionTable({ division, longestMs, all, broken }: Shown) {
  const [most, setMost] = useState(AT_ONCE);
  const [asked, setAsked] = useState<string>();
  const places = all ? division.places : division.places.filter((place) => place.place !== undefined);
  const first = division.places[0];
  const shared = division.places.some((place) => place.percentile !== undefined);
  return (
    <>
      <Places>
        <colgroup>
          <col style={{ width: 52 }} />
          <col style={{ width: "18%" }} />
          <col />
          <col style={{ width: 150 }} />
          <col style={{ width: 88 }} />
          <col style={{ width: 116 }} />
          {broken && <col style={{ width: 130 }} />}
          <col style={{ width: 82 }} />
          <col style={{ width: 176 }} className="not-on-paper" />
        </colgroup>
        <thead>
          <tr>
            <th>Place</th>
            <th>Athlete</th>
            <th>Splits</th>
            <th className="figure">Score</th>
            <th className="figure">Behind 1st</th>
            <th className="figure">Behind next</th>
            {broken && <th className="figure">Tie-break</th>}
            <th className="figure">Percentile</th>
            <th className="not-on-paper">
              <span className="visually-hidden">More</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {places.slice(0, most).map((place) => [
            <tr key={place.attemptId} data-again={place.place === undefined || undefined}>
              <td className="place">{place.place ?? "–"}</td>
              <td className="athlete" data-label="Athlete">
                <Link to={`/attempts/${place.attemptId}/reading`}>{place.athlete}</Link>{" "}
                <Small>{day(place.doneOn)}</Small>
              </td>
              <td className="bars" data-label="Splits">
                <Splits place={place} longestMs={longestMs} />
              </td>
              <td className="figure" data-label="Score">
                {place.score}
              </td>
              <td className="figure" data-label="Behind 1st">
                {place.behindFirst ?? "–"}
              </td>
              <td className="figure" data-label="Behind next">
                {place.behindNext ?? "–"}
              </td>
              {broken && (
                <td className="figure" data-label="Tie-break">
                  {place.tieBreak ?? "–"}
                </td>
              )}
              <td className="figure" data-label="Percentile">
                {place.percentile === undefined ? (
                  <span title={shared ? undefined : "From five athletes on"}>–</span>
                ) : (
                  Math.round(place.percentile)
                )}
              </td>
              <td className="not-on-paper more">
                {first && place.attemptId !== first.attemptId && (
                  <Link
                    to={`/attempts/${place.attemptId}/versus?with=${first.attemptId}`}
                    aria-label={`Compare ${place.athlete} with ${first.athlete}`}
                  >
                    Compare
                  </Link>
                )}{" "}
                {(place.place ?? 0) > 1 && place.bars.length > 1 && (
                  <SmallButton
                    aria-expanded={asked === place.attemptId}
                    aria-label={`Move up: ${place.athlete}`}
                    onPress={() => setAsked((old) => (old === place.attemptId ? undefined : place.attemptId))}
                  >
                    Move up
                  </SmallButton>
                )}
              </td>
            </tr>,
            asked === place.attemptId && (
              <tr key={`${place.attemptId} next`}>
                <td colSpan={9}>
                  <MovesUp id={place.attemptId} />
                </td>
              </tr>
            ),
          ])}
        </tbody>
      </Places>
      {places.length > most && (
        <Button style={{ marginTop: 12 }} onPress={() => setMost((old) => old + AT_ONCE)}>
          Show more ({most} of {places.length})
        </Button>
      )}
    </>
  );
}

/** What the rounds took, one after the other, all at one scale; hollow where the log does not have them apart. */
function Splits({ place, longestMs }: { place: Place; longestMs: number }) {
  const percent = (ms: number) => `${(100 * ms) / Math.max(1, longestMs)}%`;
  const ends = place.bars.reduce<number[]>((before, bar) => [...before, (before.at(-1) ?? 0) + bar.ms], [0]);
  return (
    <Bars height={HIGH} role="img" aria-label={place.bars.map((bar) => `${bar.label} ${wallClock(bar.ms)}`).join(", ")}>
      {place.bars.map((bar, index) => (
        <rect
          key={`${bar.label} ${index}`}
          x={percent(ends[index] ?? 0)}
          y={bar.told ? 0 : 1}
          width={percent(bar.ms)}
          height={bar.told ? HIGH : HIGH - 2}
          fill={bar.told ? "currentColor" : "none"}
          stroke={bar.told ? "var(--ground)" : "currentColor"}
          strokeOpacity={bar.told ? 1 : 0.4}
          fillOpacity={index % 2 === 0 ? 0.7 : 0.4}
        >
          <title>{`${bar.label} ${wallClock(bar.ms)}`}</title>
        </rect>
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
