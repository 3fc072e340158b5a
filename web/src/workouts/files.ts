import { api, orProblem, problem, type WorkoutFile } from "../api/client";

/** Saves a text as a file of the coach's. */
export function saveText(name: string, text: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([text], { type: "text/plain;charset=utf-8" }));
  link.download = name.replace(/[\\/:*?"<>|]/g, "-");
  link.click();
  URL.revokeObjectURL(link.href);
}

/** Saves the whole library as one JSON document. */
export async function saveLibrary(): Promise<void> {
  const file = orProblem(await api.GET("/api/workouts/export"));
  saveText("wake-workouts.json", JSON.stringify(file, null, 2));
}

/** Takes in files: a notation text is one workout, a JSON document holds many. Says the outcome. */
export async function takeIn(files: readonly File[]): Promise<string> {
  const said: string[] = [];
  for (const file of files) {
    const text = await file.text();
    said.push(
      `${file.name}: ${file.name.toLowerCase().endsWith(".json") ? await library(text) : await notation(text)}`,
    );
  }
  return said.join(" ");
}

async function notation(text: string): Promise<string> {
  const path = { id: crypto.randomUUID() };
  const answer = await api.PUT("/api/workouts/{id}", { params: { path }, body: { notation: text } });
  return answer.data ? `added ${answer.data.title}.` : problem(answer.response.status, answer.error).message;
}

async function library(text: string): Promise<string> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return "this is not JSON. Nothing was imported.";
  }
  const answer = await api.POST("/api/workouts/import", { body: parsed as WorkoutFile });
  if (!answer.data) return problem(answer.response.status, answer.error).message;
  const { added, refused } = answer.data;
  return [`${added} ${added === 1 ? "workout" : "workouts"} imported.`, ...refused].join(" ");
}
