import { cleanup } from "@testing-library/react";
import { afterEach, vi } from "vitest";
import { queryClient } from "../api/queries";

/** The files of tests share one set of modules and one document: each test leaves them as it found them. */
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
  queryClient.clear();
  localStorage.clear();
});
