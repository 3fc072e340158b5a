import { useMutation, useQuery } from "@tanstack/react-query";
import { useDeferredValue, useEffect, useState, useMemo } from "react";
import styled from "styled-components";
import { api, type AttemptView, message, orProblem, type TimesRequest } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { TextArea } from "../ui/fields";
import { Button, ButtonLink, Heading, PrimaryButton, Problem, Quiet, Select, Small, Table } from "../ui/primitives";
import { drafts } from "../ui/drafts";
import { told } from "../ui/time";
import { say } from "../ui/notices";
import { Board } from "./Board";

const Whole = styled.div`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(320px, 1fr);
  @media (max-width: 800px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Left = styled.section`
  padding: 20px 24px;
  overflow: auto;
  textarea {
    font-size: 16px;
    line-height: 1.55;
    font-stretch: 88%;
    tab-size: 14;
  }
`;

const Right = styled.section`
  display: flex;
  flex-direction: column;
  min-height: 0;
  border-left: 1px solid var(--line);
`;

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  margin: 10px 0;
`;

const Wrong = styled.td`
  color: var(--behind);
`;

const LeftOut = styled.div`
  color: var(--caution);
  font-size: 13.5px;
`;

const EXAMPLES = {
  MOVEMENT: "1:32 1:32\n2:11 3:47\nstop 9:00 +17",
  ROUND: "2:28\n2:39\nstop 9:00 +17",
  SET: "8 0:21 rest 0:06\n7 0:19\n…",
  SCORE: "6:48",
  LIFTS: "0:40 60 kg 22s\n2:10 70 made; fast\n4:30 75 miss on 2\n75 no attempt",
};

function hint(each: TimesRequest["each"]): string {
  if (each === "SCORE")
    return "The score as written down: 6:48, 5 + 12, 172 reps, or 10:00 + 17 for the cap and the reps missing. No splits, so no review, but a retest can be compared with it.";
  return (
    "In workout order, movement name optional; you can paste from a spreadsheet. Two times on a line = split and clock (the gap is the transition). End an unfinished attempt with the time and the extra reps: stop 9:00 +17. " +
    (each === "SET"
      ? "A number without a colon is the reps of a set; write “rest” before a rest."
      : "A number without a colon is seconds.")
  );
}

/** How a sheet was read when it was kept, to be read so again. */
function as(kept: string | null): Pick<TimesRequest, "each" | "times"> {
  return kept ? (JSON.parse(kept) as TimesRequest) : { each: "MOVEMENT", times: "EITHER" };
}

interface Props {
  attempt: AttemptView;
  onBack: () => void;
}

/** The log without a recording: times as they were jotted or pasted, what they were taken as, and the seconds that are in neither. */
export function TimeSheet({ attempt, onBack }: Props) {
  const place = `wake times ${attempt.id}`;
  const lifts = attempt.log.liftWindow;
  const [keeps, setKeeps] = useState(0);
  const [text, setText] = useState(() => drafts.read(place) ?? "");
  /** The same sheet kept twice, as when an answer is lost, is kept once. */
  const sheetId = useMemo(() => crypto.randomUUID(), [text, keeps]); // eslint-disable-line react-hooks/exhaustive-deps
  const [kept, setKept] = useState(() => drafts.read(`${place} kept`) ?? null);
  const [each, setEach] = useState<TimesRequest["each"]>(() => as(kept).each);
  const [times, setTimes] = useState<TimesRequest["times"]>(() => as(kept).times);
  /** What was kept last: the same sheet, opened again, is not put in place of the marks once more. */
  const sheet = JSON.stringify({ text, each, times });
  const keptAlready = sheet === kept && attempt.log.marks.length > 0;
  useEffect(() => {
    if (text === "") drafts.drop(place);
    else drafts.keep(place, text);
  }, [place, text]);
  const body = { text: useDeferredValue(text), each, times, replace: false };
  const path = { attemptId: attempt.id };
  const check = useQuery({
    queryKey: ["attempt", attempt.id, "times", body],
    placeholderData: (previous) => previous,
    queryFn: async () => orProblem(await api.POST("/api/attempts/{attemptId}/times/check", { params: { path }, body })),
  });
  const read = check.data;
  const { clock, span } = told(read?.digits ?? "TENTHS");
  const keep = useMutation({
    mutationFn: async (replace: boolean) =>
      orProblem(
        await api.POST("/api/attempts/{attemptId}/times", {
          params: { path },
          body: { text, each, times, replace, id: sheetId },
        }),
      ),
    onSuccess: async () => {
      say(`Saved to log: ${read?.says ?? ""}`);
      setKeeps((count) => count + 1);
      drafts.keep(`${place} kept`, sheet);
      setKept(sheet);
      await queryClient.invalidateQueries({ queryKey: keys.attempt(attempt.id) });
      await queryClient.invalidateQueries({ queryKey: keys.today });
    },
  });
  const inTheWay = read?.inTheWay ?? 0;
  const taken = new Set(read?.rows.flatMap((row) => row.taken ?? []));
  const mixed = taken.size > 1;
  return (
    <Whole>
      <Left aria-label="Times">
        <Heading as="h2">Times, without a video</Heading>
        {!lifts && (
          <Line>
            <label>
              <Small>One line per</Small>{" "}
              <Select value={each} onChange={(event) => setEach(event.target.value as typeof each)}>
                <option value="MOVEMENT">movement</option>
                <option value="ROUND">round</option>
                <option value="SET">set</option>
                <option value="SCORE">final score only</option>
              </Select>
            </label>
            {each !== "SCORE" && (
              <label>
                <Small>Single times are</Small>{" "}
                <Select value={times} onChange={(event) => setTimes(event.target.value as typeof times)}>
                  <option value="EITHER">detected automatically</option>
                  <option value="SPLITS">splits</option>
                  <option value="CLOCK">clock times</option>
                </Select>
              </label>
            )}
          </Line>
        )}
        <TextArea
          aria-label="Times, one per line"
          rows={Math.min(12, Math.max(6, text.split("\n").length + 1))}
          value={text}
          placeholder={lifts ? EXAMPLES.LIFTS : EXAMPLES[each]}
          onChange={(event) => setText(event.target.value)}
        />
        <Quiet style={{ marginTop: 8, fontSize: 13.5 }}>
          {lifts
            ? "One line per lift: the clock, the load, how long it took (22s), and “miss” where it was none, with the rep or the movement (miss on 2, miss on the jerk); what was lifted instead of the complex in brackets (1 clean); “no attempt”; a note after a semicolon. No unit = same as the line before, kilograms at first. A load on its own records a past result."
            : hint(each)}
        </Quiet>
        <Line>
          <PrimaryButton
            isDisabled={keep.isPending || keptAlready || !read?.sound || read.rows.length === 0}
            onPress={() => keep.mutate(inTheWay > 0)}
          >
            {keptAlready
              ? "Saved to log"
              : inTheWay > 0
                ? `Replace the ${inTheWay === 1 ? "existing mark" : `${inTheWay} existing marks`}`
                : "Save to log"}
          </PrimaryButton>
          <Button onPress={onBack}>Back</Button>
          {attempt.log.marks.length > 0 && (
            <ButtonLink to={`/attempts/${attempt.id}/reading`}>To the review</ButtonLink>
          )}
          {attempt.log.undo && <UndoButton attemptId={attempt.id} what={attempt.log.undo} />}
        </Line>
        {keep.isError && <Problem>{message(keep.error)}</Problem>}
        {check.isError && <Problem>{message(check.error)}</Problem>}
        <p role="status" style={{ margin: "6px 0" }}>
          {keptAlready && "Already saved. Edit a line to save again. "}
          {read?.says}
        </p>
        {read && read.rows.length > 0 && (
          <Table>
            <thead>
              <tr>
                <th>Movement</th>
                <th>Split</th>
                <th>Clock</th>
                <th>Transition</th>
                {mixed && <th>Typed as</th>}
              </tr>
            </thead>
            <tbody>
              {read.rows.map((row) => (
                <tr key={row.line}>
                  <td>
                    {row.place || `line ${row.line}`}
                    {row.unused && <LeftOut>Not used: “{row.unused}”</LeftOut>}
                  </td>
                  {row.problem ? (
                    <Wrong colSpan={mixed ? 4 : 3}>
                      Line {row.line}: {row.problem}
                    </Wrong>
                  ) : (
                    <>
                      <td>{row.splitMs === undefined ? "" : clock(row.splitMs)}</td>
                      <td>{row.clockMs === undefined ? "" : clock(row.clockMs)}</td>
                      <td>{row.gapMs > 0 ? span(row.gapMs) : ""}</td>
                      {mixed && <td>{row.taken === "SPLITS" ? "split" : row.taken === "CLOCK" ? "clock" : ""}</td>}
                    </>
                  )}
                </tr>
              ))}
            </tbody>
          </Table>
        )}
      </Left>
      <Right aria-label="Board">
        <Board attempt={attempt} onSeek={nothing} />
      </Right>
    </Whole>
  );
}

const nothing = () => undefined;

function UndoButton({ attemptId, what }: { attemptId: string; what: string }) {
  const undo = useMutation({
    mutationFn: async () =>
      orProblem(
        await api.POST("/api/attempts/{attemptId}/marks/undo/{moveId}", {
          params: { path: { attemptId, moveId: crypto.randomUUID() } },
        }),
      ),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: keys.attempt(attemptId) }),
  });
  return (
    <Button onPress={() => undo.mutate()} isDisabled={undo.isPending}>
      Undo: {what}
    </Button>
  );
}
