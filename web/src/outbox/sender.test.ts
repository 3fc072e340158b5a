import { beforeEach, describe, expect, it, vi } from "vitest";
import { ApiProblem, type LogView } from "../api/client";
import { log } from "../testing/sample";
import { type Op, Queues } from "./queue";
import { type Heard, Sender, troubleWords } from "./sender";
import { Shelf } from "./shelf";

const A = "aaaaaaaa-0000-4000-8000-000000000001";
const B = "bbbbbbbb-0000-4000-8000-000000000002";
const remove = (id: string): Op => ({ op: "remove", id });
const put = (id: string): Op => ({
  op: "put",
  id,
  body: { kind: "REP", atMs: 1000, reps: 0, depth: "SET", tag: "", text: "", made: "TAPPED", step: 0.5 },
});
const fails =
  (status: number, detail = "no") =>
  () =>
    Promise.reject(new ApiProblem(status, detail));
const away = () => Promise.reject(new TypeError("Failed to fetch"));
const taken = () => Promise.resolve(log());

/** The browser's storage, with room or without. */
const room = { full: false };
const limited = new Proxy(localStorage, {
  get(storage, name: string) {
    if (name === "setItem") {
      return (place: string, value: string) => {
        if (room.full) throw new DOMException("full", "QuotaExceededError");
        storage.setItem(place, value);
      };
    }
    const there: unknown = Reflect.get(storage, name);
    return typeof there === "function" ? (there.bind(storage) as unknown) : there;
  },
});

describe("the one sender", () => {
  let queues: Queues;
  let asked: string[];
  let told: Heard[];
  let waited: number[];
  let answers: Record<string, (() => Promise<LogView>)[]>;
  let sender: Sender;

  beforeEach(() => {
    localStorage.clear();
    room.full = false;
    queues = new Queues(new Shelf(limited));
    asked = [];
    told = [];
    waited = [];
    answers = {};
    sender = new Sender({
      queues,
      deliver: (attemptId, ops) => {
        const ids = ops.map((op) => op.id).join("+");
        asked.push(`${attemptId.charAt(0)}${ids}`);
        return (answers[ids]?.shift() ?? taken)();
      },
      note: (attemptId, sent) => {
        queues.of(attemptId).drop(...sent.map((one) => one.place));
        return Promise.resolve();
      },
      tell: (heard) => told.push(heard),
      wait: (ms) => {
        if (ms > 0) waited.push(ms);
        return Promise.resolve();
      },
    });
  });

  /** Sends until nothing waits any more. */
  const run = async () => {
    const stop = new AbortController();
    const running = sender.run(stop.signal);
    for (let i = 0; i < 500 && queues.count() > 0; i++) await new Promise((resolve) => setTimeout(resolve, 1));
    stop.abort();
    await running;
  };

  it("sends an attempt's ops in order, and lets attempts take turns", async () => {
    for (const id of ["1", "2", "3"]) queues.of(A).add(remove(id));
    queues.of(B).add(remove("9"));
    await run();
    expect(asked).toEqual(["a1", "b9", "a2", "a3"]);
    expect(localStorage).toHaveLength(0);
  });

  it("sends marks that wait together in one request, in their order among the rest", async () => {
    for (const op of [put("1"), put("2"), remove("1"), put("3"), put("4"), put("5")]) queues.of(A).add(op);
    await run();
    expect(asked).toEqual(["a1+2", "a1", "a3+4+5"]);
    expect(localStorage).toHaveLength(0);
  });

  it("sends marks refused together one by one, and sets aside the one that makes no sense", async () => {
    for (const id of ["1", "2", "3"]) queues.of(A).add(put(id));
    answers["1+2+3"] = [fails(503), fails(422, "One makes no sense.")];
    answers["2"] = [fails(422, "It makes no sense there.")];
    await run();
    expect(asked).toEqual(["a1+2+3", "a1+2+3", "a1", "a2", "a3"]);
    expect(queues.setAside().map((one) => [one.op.id, one.why])).toEqual([["2", "It makes no sense there."]]);
    for (const id of ["4", "5"]) queues.of(A).add(put(id));
    await run();
    expect(asked.at(-1)).toBe("a4+5");
  });

  it("waits longer and longer while the server is away or its disk is full, and keeps everything", async () => {
    queues.of(A).add(remove("1"));
    queues.of(A).add(remove("2"));
    answers["1"] = [away, fails(507), fails(503), away, away, taken];
    await run();
    expect(asked).toEqual(["a1", "a1", "a1", "a1", "a1", "a1", "a2"]);
    expect(waited).toEqual([500, 1000, 2000, 4000, 4000]);
    expect(told.flatMap((heard) => (heard.kind === "trouble" ? [heard.trouble] : []))).toEqual([
      "away",
      "full",
      "busy",
      "away",
      undefined,
    ]);
    expect(queues.setAside()).toEqual([]);
  });

  it("sets aside what is refused, and what the server fails at time after time, and goes on with the rest", async () => {
    queues.of(A).add(remove("1"));
    queues.of(A).add(remove("2"));
    queues.of(A).add(remove("3"));
    answers["1"] = [fails(422, "It makes no sense there.")];
    answers["2"] = [fails(500), fails(500), fails(500), fails(500, "Wake failed at this."), taken];
    await run();
    expect(asked).toEqual(["a1", "a2", "a2", "a2", "a2", "a3"]);
    expect(queues.setAside().map((one) => [one.op.id, one.why])).toEqual([
      ["1", "It makes no sense there."],
      ["2", "Wake failed at this."],
    ]);
    expect(new Queues(new Shelf(localStorage)).setAside()).toHaveLength(2);

    const [first, second] = queues.setAside();
    if (first) queues.letGo(first);
    if (second) queues.again(second);
    expect(queues.setAside()).toEqual([]);
    await run();
    expect(asked.at(-1)).toBe("a2");
  });

  it("finds what was left over from before, of every attempt", async () => {
    new Queues(new Shelf(localStorage)).of(A).add(remove("1"));
    new Queues(new Shelf(localStorage)).of(B).add(remove("2"));
    expect(queues.count()).toBe(0);
    queues.look();
    await run();
    expect(asked.sort()).toEqual(["a1", "b2"]);
  });

  it("says what waits and why", () => {
    expect(troubleWords("full", 14)).toBe(
      "The disk is full. Keep logging: 14 marks are saved on this device. Make room, and they are sent.",
    );
    expect(troubleWords("away", 1)).toContain("1 mark is saved on this device");
  });

  it("takes back nothing else for an undo whose mark was refused", async () => {
    queues.of(A).add(remove("1"));
    queues.of(A).add({ op: "undo", id: "u", of: "1" });
    answers["1"] = [fails(422, "It makes no sense there.")];
    await run();
    expect(asked).toEqual(["a1"]);
  });

  it("goes on when the browser has no room, and says what would be lost with the page", async () => {
    const telling = vi.fn();
    room.full = true;
    queues.shelf.onUnkept = telling;
    for (const id of ["1", "2", "3"]) queues.of(A).add(remove(id));
    expect(queues.unkept()).toBe(3);
    expect(telling).toHaveBeenCalledTimes(3);
    queues.look();
    expect(queues.count()).toBe(3);
    answers["2"] = [fails(422, "It makes no sense there.")];
    await run();
    expect(asked).toEqual(["a1", "a2", "a3"]);
    expect(queues.setAside().map((one) => one.op.id)).toEqual(["2"]);
    expect(queues.unkept()).toBe(1);
    room.full = false;
    const [aside] = queues.setAside();
    if (aside) queues.letGo(aside);
    expect(queues.unkept()).toBe(0);
  });

  it("puts what it held in memory into the storage as soon as there is room", () => {
    room.full = true;
    queues.of(A).add(remove("1"));
    queues.of(A).add(remove("2"));
    room.full = false;
    queues.of(A).drop(queues.of(A).first()?.place ?? "");
    expect(queues.unkept()).toBe(0);
    const later = new Queues(new Shelf(localStorage));
    later.look();
    expect(
      later
        .of(A)
        .ops()
        .map((op) => op.id),
    ).toEqual(["2"]);
  });
});
