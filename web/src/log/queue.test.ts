import { beforeEach, describe, expect, it } from "vitest";
import type { MarkKind } from "../api/client";
import { log } from "../testing/sample";
import { fromElsewhere } from "./useMarks";
import { goAfter, type Op, Queue, restingAfter } from "./queue";

const put = (id: string, kind: MarkKind = "REP"): Op => ({
  op: "put",
  id,
  body: { kind, atMs: 1000, reps: 0, depth: "SET", tag: "", text: "", made: "TAPPED", step: 1 },
});

describe("marks that wait for the server", () => {
  beforeEach(() => localStorage.clear());

  it("survive a reload, in order", () => {
    new Queue("a", localStorage).add(put("1"));
    new Queue("a", localStorage).add(put("2"));
    expect(new Queue("a", localStorage).all().map((one) => one.op.id)).toEqual(["1", "2"]);
    expect(new Queue("b", localStorage).all()).toEqual([]);
  });

  it("leave one by one as they are answered", () => {
    const queue = new Queue("a", localStorage);
    queue.add(put("1"));
    const [first] = queue.add(put("2"));
    expect(queue.drop(first?.place ?? "").map((one) => one.op.id)).toEqual(["2"]);
  });

  it("of two windows never write over each other", () => {
    const one = new Queue("a", localStorage);
    const other = new Queue("a", localStorage);
    one.add(put("1"));
    const [mine] = one.all();
    other.add(put("2"));
    one.drop(mine?.place ?? "");
    expect(one.all().map((left) => left.op.id)).toEqual(["2"]);
  });

  it("are dropped rather than trusted when the browser's storage is damaged", () => {
    localStorage.setItem("wake.queue.a.1", "{not json");
    expect(new Queue("a", localStorage).all()).toEqual([]);
  });

  it("count for where go lies", () => {
    const go: Op = { op: "go", id: "camera", body: { atMs: 5000, made: "STEPPED", step: 0.033 } };
    expect(goAfter(undefined, "camera", [go])).toBe(5000);
    expect(goAfter(undefined, "other", [go])).toBeUndefined();
    expect(goAfter(5000, "camera", [{ op: "forgetGo", id: "camera" }])).toBeUndefined();
  });

  it("count for whether the athlete rests", () => {
    expect(restingAfter("working", [put("1", "OFF")])).toBe("resting");
    expect(restingAfter("working", [put("1", "OFF"), put("2", "ON")])).toBe("working");
    expect(restingAfter("resting", [put("1", "DONE")])).toBe("moving");
    expect(restingAfter("resting", [put("1", "CUE")])).toBe("resting");
  });
});

describe("two windows on one attempt", () => {
  const mark = (id: string) => ({
    id,
    kind: "REP" as const,
    atMs: 1,
    reps: 0,
    depth: "SET" as const,
    tag: "",
    text: "",
    uncertaintyS: 0,
  });

  it("tell each other's marks from their own", () => {
    const before = log({ marks: [mark("1")] });
    const now = log({ marks: [mark("1"), mark("2"), mark("3")] });
    expect(fromElsewhere(before, now, new Set(["2"]))).toBe(1);
    expect(fromElsewhere(before, now, new Set(["2", "3"]))).toBe(0);
    expect(fromElsewhere(undefined, now, new Set())).toBe(0);
  });
});
