import { message } from "../api/client";
import { Page, Problem } from "./primitives";

/** What a screen shows until its data is there: nothing yet, or why it cannot come. */
export function Waiting({ error }: { error: Error | null }) {
  return error ? (
    <Page>
      <Problem>{message(error)}</Problem>
    </Page>
  ) : (
    <Page aria-busy />
  );
}
