import { QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterAll, describe, expect, it, vi } from "vitest";
import { api, type PacingJson, type PlanJson, type PlanView } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { usePlanEdits } from "./usePlanEdits";

const within = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={queryClient}>{children}</QueryClientProvider>
);

const pacing = { sets: "unbroken", secondsPerUnit: 2, transitionMs: 3000, rests: "5" } as unknown as PacingJson;

const fresh = (): PlanJson => ({
  lines: [0, 1, 2].map((lineIndex) => ({ lineIndex, every: pacing, rounds: {}, locked: false })),
});

/** Numbers that look random and are the same for the same seed (mulberry32, public domain). */
function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A server that answers after a while, each time with the plan it was given. */
function server(delay: () => number, fails: () => boolean = () => false) {
  const state = { plan: fresh(), version: 0 };
  const view = () => ({ plan: state.plan, version: state.version, assumed: false }) as unknown as PlanView;
  vi.spyOn(api, "PUT").mockImplementation((async (_: string, { body }: { body: PlanJson }) => {
    await new Promise((resolve) => setTimeout(resolve, delay()));
    if (fails()) {
      return { error: { detail: "The disk is full." }, response: new Response(null, { status: 507 }) };
    }
    state.plan = structuredClone(body);
    state.version++;
    return { data: view(), response: new Response() };
  }) as never);
  queryClient.setQueryData([...keys.plan("a"), "now"], view());
  return { state, view };
}

describe("changing a plan", () => {
  const FIELDS = ["sets", "rests", "pace", "effort"] as const;
  const SEEDS = [1, 2, 3, 4, 5, 6, 7, 8, Date.now() & 0xffff];

  afterAll(() => console.info(`Interleavings tried: seeds ${SEEDS.join(", ")}`));

  it.each(SEEDS)("keeps every figure, however edits and answers fall together (seed %i)", async (seed) => {
    const next = random(seed);
    const { state, view } = server(() => Math.floor(next() * 12));
    const { result } = renderHook(() => usePlanEdits("a", view()), { wrapper: within });
    const expected = new Map<string, string>();
    const waits: Promise<unknown>[] = [];
    for (let edit = 0; edit < 36; edit++) {
      const line = Math.floor(next() * 3);
      const round = Math.floor(next() * 4);
      const field = FIELDS[Math.floor(next() * FIELDS.length)] ?? "sets";
      const value = `v${edit}`;
      expected.set(`${line} ${round} ${field}`, value);
      act(() => {
        waits.push(
          result.current.changeLine(
            line,
            (now) =>
              round === 0
                ? { ...now, every: { ...now.every, [field]: value } }
                : {
                    ...now,
                    rounds: { ...now.rounds, [round]: { ...(now.rounds[round] ?? now.every), [field]: value } },
                  },
            value,
          ),
        );
      });
      if (next() < 0.4) await act(() => new Promise((resolve) => setTimeout(resolve, Math.floor(next() * 20))));
    }
    await act(() => Promise.all(waits));
    for (const [place, value] of expected) {
      const [line, round, field] = place.split(" ");
      const there = state.plan.lines[Number(line)];
      const pacing = round === "0" ? there?.every : there?.rounds[Number(round)];
      expect((pacing as unknown as Record<string, string>)[field ?? ""]).toBe(value);
    }
  });

  it("loses nothing when an undo fails", async () => {
    let down = false;
    const { state, view } = server(
      () => 0,
      () => down,
    );
    const { result } = renderHook(() => usePlanEdits("a", view()), { wrapper: within });
    await act(() => result.current.changed({ goal: "9:00" }, "goal"));
    down = true;
    act(() => result.current.undo());
    await waitFor(() => expect(result.current.problem).toContain("disk"));
    expect(result.current.canUndo).toBe(true);
    down = false;
    act(() => result.current.undo());
    await waitFor(() => expect(state.plan.goal).toBeUndefined());
  });
});
