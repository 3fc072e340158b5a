import { problem } from "../api/client";
import type { components } from "../api/schema";

type UploadView = components["schemas"]["UploadView"];

const PIECE = 8 << 20;
/** Answers that say: not now. The disk is full, or the data is being put back. */
const LATER = [503, 507];
const WAITS = [500, 1000, 2000, 4000, 8000];

/** How a transfer is going, to be shown. */
export interface Going {
  /** From 0 to 1. */
  share: number;
  doing: "sending" | "waiting" | "converting";
}

interface Upload {
  attemptId: string;
  file: File;
  /** The recording that waits for this file; a new one without it. */
  recordingId?: string | undefined;
  storage: Storage;
  signal: AbortSignal;
  onGoing: (going: Going) => void;
  wait?: (ms: number) => Promise<void>;
}

/** The id a file was sent under before, so that choosing it again goes on where it broke off. */
function idOf({ attemptId, file, recordingId, storage }: Upload): { id: string; place: string } {
  const place = `wake upload ${attemptId} ${file.name} ${file.size} ${file.lastModified}`;
  const id = recordingId ?? storage.getItem(place) ?? crypto.randomUUID();
  storage.setItem(place, id);
  return { id, place };
}

/**
 * Sends a file piece by piece. A piece that is lost is sent again, however long the connection is away; a file chosen again goes on where it
 * broke off. What browsers cannot play is converted by the server, and waited for.
 */
export async function upload(parts: Upload): Promise<void> {
  const { attemptId, file, storage, signal, onGoing } = parts;
  const { id, place } = idOf(parts);
  const url = `/api/attempts/${attemptId}/recordings/${id}/upload`;
  const wait = parts.wait ?? ((ms) => new Promise((resolve) => setTimeout(resolve, ms)));
  const ask = async (path: string, init: RequestInit): Promise<UploadView> => {
    for (let attempt = 0; ; attempt++) {
      let answer: Response;
      try {
        answer = await fetch(path, { ...init, signal });
      } catch (lost) {
        if (signal.aborted) throw lost;
        onGoing({ share, doing: "waiting" });
        await wait(WAITS[Math.min(attempt, WAITS.length - 1)] ?? 0);
        // What arrived of the piece is kept: ask where to go on.
        if (init.method === "POST" && init.body) return ask(url, { method: "GET" });
        continue;
      }
      const body: unknown = await answer.json().catch(() => undefined);
      if (LATER.includes(answer.status)) {
        onGoing({ share, doing: "waiting" });
        await wait(WAITS[Math.min(attempt, WAITS.length - 1)] ?? 0);
        if (signal.aborted) throw problem(0, { detail: "Cancelled." });
        continue;
      }
      if (!answer.ok) throw problem(answer.status, body);
      return body as UploadView;
    }
  };
  let share = 0;
  try {
    let view = await ask(url, {
      method: "PUT",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ label: file.name.slice(0, 200), sizeBytes: file.size }),
    });
    while (view.stage === "COMING") {
      share = view.receivedBytes / file.size;
      onGoing({ share, doing: "sending" });
      view = await ask(`${url}?offset=${view.receivedBytes}`, {
        method: "POST",
        headers: { "content-type": "application/octet-stream" },
        body: file.slice(view.receivedBytes, view.receivedBytes + PIECE),
      });
    }
    if (view.stage === "WHOLE" || view.stage === "FAILED") view = await ask(`${url}/finish`, { method: "POST" });
    while (view.stage === "CONVERTING") {
      share = view.convertedShare ?? 0;
      onGoing({ share, doing: "converting" });
      await wait(400);
      view = await ask(url, { method: "GET" });
    }
    if (view.stage === "FAILED") throw problem(422, { detail: view.failure });
    storage.removeItem(place);
  } catch (failed) {
    if (!signal.aborted) throw failed;
    storage.removeItem(place);
    await fetch(url, { method: "DELETE" }).catch(() => undefined);
    throw problem(0, { detail: "Cancelled. Nothing was saved." });
  }
}
