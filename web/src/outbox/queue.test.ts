import { beforeEach, describe, expect, it, vi } from "vitest";
import type { MarkKind } from "../api/client";
import { log, mark } from "../testing/sample";
import { fromElsewhere } from "../log/useMarks";
import { goAfter, type Op, Queue, restingAfter } from "./queue";
import { Shelf } from "./shelf";

const put = (id: string, kind: MarkKind = "REP"): Op => ({
  op: "put",
  id,
  body: { kind, atMs: 1000, reps: 0, depth: "SET", tag: "", text: "", made: "TAPPED", step: 1 },
});

const ids = (queue: Queue) => queue.ops().map((op) => op.id);

describe("marks that wait for the server", () => {
  beforeEach(() => localStorage.clear());

  it("survive a reload, in order", () => {
    new Queue("a", new Shelf(localStorage)).add(put("1"));
    new Queue("a", new Shelf(localStorage)).add(put("2"));
    expect(ids(new Queue("a", new Shelf(localStorage)))).toEqual(["1", "2"]);
    expect(ids(new Queue("b", new Shelf(localStorage)))).toEqual([]);
  });

  it("leave one by one as they are answered", () => {
    const queue = new Queue("a", new Shelf(localStorage));
    queue.add(put("1"));
    queue.add(put("2"));
    queue.drop(queue.first()?.place ?? "");
    expect(ids(queue)).toEqual(["2"]);
    expect(ids(new Queue("a", new Shelf(localStorage)))).toEqual(["2"]);
  });

  it("of two windows never write over each other", () => {
    const one = new Queue("a", new Shelf(localStorage));
    const other = new Queue("a", new Shelf(localStorage));
    one.add(put("1"));
    other.add(put("2"));
    one.drop(one.first()?.place ?? "");
    expect(ids(one)).toEqual([]);
    one.look();
    expect(ids(one)).toEqual(["2"]);
  });

  it("tell what an undo asked for now is meant for", () => {
    const queue = new Queue("a", new Shelf(localStorage));
    expect(queue.lastDone("kept")).toBe("kept");
    queue.add(put("1"));
    queue.add(put("2"));
    expect(queue.lastDone("kept")).toBe("2");
    queue.add({ op: "undo", id: "u1", of: "2" });
    expect(queue.lastDone("kept")).toBe("1");
    queue.add({ op: "undo", id: "u2", of: "1" });
    expect(queue.lastDone("kept")).toBe("kept");
    queue.add({ op: "undo", id: "u3", of: "kept" });
    expect(queue.lastDone("kept")).toBeUndefined();
  });

  it("are told of to whoever follows, and are the same list until they change", () => {
    const queue = new Queue("a", new Shelf(localStorage));
    const changed = vi.fn();
    const unfollow = queue.subscribe(changed);
    const before = queue.ops();
    expect(queue.ops()).toBe(before);
    queue.add(put("1"));
    expect(changed).toHaveBeenCalledOnce();
    expect(queue.ops()).not.toBe(before);
    unfollow();
    queue.add(put("2"));
    expect(changed).toHaveBeenCalledOnce();
  });

  it("are dropped rather than trusted when the browser's storage is damaged", () => {
    localStorage.setItem("wake.queue.a.1", "{not json");
    expect(ids(new Queue("a", new Shelf(localStorage)))).toEqual([]);
  });

  it("count for where go lies", () => {
    const go: Op = { op: "go", id: "camera", body: { atMs: 5000, made: "STEPPED", step: 0.033 } };
    expect(goAfter(undefined, "camera", [go])).toBe(5000);
    expect(goAfter(undefined, "other", [go])).toBeUndefined();
    expect(goAfter(5000, "camera", [{ op: "forgetGo", id: "camera" }])).toBeUndefined();
  });

  it("count for whether the athlete rests", () => {
    expect(restingAfter("WORKING", [put("1", "OFF")])).toBe("resting");
    expect(restingAfter("WORKING", [put("1", "OFF"), put("2", "ON")])).toBe("working");
    expect(restingAfter("RESTING", [put("1", "DONE")])).toBe("moving");
    expect(restingAfter("RESTING", [put("1", "CUE")])).toBe("resting");
  });
});

describe("two windows on one attempt", () => {
  it("tell each other's marks from their own", () => {
    const now = log({ marks: [mark("1"), mark("2"), mark("3")] });
    const known = new Set(["1"]);
    expect(fromElsewhere(known, now, (id) => id === "2")).toBe(1);
    expect(fromElsewhere(known, now, () => true)).toBe(0);
    expect(fromElsewhere(undefined, now, () => false)).toBe(0);
  });
});
