import { useMutation } from "@tanstack/react-query";
import styled from "styled-components";
import { api, type CallView, type ChangeJson, message, orProblem, type ProjectionView } from "../api/client";
import { keys, queryClient, useRetest } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { ButtonLink, Caution, Heading, Page, Problem, Quiet, Select, Sentence, Small } from "../ui/primitives";
import { Waiting } from "../ui/Waiting";
import { ChangeRow } from "./ChangeRow";
import { ScoreLadder } from "./ScoreLadder";
import { call, gainWords } from "./words";

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.75fr) minmax(0, 1fr);
  gap: 40px;
  margin-top: 28px;
  @media (max-width: 900px) {
    grid-template-columns: 1fr;
  }
`;

/** The retest call: what could be done differently, and what that would make the score. */
export function RetestStep() {
  const attempt = useOpenAttempt();
  const retest = useRetest(attempt.id);
  const choose = useMutation({
    mutationFn: async (changes: ChangeJson[]) =>
      orProblem(
        await api.PUT("/api/attempts/{id}/retest", { params: { path: { id: attempt.id } }, body: { changes } }),
      ),
    onSuccess: (view) => queryClient.setQueryData(keys.retest(attempt.id), view),
  });
  if (!retest.isSuccess) return <Waiting error={retest.error} />;
  const view = retest.data;
  if (view.notYet !== undefined) {
    return (
      <Page>
        <Sentence>No call yet.</Sentence>
        <Quiet style={{ margin: "12px 0 20px" }}>{view.notYet}</Quiet>
        <ButtonLink to={`/attempts/${attempt.id}/log`}>Go to the log</ButtonLink>
      </Page>
    );
  }
  const set = (index: number, part: Partial<ChangeJson>) =>
    choose.mutate(view.calls.map((one, place) => ({ ...asChange(one), ...(place === index ? part : {}) })));
  return (
    <Page>
      <Sentence>{call(view)}</Sentence>
      <Quiet style={{ marginTop: 8 }}>
        A replay of this attempt with the changes below and nothing else changed. It assumes they can be done: how far
        that is backed stands beside each.
      </Quiet>
      {choose.isError && <Problem style={{ marginTop: 12 }}>{message(choose.error)}</Problem>}
      <Two>
        <section aria-label="Changes">
          <Heading>Changes</Heading>
          {view.calls.length === 0 && <Quiet>The log is too short to propose anything: log sets or transitions.</Quiet>}
          {view.calls.map((one, index) => (
            <ChangeRow
              key={`${one.kind} ${one.movement}`}
              change={one}
              onTarget={(targetMs) => set(index, { targetMs })}
              onSwitch={(on) => set(index, { on })}
            />
          ))}
          <AddCadence view={view} onAdd={(change) => choose.mutate([...view.calls.map(asChange), change])} />
          <p style={{ marginTop: 14 }}>
            <strong>All chosen together: {gainWords(view.gain)}</strong>{" "}
            <Small>
              Not the sum of the gains alone where changes touch the same seconds. On evidence counts 100 % of what was
              shown late, 75 % of what was shown earlier and 25 % of what was not yet shown: an assumption.
            </Small>
          </p>
        </section>
        <section aria-label="Score ladder">
          <Heading>The score</Heading>
          <ScoreLadder view={view} />
          {view.cautions.map((caution) => (
            <Caution key={caution} style={{ marginTop: 10 }}>
              {caution}
            </Caution>
          ))}
          <Caution style={{ marginTop: 10 }}>
            Coaching arithmetic, not medicine. Pain, dizziness or a joint that hurts: stop, and see a licensed
            professional before any retest. The event’s rules and the gym’s go first.
          </Caution>
        </section>
      </Two>
    </Page>
  );
}

function asChange({ kind, movement, targetMs, on }: CallView): ChangeJson {
  return { kind, movement, targetMs, on };
}

interface AddProps {
  view: ProjectionView;
  onAdd: (change: ChangeJson) => void;
}

function AddCadence({ view, onAdd }: AddProps) {
  const taken = view.calls.filter((one) => one.kind === "HOLD_CADENCE").map((one) => one.movement);
  const free = view.cadences.filter((one) => !taken.includes(one.movement));
  const pauses = (["CAP_TRANSITIONS", "CAP_RESTS"] as const).filter(
    (kind) => !view.calls.some((one) => one.kind === kind),
  );
  if (free.length + pauses.length === 0) return null;
  return (
    <Select
      aria-label="Add a change"
      value=""
      style={{ marginTop: 12 }}
      onChange={(event) => {
        const { value } = event.target;
        if (value === "CAP_TRANSITIONS" || value === "CAP_RESTS") {
          onAdd({ kind: value, movement: "", targetMs: 5000, on: true });
        } else {
          onAdd({ kind: "HOLD_CADENCE", movement: value, targetMs: 3000, on: true });
        }
      }}
    >
      <option value="">Add a change…</option>
      {pauses.map((kind) => (
        <option key={kind} value={kind}>
          {kind === "CAP_RESTS" ? "Cap the rests" : "Cap the transitions"}
        </option>
      ))}
      {free.map(({ movement, unit }) => (
        <option key={movement} value={movement}>
          Hold a cadence of the {movement} (s per {unit})
        </option>
      ))}
    </Select>
  );
}
