import { QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { describe, expect, it, vi } from "vitest";
import { api, type RetestRequest, type RetestView } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { useRetestEdits } from "./useRetestEdits";

const view = (goal: string, version: number) => ({ chosen: { changes: [], goal }, version }) as unknown as RetestView;

const within = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={queryClient}>{children}</QueryClientProvider>
);

describe("changing a call", () => {
  it("undoes the edit that is still under way, not the one before it", async () => {
    const sent: string[] = [];
    const answers: (() => void)[] = [];
    vi.spyOn(api, "PUT").mockImplementation(((_: string, { body }: { body: RetestRequest }) => {
      sent.push(body.goal ?? "");
      const data = view(body.goal ?? "", sent.length);
      return new Promise((resolve) => answers.push(() => resolve({ data, response: new Response() })));
    }) as never);
    const answer = async () => {
      await waitFor(() => expect(answers).toHaveLength(1));
      act(() => answers.shift()?.());
    };
    queryClient.setQueryData(keys.retest("a"), view("first", 0));
    const { result } = renderHook(() => useRetestEdits("a", view("first", 0)), { wrapper: within });
    act(() => void result.current.keep({ goal: "second" }));
    await answer();
    await waitFor(() => expect(result.current.canUndo).toBe(true));
    act(() => void result.current.keep({ goal: "third" }));
    act(() => result.current.undo());
    await answer();
    await answer();
    expect(sent).toEqual(["second", "third", "second"]);
    act(() => result.current.undo());
    await answer();
    expect(sent.at(-1)).toBe("first");
    await waitFor(() => expect(result.current.canUndo).toBe(false));
  });
});
