import { useMutation, useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { TextField } from "react-aria-components";
import styled from "styled-components";
import { api, type CardView, message, orProblem, problem } from "../api/client";
import { queryClient } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { saveBlob } from "../files/png";
import { Label, TextArea } from "../ui/fields";
import { say } from "../ui/notices";
import { Button, ButtonLink, Page, PrimaryButton, Problem, Quiet, Sentence, Small } from "../ui/primitives";
import { useDraft } from "../ui/useDraft";
import { Waiting } from "../ui/Waiting";
import { videoOf, stills } from "./stills";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 320px) minmax(0, 1fr);
  gap: 28px;
  margin-top: 20px;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Preview = styled.iframe`
  width: 100%;
  height: min(1100px, 80vh);
  border: 1px solid var(--line);
  border-radius: 6px;
  background: #f7f5f0;
`;

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
`;

const cardOf = (id: string) => ["attempt", id, "card"] as const;

/** What the athlete is handed: the coach's own words on top, the page below, as one file that opens anywhere. */
export function CardStep() {
  const { id } = useOpenAttempt();
  const card = useQuery({
    queryKey: cardOf(id),
    queryFn: async () => orProblem(await api.GET("/api/attempts/{id}/card", { params: { path: { id } } })),
  });
  if (!card.isSuccess) return <Waiting error={card.error} />;
  return <Made key={card.data.sentence} card={card.data} />;
}

function Made({ card }: { card: CardView }) {
  const attempt = useOpenAttempt();
  const path = { id: attempt.id };
  const frame = useRef<HTMLIFrameElement>(null);
  const [sentence, write, drop] = useDraft(`card ${attempt.id}`, card.sentence);
  const [pictures, setPictures] = useState(true);
  const video = videoOf(attempt);
  const keep = useMutation({
    mutationFn: async () =>
      orProblem(await api.PUT("/api/attempts/{id}/card", { params: { path }, body: { sentence } })),
    onSuccess: (kept) => {
      drop();
      queryClient.setQueryData(cardOf(attempt.id), kept);
    },
  });
  const take = useMutation({
    mutationFn: async () => {
      if (sentence !== card.sentence) await keep.mutateAsync();
      const body = { stills: pictures && video ? await stills(video, card.moments) : [] };
      const answer = await fetch(`/api/attempts/${attempt.id}/card/file`, {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify(body),
      });
      if (!answer.ok) throw problem(answer.status, await answer.json().catch(() => undefined));
      saveBlob(await answer.blob(), `${attempt.athlete}, ${attempt.title}, ${attempt.doneOn}.html`);
    },
    onSuccess: () => say("The card is among your downloads: one file that opens without a connection."),
  });
  return (
    <Page>
      <Sentence>A card for {attempt.athlete}</Sentence>
      <Quiet style={{ marginTop: 6 }}>One page about this attempt only. Print it, or download a file to send.</Quiet>
      <Columns>
        <div style={{ display: "grid", gap: 14, alignContent: "start" }}>
          <TextField value={sentence} onChange={write}>
            <Label>Your own words, on top</Label>
            <TextArea rows={5} maxLength={1000} />
          </TextField>
          <Tools>
            <Button onPress={() => keep.mutate()} isDisabled={keep.isPending || sentence === card.sentence}>
              Update card
            </Button>
          </Tools>
          {video && card.moments.length > 0 && (
            <label>
              <input type="checkbox" checked={pictures} onChange={(event) => setPictures(event.target.checked)} />{" "}
              Include photos of key moments
            </label>
          )}
          <Tools>
            <PrimaryButton onPress={() => take.mutate()} isDisabled={take.isPending}>
              {take.isPending ? "Making the card …" : "Download card (HTML)"}
            </PrimaryButton>
            <Button onPress={() => frame.current?.contentWindow?.print()}>Print</Button>
            <ButtonLink to={`/attempts/${attempt.id}/reading`}>Back to review</ButtonLink>
          </Tools>
          {(keep.isError || take.isError) && <Problem>{message(keep.error ?? take.error)}</Problem>}
          <Small as="p">The retest plan comes from the Retest step. The date allows for recovery and any injury.</Small>
        </div>
        <Preview ref={frame} title="The card" srcDoc={card.html} sandbox="allow-same-origin allow-modals" />
      </Columns>
    </Page>
  );
}
