import { useQuery } from "@tanstack/react-query";
import { api, message, orProblem } from "../api/client";
import { Button, ButtonLink, Caution, Heading, Page, Problem, Quiet, Sentence, Small } from "../ui/primitives";
import { Bin } from "./Bin";
import { GymSettings } from "./GymSettings";
import { OpenFormats } from "./OpenFormats";
import { RestoreBox } from "./RestoreBox";
import { bytes } from "./words";

/** Where the data lies and how to keep it, open formats out and in, and what is chosen for the whole gym. */
export function DataPage() {
  const data = useQuery({
    queryKey: ["data"],
    queryFn: async () => orProblem(await api.GET("/api/data")),
  });
  const view = data.data;
  return (
    <Page>
      <title>Data · Wake</title>
      <Sentence>{view ? `Everything is in one folder on this machine.` : "The data."}</Sentence>
      {view && (
        <Quiet style={{ marginTop: 8 }}>
          <code>{view.folder}</code>: {bytes(view.databaseBytes)} of data, {bytes(view.recordingsBytes)} of videos. Wake
          copies the data once a day and before anything is upgraded or replaced.
        </Quiet>
      )}
      {data.isError && <Problem>{message(data.error)}</Problem>}
      {view?.said && <Caution style={{ marginTop: 12 }}>{view.said}</Caution>}
      {view?.open && (
        <form method="post" action="/leave" style={{ marginTop: 24 }}>
          <Quiet>Wake is open to this network. Leave when you are done on a machine that others use.</Quiet>
          <p style={{ marginTop: 8 }}>
            <Button type="submit">Leave</Button>
          </p>
        </form>
      )}
      <section aria-label="Backup" style={{ marginTop: 32 }}>
        <Heading>Download a backup</Heading>
        <Quiet>One file with everything, integrity-checked. It contains private athlete data: store it safely.</Quiet>
        <p style={{ display: "flex", flexWrap: "wrap", gap: 8, marginTop: 10 }}>
          <ButtonLink to="/api/data/backup?recordings=true" reloadDocument download>
            Download with videos
          </ButtonLink>
          <ButtonLink to="/api/data/backup" reloadDocument download>
            Download without videos
          </ButtonLink>
        </p>
        <Small as="p" style={{ marginTop: 6 }}>
          Or without this page: <code>./wake backup gym.zip</code>
        </Small>
      </section>
      <RestoreBox copies={view?.copies ?? []} />
      <Bin />
      <OpenFormats />
      <GymSettings />
    </Page>
  );
}
