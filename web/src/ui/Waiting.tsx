import { message } from "../api/client";
import { ButtonLink, Page, Problem, Sentence } from "./primitives";

/** What a screen shows until its data is there: nothing yet, or why it cannot come. */
export function Waiting({ error }: { error: Error | null }) {
  return error ? (
    <Page>
      <title>Not opened · Wake</title>
      <Sentence>Couldn’t open this.</Sentence>
      <Problem style={{ margin: "12px 0 20px" }}>{message(error)}</Problem>
      <ButtonLink to="/">Go to Today</ButtonLink>
    </Page>
  ) : (
    <Page aria-busy />
  );
}
