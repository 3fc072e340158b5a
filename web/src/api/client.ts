import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

type Schemas = components["schemas"];
export type AttemptView = Schemas["AttemptView"];
export type LogView = Schemas["LogView"];
export type SegmentView = Schemas["SegmentView"];
export type MarkView = Schemas["MarkView"];
export type MarkRequest = Schemas["MarkRequest"];
export type MarkKind = MarkRequest["kind"];
export type RecordingView = Schemas["RecordingView"];
export type RecordingScript = Schemas["RecordingScript"];
export type LogSettings = Schemas["LogSettings"];
export type Scene = Schemas["Scene"];
export type ReadingView = Schemas["ReadingView"];
export type ProjectionView = Schemas["ProjectionView"];
export type ProjectedChangeView = Schemas["ProjectedChangeView"];
export type FanView = Schemas["FanView"];
export type StopView = Schemas["StopView"];
export type BackView = Schemas["BackView"];
export type ChangeJson = Schemas["ChangeJson"];
export type TimesRequest = Schemas["TimesRequest"];
export type RetestView = Schemas["RetestView"];
export type RetestRequest = Schemas["RetestRequest"];
export type ScoreView = Schemas["ScoreView"];
export type GainView = Schemas["GainView"];
export type SliderView = Schemas["SliderView"];
export type GoalView = Schemas["GoalView"];
export type ActualView = Schemas["ActualView"];
export type CreditView = Schemas["CreditView"];
export type RecordView = Schemas["RecordView"];
export type PlanView = Schemas["PlanView"];
export type LineJson = Schemas["LineJson"];
export type PacingJson = Schemas["PacingJson"];
export type TodayView = Schemas["TodayView"];
export type TodayRow = Schemas["TodayRow"];
export type WorkoutView = Schemas["WorkoutView"];
export type WorkoutCheck = Schemas["WorkoutCheck"];
export type MovementView = Schemas["MovementView"];
export type WorkoutFile = Schemas["WorkoutFile"];
export type Athlete = Schemas["AthleteView"];
export type PlanJson = Schemas["PlanJson"];
export type LineView = Schemas["LineView"];
export type CheckView = Schemas["CheckView"];
export type StrategyView = Schemas["StrategyView"];
export type PacingStrategy = StrategyView["strategy"];
export type LiftJson = Schemas["LiftJson"];
export type LiftAttemptJson = Schemas["LiftAttemptJson"];
export type LiftReadingView = Schemas["LiftReadingView"];
export type LiftProjectionView = Schemas["LiftProjectionView"];
export type LiftHistoryView = Schemas["LiftHistoryView"];
export type StrengthDayView = Schemas["StrengthDayView"];
export type StrengthReadView = Schemas["StrengthReadView"];
export type HeadToHeadView = Schemas["HeadToHeadView"];
export type HeadToHeadSideView = Schemas["HeadToHeadSideView"];
export type PairView = Schemas["PairView"];
export type BorderView = Schemas["LeadBorderView"];
export type OutlineView = Schemas["OutlineView"];
export type FieldView = Schemas["FieldView"];
export type RosterRow = Schemas["RosterRow"];
export type RankingView = Schemas["RankingView"];
export type HeatReadView = Schemas["HeatReadView"];
export type AthletePageView = Schemas["AthletePageView"];
export type FigureView = Schemas["FigureView"];
export type HistoryLineView = Schemas["HistoryLineView"];
export type LimitedView = Schemas["LimitedView"];
export type TechniqueView = Schemas["TechniqueView"];
export type TraceView = Schemas["TraceView"];
export type CardView = Schemas["CardView"];
export type VideoNameView = Schemas["VideoNameView"];
export type GymView = Schemas["GymView"];
export type Cause = ReadingView["findings"][number]["cause"];

export const api = createClient<paths>({ baseUrl: "" });

/** Opened to a network, Wake asks for its passphrase first. */
const NOT_ENTERED = 401;

/** What the server refused, with the field it concerns. */
export class ApiProblem extends Error {
  readonly status: number;
  readonly field: string | undefined;

  constructor(status: number, detail: string, field?: string) {
    super(detail);
    this.status = status;
    this.field = field;
  }
}

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The data of an answer; throws an {@link ApiProblem} when the server refused. */
export function orProblem<T>(answer: Answer<T>): T {
  if (answer.response.ok && answer.data !== undefined) return answer.data;
  throw problem(answer.response.status, answer.error);
}

/** Reads a problem document. */
export function problem(status: number, body: unknown): ApiProblem {
  if (status === NOT_ENTERED) location.assign("/enter");
  const detail = text(body, "detail") ?? `The server answered ${status}.`;
  return new ApiProblem(status, detail, text(body, "field"));
}

function text(body: unknown, key: string): string | undefined {
  if (typeof body !== "object" || body === null) return undefined;
  const value = (body as Record<string, unknown>)[key];
  return typeof value === "string" ? value : undefined;
}

/** What was typed cannot be sent as it is; the message says how to write it. */
export class Unfit extends Error {}

export function message(error: unknown): string {
  if (error instanceof ApiProblem || error instanceof Unfit) return error.message;
  return "Can’t reach Wake. Check that it is running. What you typed is safe.";
}
