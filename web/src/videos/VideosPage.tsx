import { useRef } from "react";
import styled from "styled-components";
import { message } from "../api/client";
import { many } from "../data/words";
import { Button, Page, PrimaryButton, Problem, Quiet, Sentence, Small } from "../ui/primitives";
import { VideoRows } from "./VideoRows";
import { useVideos } from "./useVideos";

const Tools = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 16px;
`;

/** A folder of videos: each becomes the recording of an attempt, as its name tells; confirmed before anything is made. */
export function VideosPage() {
  const videos = useVideos();
  const { rows, left, read, bring } = videos;
  const chooser = useRef<HTMLInputElement>(null);
  const folder = useRef<HTMLInputElement>(null);
  const ready = rows.filter((one) => one.wanted && !one.done).length;
  const take = (files: FileList | null) => {
    if (files && files.length > 0) read.mutate([...files]);
  };
  return (
    <Page>
      <title>Import videos · Wake</title>
      <Sentence>Import videos.</Sentence>
      <Quiet style={{ marginTop: 6 }}>
        Name files like “Maren – Lock Gate – 2026-10-03.mp4” and they are matched for you; fill in the rest below.
        Nothing is added until you import, and duplicates are skipped.
      </Quiet>
      <Tools>
        <PrimaryButton onPress={() => folder.current?.click()} isDisabled={bring.isPending}>
          Choose a folder
        </PrimaryButton>
        <Button onPress={() => chooser.current?.click()} isDisabled={bring.isPending}>
          Choose videos
        </Button>
      </Tools>
      <input
        ref={folder}
        type="file"
        hidden
        aria-label="Folder of videos"
        {...{ webkitdirectory: "" }}
        onChange={(event) => take(event.target.files)}
      />
      <input
        ref={chooser}
        type="file"
        hidden
        multiple
        accept="video/*"
        aria-label="Videos"
        onChange={(event) => take(event.target.files)}
      />
      {videos.problem && <Problem>{message(videos.problem)}</Problem>}
      {read.isSuccess && rows.length === 0 && <Quiet>No video among them.</Quiet>}
      {left > 0 && <Small as="p">{many(left, "other file")} skipped.</Small>}
      {rows.length > 0 && <VideoRows {...videos} />}
      {rows.length > 0 && (
        <Tools>
          <PrimaryButton onPress={() => bring.mutate()} isDisabled={bring.isPending || ready === 0}>
            {bring.isPending ? "Importing …" : `Import ${many(ready, "video")}`}
          </PrimaryButton>
          {bring.isPending && <Button onPress={() => videos.stop()}>Stop</Button>}
        </Tools>
      )}
    </Page>
  );
}
