import { lazy, type ReactNode, Suspense } from "react";
import { Route, Routes } from "react-router";
import { AttemptPage } from "./attempt/AttemptPage";
import { NotFound, Shell } from "./shell/Shell";
import { Today } from "./today/Today";
import { Waiting } from "./ui/Waiting";

// Each step of the job is fetched when it is first gone to.
const Athletes = lazy(async () => ({ default: (await import("./athletes/Athletes")).Athletes }));
const Attempts = lazy(async () => ({ default: (await import("./attempts/Attempts")).Attempts }));
const DataPage = lazy(async () => ({ default: (await import("./data/DataPage")).DataPage }));
const EntryStep = lazy(async () => ({ default: (await import("./attempt/EntryStep")).EntryStep }));
const LogStep = lazy(async () => ({ default: (await import("./log/LogStep")).LogStep }));
const Movements = lazy(async () => ({ default: (await import("./workouts/Movements")).Movements }));
const NewAttempt = lazy(async () => ({ default: (await import("./today/NewAttempt")).NewAttempt }));
const PlanStep = lazy(async () => ({ default: (await import("./plan/PlanStep")).PlanStep }));
const ReadingStep = lazy(async () => ({ default: (await import("./reading/ReadingStep")).ReadingStep }));
const RetestStep = lazy(async () => ({ default: (await import("./retest/RetestStep")).RetestStep }));
const WallPage = lazy(async () => ({ default: (await import("./plan/WallPage")).WallPage }));
const Workouts = lazy(async () => ({ default: (await import("./workouts/Workouts")).Workouts }));

const fetched = (screen: ReactNode) => <Suspense fallback={<Waiting error={null} />}>{screen}</Suspense>;

export function App() {
  return (
    <Routes>
      <Route element={<Shell />}>
        <Route index element={<Today />} />
        <Route path="attempts" element={fetched(<Attempts />)} />
        <Route path="attempts/new" element={fetched(<NewAttempt />)} />
        <Route path="attempts/:id" element={<AttemptPage />}>
          <Route path="plan" element={fetched(<PlanStep />)} />
          <Route path="entry" element={fetched(<EntryStep />)} />
          <Route path="wall" element={fetched(<WallPage />)} />
          <Route path="log" element={fetched(<LogStep />)} />
          <Route path="reading" element={fetched(<ReadingStep />)} />
          <Route path="retest" element={fetched(<RetestStep />)} />
        </Route>
        <Route path="workouts" element={fetched(<Workouts />)} />
        <Route path="workouts/movements" element={fetched(<Movements />)} />
        <Route path="workouts/:id" element={fetched(<Workouts />)} />
        <Route path="athletes" element={fetched(<Athletes />)} />
        <Route path="data" element={fetched(<DataPage />)} />
        <Route path="*" element={<NotFound />} />
      </Route>
    </Routes>
  );
}
