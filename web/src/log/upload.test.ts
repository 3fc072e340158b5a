import { beforeEach, describe, expect, it, vi } from "vitest";
import { type Going, upload } from "./upload";

const FILE = new File([new Uint8Array(20 << 20)], "clip.mp4", { lastModified: 7 });
const view = (stage: string, receivedBytes: number, more: object = {}) =>
  new Response(JSON.stringify({ stage, receivedBytes, sizeBytes: FILE.size, ...more }));

describe("sending a recording", () => {
  const sent: string[] = [];
  const going: Going[] = [];
  let server: (path: string, init: RequestInit) => Response | Promise<Response>;

  beforeEach(() => {
    localStorage.clear();
    sent.length = 0;
    going.length = 0;
    vi.stubGlobal("fetch", async (path: string, init: RequestInit) => {
      sent.push(`${init.method} ${path.replace(/.*\/upload/, "")}`);
      return server(path, init);
    });
  });
  const send = (signal = new AbortController().signal) =>
    upload({
      attemptId: "a",
      file: FILE,
      storage: localStorage,
      signal,
      onGoing: (one) => going.push(one),
      wait: () => Promise.resolve(),
    });

  it("sends pieces until all have arrived, then finishes", async () => {
    let received = 0;
    server = (path, init) => {
      if (path.endsWith("/finish")) return view("STORED", FILE.size);
      if (init.body instanceof Blob) received += init.body.size;
      return view(received === FILE.size ? "WHOLE" : "COMING", received);
    };
    await send();
    expect(sent).toEqual([
      "PUT ",
      "POST ?offset=0",
      `POST ?offset=${8 << 20}`,
      `POST ?offset=${16 << 20}`,
      "POST /finish",
    ]);
    expect(localStorage.length).toBe(0);
  });

  it("goes on where it broke off, under the same id when the file is chosen again", async () => {
    server = () => view("COMING", 8 << 20);
    let lost = 0;
    server = (path, init) => {
      if (path.endsWith("/finish")) return view("STORED", FILE.size);
      if (init.body instanceof Blob && lost++ < 2) throw new TypeError("connection lost");
      if (init.body instanceof Blob) return view("WHOLE", FILE.size);
      return view("COMING", 12 << 20);
    };
    await send();
    expect(sent).toEqual([
      "PUT ",
      `POST ?offset=${12 << 20}`,
      "GET ",
      `POST ?offset=${12 << 20}`,
      "GET ",
      `POST ?offset=${12 << 20}`,
      "POST /finish",
    ]);
    expect(going.some((one) => one.doing === "waiting")).toBe(true);
  });

  it("waits for a conversion, and says why it failed", async () => {
    let asked = 0;
    server = (path, init) => {
      if (path.endsWith("/finish")) return view("CONVERTING", FILE.size, { convertedShare: 0 });
      if (init.method === "PUT") return view("WHOLE", FILE.size);
      return asked++ < 2
        ? view("CONVERTING", FILE.size, { convertedShare: 0.5 })
        : view("FAILED", FILE.size, { failure: "ffmpeg could not convert this file." });
    };
    await expect(send()).rejects.toThrow("ffmpeg could not convert");
    expect(going.at(-1)).toEqual({ share: 0.5, doing: "converting" });
    expect(localStorage.length).toBe(1);
  });

  it("leaves nothing behind when it is cancelled", async () => {
    const control = new AbortController();
    server = (_, init) => {
      if (init.body instanceof Blob) {
        control.abort();
        throw new DOMException("aborted", "AbortError");
      }
      return view("COMING", 0);
    };
    await expect(send(control.signal)).rejects.toThrow("Cancelled");
    expect(sent.at(-1)).toBe("DELETE ");
    expect(localStorage.length).toBe(0);
  });
});
