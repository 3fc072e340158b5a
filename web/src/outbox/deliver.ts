import { api, type LogView, orProblem } from "../api/client";
import type { Op } from "./queue";

/** Asks the server for what ops say: marks put go together, anything else goes alone. */
export function deliver(attemptId: string, [first, ...more]: readonly [Op, ...Op[]]): Promise<LogView> {
  return more.length === 0 ? deliverOne(attemptId, first) : deliverMarks(attemptId, [first, ...more]);
}

async function deliverMarks(attemptId: string, ops: readonly Op[]): Promise<LogView> {
  const marks = ops.flatMap((op) => (op.op === "put" ? [{ id: op.id, mark: op.body }] : []));
  const params = { path: { attemptId } };
  return orProblem(await api.PUT("/api/attempts/{attemptId}/marks", { params, body: { marks } }));
}

/** Asks the server for what one op says. Ids are the op's own, so that asking twice does no more than asking once. */
async function deliverOne(attemptId: string, op: Op): Promise<LogView> {
  const mark = { params: { path: { attemptId, id: op.id } } };
  const move = { params: { path: { attemptId, moveId: op.id } } };
  switch (op.op) {
    case "put":
      return orProblem(await api.PUT("/api/attempts/{attemptId}/marks/{id}", { ...mark, body: op.body }));
    case "remove":
      return orProblem(await api.DELETE("/api/attempts/{attemptId}/marks/{id}", mark));
    case "join":
      return orProblem(await api.POST("/api/attempts/{attemptId}/marks/{id}/join", mark));
    case "undo":
      return orProblem(
        await api.POST("/api/attempts/{attemptId}/marks/undo/{moveId}", {
          params: { ...move.params, query: op.of === undefined ? {} : { of: op.of } },
        }),
      );
    case "redo":
      return orProblem(await api.POST("/api/attempts/{attemptId}/marks/redo/{moveId}", move));
    case "go":
      return orProblem(await api.PUT("/api/attempts/{attemptId}/recordings/{id}/go", { ...mark, body: op.body }));
    case "forgetGo":
      return orProblem(await api.DELETE("/api/attempts/{attemptId}/recordings/{id}/go", mark));
  }
}
