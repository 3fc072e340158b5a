import { type ComponentType, lazy, type ReactNode, Suspense } from "react";
import { Route, Routes } from "react-router";
import { AttemptPage } from "./attempt/AttemptPage";
import { NotFound, Shell } from "./shell/Shell";
import { Today } from "./today/Today";
import { Waiting } from "./ui/Waiting";

/** All steps, so that they can be fetched before the connection goes. */
const steps: (() => Promise<unknown>)[] = [];

/** A step of the job, fetched when it is first gone to. */
function step(load: () => Promise<ComponentType>) {
  steps.push(load);
  return lazy(async () => ({ default: await load() }));
}

/** Fetches what has not been gone to yet: at the rig the connection may be away by then. */
export function fetchTheRest(): void {
  for (const load of steps) load().catch(() => undefined);
}

const AthletePage = step(async () => (await import("./athletes/AthletePage")).AthletePage);
const Athletes = step(async () => (await import("./athletes/Athletes")).Athletes);
const Attempts = step(async () => (await import("./attempts/Attempts")).Attempts);
const DataPage = step(async () => (await import("./data/DataPage")).DataPage);
const EntryStep = step(async () => (await import("./attempt/EntryStep")).EntryStep);
const LogStep = step(async () => (await import("./log/LogStep")).LogStep);
const Movements = step(async () => (await import("./workouts/Movements")).Movements);
const NewAttempt = step(async () => (await import("./today/NewAttempt")).NewAttempt);
const PlanStep = step(async () => (await import("./plan/PlanStep")).PlanStep);
const ReadingStep = step(async () => (await import("./reading/ReadingStep")).ReadingStep);
const CardStep = step(async () => (await import("./card/CardStep")).CardStep);
const VideosPage = step(async () => (await import("./videos/VideosPage")).VideosPage);
const HandOver = step(async () => (await import("./retest/HandOver")).HandOver);
const RetestStep = step(async () => (await import("./retest/RetestStep")).RetestStep);
const HeadToHeadStep = step(async () => (await import("./comparison/HeadToHeadStep")).HeadToHeadStep);
const FieldPage = step(async () => (await import("./ranking/FieldPage")).FieldPage);
const Ranking = step(async () => (await import("./ranking/Ranking")).Ranking);
const HeatEntry = step(async () => (await import("./heats/HeatEntry")).HeatEntry);
const WallPage = step(async () => (await import("./plan/WallPage")).WallPage);
const Workouts = step(async () => (await import("./workouts/Workouts")).Workouts);

const fetched = (screen: ReactNode) => <Suspense fallback={<Waiting error={null} />}>{screen}</Suspense>;

export function App() {
  return (
    <Routes>
      <Route element={<Shell />}>
        <Route index element={<Today />} />
        <Route path="attempts" element={fetched(<Attempts />)} />
        <Route path="attempts/new" element={fetched(<NewAttempt />)} />
        <Route path="attempts/heat" element={fetched(<HeatEntry />)} />
        <Route path="attempts/:id" element={<AttemptPage />}>
          <Route path="plan" element={fetched(<PlanStep />)} />
          <Route path="entry" element={fetched(<EntryStep />)} />
          <Route path="wall" element={fetched(<WallPage />)} />
          <Route path="log" element={fetched(<LogStep />)} />
          <Route path="reading" element={fetched(<ReadingStep />)} />
          <Route path="versus" element={fetched(<HeadToHeadStep />)} />
          <Route path="retest" element={fetched(<RetestStep />)} />
          <Route path="retest/sheet" element={fetched(<HandOver />)} />
          <Route path="card" element={fetched(<CardStep />)} />
        </Route>
        <Route path="workouts" element={fetched(<Workouts />)} />
        <Route path="workouts/movements" element={fetched(<Movements />)} />
        <Route path="workouts/:id" element={fetched(<Workouts />)} />
        <Route path="workouts/:id/field" element={fetched(<FieldPage />)} />
        <Route path="workouts/:id/ranking" element={fetched(<Ranking />)} />
        <Route path="attempts/films" element={fetched(<VideosPage />)} />
        <Route path="athletes" element={fetched(<Athletes />)} />
        <Route path="athletes/:id" element={fetched(<AthletePage />)} />
        <Route path="data" element={fetched(<DataPage />)} />
        <Route path="*" element={<NotFound />} />
      </Route>
    </Routes>
  );
}
