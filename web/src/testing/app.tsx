import { QueryClientProvider } from "@tanstack/react-query";
import { render } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { queryClient } from "../api/queries";

/** Draws something as it stands in the application: with its answers of the server and its addresses. */
export function renderInApp(element: ReactNode, address = "/") {
  return render(
    <QueryClientProvider client={queryClient}>
      <MemoryRouter initialEntries={[address]}>{element}</MemoryRouter>
    </QueryClientProvider>,
  );
}
