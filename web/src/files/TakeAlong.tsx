import { useMutation } from "@tanstack/react-query";
import { useRef } from "react";
import styled from "styled-components";
import { api, message, orProblem } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { useOpenAttempt } from "../attempt/AttemptPage";
import { say } from "../ui/notices";
import { Button, ButtonLink, Problem, Quiet, Small } from "../ui/primitives";
import { savePng } from "./png";

const Row = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 6px 0 14px;
`;

/** The attempt in open formats, out and in; the picture of the wake where there is one. */
export function TakeAlong({ wake }: { wake: boolean }) {
  const attempt = useOpenAttempt();
  const captions = useRef<HTMLInputElement>(null);
  const at = `/api/attempts/${attempt.id}/files`;
  const video = attempt.recordings.find((one) => one.goMs !== undefined);
  const times = video ? `?recording=${video.id}` : "";
  const png = useMutation({ mutationFn: () => savePng(`${at}/wake.svg`, `${attempt.athlete} wake.png`) });
  const takeIn = useMutation({
    mutationFn: async (file: File) =>
      orProblem(
        await api.POST("/api/attempts/{attemptId}/marks/captions", {
          params: { path: { attemptId: attempt.id } },
          body: { vtt: await file.text(), id: crypto.randomUUID(), ...(video && { recordingId: video.id }) },
        }),
      ),
    onSuccess: async () => {
      say("Captions imported as notes.");
      await queryClient.invalidateQueries({ queryKey: keys.attempt(attempt.id) });
    },
  });
  const link = (name: string, words: string, query = "") => (
    <ButtonLink to={`${at}/${name}${query}`} reloadDocument download>
      {words}
    </ButtonLink>
  );
  return (
    <>
      <Small as="p">For the athlete</Small>
      <Row>
        <ButtonLink to={`/attempts/${attempt.id}/card`}>The card</ButtonLink>
        {wake && link("wake.svg", "Gap chart (SVG)")}
        {wake && (
          <Button onPress={() => png.mutate()} isDisabled={png.isPending}>
            Gap chart (PNG)
          </Button>
        )}
      </Row>
      <Small as="p">
        Captions for the video (WebVTT){video ? `, in the times of ${video.label}` : ", on the workout clock"}
      </Small>
      <Row>
        {link("chapters.vtt", "Chapters", times)}
        {link("captions.vtt", "Rep counts and notes", times)}
        <Button onPress={() => captions.current?.click()} isDisabled={takeIn.isPending}>
          Import captions as notes
        </Button>
        <input
          ref={captions}
          type="file"
          accept=".vtt,text/vtt"
          hidden
          aria-label="Captions file"
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            event.target.value = "";
            if (chosen) takeIn.mutate(chosen);
          }}
        />
      </Row>
      <Small as="p">Spreadsheets (CSV) and data (JSON)</Small>
      <Row>
        {link("splits.csv", "Splits")}
        {link("sets.csv", "Sets")}
        {link("rounds.csv", "Rounds")}
        {link("lifts.csv", "Lifts")}
        {link("marks.csv", "Marks")}
        {link("attempt.json", "Whole attempt (JSON)")}
      </Row>
      <Quiet>
        Marks (CSV) and JSON can be imported again. JSON schema: <a href="/api/schema/wake-1.json">open</a>.
      </Quiet>
      {(png.isError || takeIn.isError) && (
        <Problem style={{ whiteSpace: "pre-line" }}>{message(png.error ?? takeIn.error)}</Problem>
      )}
    </>
  );
}
