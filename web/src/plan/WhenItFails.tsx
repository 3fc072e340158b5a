import type { PlanView } from "../api/client";
import { Button, Heading, Problem, Quiet, Select, Small, SmallButton } from "../ui/primitives";
import { seconds, span } from "../ui/time";
import { Line } from "./Line";
import { PlanField } from "./PlanField";
import type { PlanEdits } from "./usePlanEdits";

type FallbackJson = NonNullable<PlanView["plan"]["fallback"]>;
type Failing = NonNullable<FallbackJson["also"]>;

/** What to do when a movement fails, or two at once: portions of it around the others, written beforehand. */
export function WhenItFails({ view, edits }: { view: PlanView; edits: PlanEdits }) {
  const { fallback } = view.plan;
  const counted = view.lines.filter((line) => line.counted);
  const first = counted.find((line) => line.unit === "rep") ?? counted[0];
  if (!first) return null;
  const set = (part: Partial<FallbackJson>) =>
    fallback && edits.changed({ fallback: { ...fallback, ...part } }, "Plan B");
  const takeOut = () => {
    const others = { ...view.plan };
    delete others.fallback;
    edits.keep(others, "No Plan B");
  };
  const onlyTheFirst = () => {
    if (!fallback) return;
    const alone = { ...fallback };
    delete alone.also;
    edits.change({ fallback: alone }, "Plan B");
  };
  // Those of the same rounds: what stands outside them cannot be cut around the first.
  const rounds = counted.find((line) => line.lineIndex === fallback?.lineIndex)?.rounds.length;
  const beside = counted.filter((line) => line.lineIndex !== fallback?.lineIndex && line.rounds.length === rounds);
  const second = beside[0];
  return (
    <section aria-label="Plan B">
      <Heading>Plan B: if a movement fails</Heading>
      {fallback ? (
        <>
          <Line>
            From round{" "}
            <PlanField
              label="From round"
              value={`${fallback.fromRound}`}
              width={48}
              isNumber
              onKeep={(text) => set({ fromRound: Math.round(Number(text)) })}
            />
          </Line>
          <FailingLine
            which="Movement that may fail"
            failing={fallback}
            lines={counted.filter((line) => line.lineIndex !== fallback.also?.lineIndex)}
            onChange={set}
          />
          {fallback.also && (
            <FailingLine
              which="Second movement that may fail"
              label=" of the second"
              failing={fallback.also}
              lines={beside}
              onChange={(part) => fallback.also && set({ also: { ...fallback.also, ...part } })}
            />
          )}
          <Quiet>
            {view.fallbackOrder}. {costs(view.fallbackCostMs ?? 0)} The reading can compare with it.
          </Quiet>
          <Line style={{ marginTop: 8 }}>
            {!fallback.also && second && (
              <SmallButton
                onPress={() => void set({ also: { lineIndex: second.lineIndex, portions: "5s", wayBackMs: 3000 } })}
              >
                Add a second movement
              </SmallButton>
            )}
            {fallback.also && <SmallButton onPress={onlyTheFirst}>Only the first movement</SmallButton>}
            <SmallButton onPress={takeOut}>Remove</SmallButton>
          </Line>
        </>
      ) : (
        <>
          <Quiet style={{ marginBottom: 8 }}>
            Break the failing movement up between the others, so the athlete keeps moving.
          </Quiet>
          <Button
            onPress={() =>
              edits.change(
                { fallback: { lineIndex: first.lineIndex, fromRound: 1, portions: "5s", wayBackMs: 3000 } },
                "Plan B",
              )
            }
          >
            Add Plan B
          </Button>
        </>
      )}
      {edits.problemAt === "plan" && <Problem>{edits.problem}</Problem>}
    </section>
  );
}

interface FailingProps {
  which: string;
  /** Behind the names of the boxes, where there are two of each. */
  label?: string;
  failing: Failing;
  lines: PlanView["lines"];
  onChange: (part: Partial<Failing>) => unknown;
}

function FailingLine({ which, label = "", failing, lines, onChange }: FailingProps) {
  return (
    <Line>
      <Select
        aria-label={which}
        value={failing.lineIndex}
        onChange={(event) => onChange({ lineIndex: Number(event.target.value) })}
      >
        {lines.map((line) => (
          <option key={line.lineIndex} value={line.lineIndex}>
            {line.movement}
          </option>
        ))}
      </Select>
      in{" "}
      <PlanField
        label={`Sets${label}`}
        value={failing.portions}
        width={70}
        onKeep={(portions) => onChange({ portions })}
      />
      <PlanField
        label={`Time to get back${label}, seconds`}
        value={seconds(failing.wayBackMs)}
        width={54}
        isNumber
        onKeep={(text) => onChange({ wayBackMs: Math.round(Number(text) * 1000) })}
      />
      <Small>s to get back to it</Small>
    </Line>
  );
}

function costs(ms: number): string {
  if (ms === 0) return "As long as the plan.";
  return ms > 0 ? `${span(ms)} slower than the plan.` : `${span(-ms)} faster than the plan.`;
}
