import { Route, Routes } from "react-router";
import { Athletes } from "./athletes/Athletes";
import { AttemptPage } from "./attempt/AttemptPage";
import { EntryStep } from "./attempt/EntryStep";
import { DataPage } from "./data/DataPage";
import { LogStep } from "./log/LogStep";
import { PlanStep } from "./plan/PlanStep";
import { WallPage } from "./plan/WallPage";
import { ReadingStep } from "./reading/ReadingStep";
import { RetestStep } from "./retest/RetestStep";
import { NotFound, Shell } from "./shell/Shell";
import { NewAttempt } from "./today/NewAttempt";
import { Today } from "./today/Today";
import { Movements } from "./workouts/Movements";
import { Workouts } from "./workouts/Workouts";

export function App() {
  return (
    <Routes>
      <Route element={<Shell />}>
        <Route index element={<Today />} />
        <Route path="attempts/new" element={<NewAttempt />} />
        <Route path="attempts/:id" element={<AttemptPage />}>
          <Route path="plan" element={<PlanStep />} />
          <Route path="entry" element={<EntryStep />} />
          <Route path="wall" element={<WallPage />} />
          <Route path="log" element={<LogStep />} />
          <Route path="reading" element={<ReadingStep />} />
          <Route path="retest" element={<RetestStep />} />
        </Route>
        <Route path="workouts" element={<Workouts />} />
        <Route path="workouts/movements" element={<Movements />} />
        <Route path="workouts/:id" element={<Workouts />} />
        <Route path="athletes" element={<Athletes />} />
        <Route path="data" element={<DataPage />} />
        <Route path="*" element={<NotFound />} />
      </Route>
    </Routes>
  );
}
