import { useRef, useState } from "react";
import { useSearchParams } from "react-router";
import styled from "styled-components";
import type { HeadToHeadView } from "../api/client";
import { useVersus } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { Toggle, Toggles } from "../ui/fields";
import { ButtonLink, Heading, Page, Quiet, Select, Sentence, Small, SmallButton } from "../ui/primitives";
import { told } from "../ui/time";
import { Told } from "../ui/useTimes";
import { Waiting } from "../ui/Waiting";
import { Columns } from "./Columns";
import { InStep, type Start } from "./InStep";
import { LeadChart } from "./LeadChart";
import { LeadTable } from "./LeadTable";
import { StartAt } from "./StartAt";
import { StripsByWork } from "./StripsByWork";

const MOST_OTHERS = 3;

const Chosen = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-top: 14px;
`;

const Names = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
`;

const Notes = styled.ul`
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
  color: var(--ink-2);
`;

/** Attempts at one workout beside each other: who led when, where the lead changed, and by what. */
export function HeadToHeadStep() {
  const attempt = useOpenAttempt();
  const [search, setSearch] = useSearchParams();
  const named = search.getAll("with");
  const versus = useVersus(attempt.id, named);
  if (!versus.isSuccess) return <Waiting error={versus.error} />;
  const beside = versus.data.sides.slice(1).map((side) => side.attemptId);
  const choose = (others: string[]) => setSearch(others.map((other) => ["with", other] as [string, string]));
  if (beside.length === 0) {
    return (
      <Page>
        <Sentence>Nothing to compare with yet.</Sentence>
        <Quiet style={{ margin: "12px 0 20px" }}>
          Log another attempt at this workout: another athlete’s, or a retest.
        </Quiet>
        <ButtonLink to={`/attempts/new?workout=${attempt.workoutId}`}>Add attempt</ButtonLink>{" "}
        <ButtonLink to="/attempts/heat">Add a heat</ButtonLink>
      </Page>
    );
  }
  return <Beside key={attempt.id} versus={versus.data} onChoose={choose} workoutId={attempt.workoutId} />;
}

interface Props {
  versus: HeadToHeadView;
  workoutId: string;
  onChoose: (others: string[]) => void;
}

function Beside({ versus, workoutId, onChoose }: Props) {
  const { sides, pairs } = versus;
  const [which, setWhich] = useState(0);
  const [asTable, setAsTable] = useState(false);
  const [byWork, setByWork] = useState(false);
  const [start, setStart] = useState<Start>();
  const counter = useRef(0);
  const at = which < pairs.length ? which : 0;
  const pair = pairs[at];
  const one = sides[0];
  const other = sides[at + 1];
  if (!pair || !one || !other) return null;
  const begin = (clocks: number[], label: string, sidesOf = [0, at + 1]) => {
    counter.current++;
    setStart({
      id: counter.current,
      label,
      tracks: sidesOf.flatMap((index, place) => {
        const side = sides[index];
        const clockMs = clocks[place];
        return side?.video && clockMs !== undefined ? [{ side, clockMs }] : [];
      }),
    });
  };
  const filmed = [one, other].some((side) => side.video);
  const beside = sides.slice(1).map((side) => side.attemptId);
  const offered = versus.others.filter((offer) => !beside.includes(offer.id));
  const { clock } = told(pair.digits);
  return (
    <Told value={pair.digits}>
      <Page>
        <div>
          <div>
            <Sentence>{pair.answer}</Sentence>
            {pair.made && <Quiet style={{ marginTop: 8 }}>{pair.made}</Quiet>}
            <Notes>
              {pair.styles.map((style) => (
                <li key={style}>{style}</li>
              ))}
              {pair.techniques.map((technique) => (
                <li key={technique}>{technique}</li>
              ))}
              {pair.differentWork.length > 0 && (
                <li>
                  Different work, not scaled: {pair.differentWork.join("; ")}. Only clock times are compared there.
                </li>
              )}
              {pair.unmatched.length > 0 && <li>Done by one only: {pair.unmatched.join("; ")}.</li>}
            </Notes>
          </div>
          <Chosen>
            <Names aria-label="Compared attempts">
              {sides.map((side, index) => (
                <li key={side.attemptId}>
                  {index === 0 || sides.length === 2 ? (
                    <Small>
                      {side.name} {side.score}
                      {index + 1 < sides.length && ", "}
                    </Small>
                  ) : (
                    <SmallButton
                      aria-label={`Remove ${side.name}`}
                      onPress={() => onChoose(beside.filter((id) => id !== side.attemptId))}
                    >
                      {side.name} {side.score} ×
                    </SmallButton>
                  )}
                </li>
              ))}
            </Names>
            {offered.length > 0 && (
              <>
                <Select aria-label="Compare with" value="" onChange={(event) => onChoose([event.target.value])}>
                  <option value="">Compare with…</option>
                  {offered.map((offer) => (
                    <option key={offer.id} value={offer.id}>
                      {offer.words}
                    </option>
                  ))}
                </Select>
                {beside.length < MOST_OTHERS && (
                  <Select
                    aria-label="Add another"
                    value=""
                    onChange={(event) => onChoose([...beside, event.target.value])}
                  >
                    <option value="">Add another…</option>
                    {offered.map((offer) => (
                      <option key={offer.id} value={offer.id}>
                        {offer.words}
                      </option>
                    ))}
                  </Select>
                )}
              </>
            )}
            <ButtonLink to={`/workouts/${workoutId}/ranking`}>Leaderboard</ButtonLink>
          </Chosen>
        </div>
        {pairs.length > 1 && (
          <Toggles
            aria-label={`${one.name} vs`}
            selectionMode="single"
            disallowEmptySelection
            selectedKeys={[other.attemptId]}
            onSelectionChange={(chosen) => {
              const id = [...chosen][0];
              setWhich(Math.max(0, beside.indexOf(String(id))));
            }}
            style={{ marginTop: 20 }}
          >
            {sides.slice(1).map((side) => (
              <Toggle key={side.attemptId} id={side.attemptId}>
                vs {side.name}
              </Toggle>
            ))}
          </Toggles>
        )}
        {start && <InStep key={start.id} start={start} onClose={() => setStart(undefined)} />}
        <section aria-label="The lead" style={{ marginTop: 14 }}>
          {asTable ? (
            <LeadTable pair={pair} names={[one.name, other.name]} />
          ) : (
            <LeadChart
              pair={pair}
              names={[one.name, other.name]}
              clockMs={Math.max(one.clockMs, other.clockMs)}
              onStart={filmed ? begin : undefined}
            />
          )}
          <div style={{ display: "flex", justifyContent: "space-between", gap: 12, flexWrap: "wrap", marginTop: 6 }}>
            {filmed ? (
              <StartAt
                versus={versus}
                onStart={(clocks, label) =>
                  begin(
                    clocks,
                    label,
                    sides.map((_, i) => i),
                  )
                }
              />
            ) : (
              <Small>No video with a start mark to play.</Small>
            )}
            <Toggle isSelected={asTable} onChange={setAsTable}>
              Show as table
            </Toggle>
          </div>
        </section>
        {pair.overtakes.length > 0 && (
          <section aria-label="Lead changes" style={{ marginTop: 24 }}>
            <Heading>Lead changes</Heading>
            <Notes>
              {pair.overtakes.map((overtake) => (
                <li key={`${overtake.atMs} ${String(overtake.one)}`} style={{ padding: "3px 0" }}>
                  {overtake.known
                    ? `${clock(overtake.atMs)}: `
                    : `between ${clock(overtake.fromMs)} and ${clock(overtake.toMs)}: `}
                  {overtake.one ? one.name : other.name} passed in {overtake.where}
                  {!overtake.clear && ", too close to call"}.{" "}
                  {filmed && (
                    <SmallButton
                      aria-label={`Play the change of the lead at ${clock(overtake.atMs)}`}
                      onPress={() => begin([overtake.atMs, overtake.atMs], `lead change, ${overtake.where}`)}
                    >
                      ▸ play
                    </SmallButton>
                  )}
                </li>
              ))}
            </Notes>
          </section>
        )}
        <section aria-label="Strips" style={{ marginTop: 28 }}>
          <StripsByWork
            versus={versus}
            byWork={byWork}
            onByWork={setByWork}
            onStart={
              filmed
                ? (clocks, label) =>
                    begin(
                      clocks,
                      label,
                      sides.map((_, index) => index),
                    )
                : undefined
            }
          />
        </section>
        <Columns pair={pair} names={[one.name, other.name]} onStart={filmed ? begin : undefined} />
      </Page>
    </Told>
  );
}
