import { problem } from "../api/client";
import type { components } from "../api/schema";

type Contents = components["schemas"]["ContentsView"];

/** Sends a backup to be looked into, telling how far it is; fetch does not show that, so the older way. */
export function sendBackup(file: File, signal: AbortSignal, onShare: (share: number) => void): Promise<Contents> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open("POST", "/api/data/restore");
    request.setRequestHeader("content-type", "application/octet-stream");
    request.upload.onprogress = (event) => onShare(event.total > 0 ? event.loaded / event.total : 0);
    request.onload = () => {
      const body: unknown = parsed(request.responseText);
      if (request.status === 200) resolve(body as Contents);
      else reject(problem(request.status, body));
    };
    request.onerror = () => reject(new TypeError("Not reachable"));
    request.onabort = () => reject(problem(0, { detail: "Cancelled. Nothing was changed." }));
    signal.addEventListener("abort", () => request.abort());
    request.send(file);
  });
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
