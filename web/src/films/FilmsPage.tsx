import { useRef } from "react";
import styled from "styled-components";
import { message } from "../api/client";
import { many } from "../data/words";
import { Button, Page, PrimaryButton, Problem, Quiet, Sentence, Small } from "../ui/primitives";
import { FilmRows } from "./FilmRows";
import { useFilms } from "./useFilms";

const Tools = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 16px;
`;

/** A folder of films: each becomes the recording of an attempt, as its name tells; confirmed before anything is made. */
export function FilmsPage() {
  const films = useFilms();
  const { rows, left, read, bring } = films;
  const chooser = useRef<HTMLInputElement>(null);
  const folder = useRef<HTMLInputElement>(null);
  const ready = rows.filter((one) => one.wanted && !one.done).length;
  const take = (files: FileList | null) => {
    if (files && files.length > 0) read.mutate([...files]);
  };
  return (
    <Page>
      <title>Films · Wake</title>
      <Sentence>Bring in a folder of films.</Sentence>
      <Quiet style={{ marginTop: 6 }}>
        Names like “Maren – Lock Gate – 2026-10-03.mp4” say whose it is, at what, on which day; in any order, cut short
        as you like. What a name does not say is chosen here. Nothing is made before you bring them in, and a film that
        is here already is not brought twice.
      </Quiet>
      <Tools>
        <PrimaryButton onPress={() => folder.current?.click()} isDisabled={bring.isPending}>
          Choose a folder
        </PrimaryButton>
        <Button onPress={() => chooser.current?.click()} isDisabled={bring.isPending}>
          Choose films
        </Button>
      </Tools>
      <input
        ref={folder}
        type="file"
        hidden
        aria-label="Folder of films"
        {...{ webkitdirectory: "" }}
        onChange={(event) => take(event.target.files)}
      />
      <input
        ref={chooser}
        type="file"
        hidden
        multiple
        accept="video/*"
        aria-label="Films"
        onChange={(event) => take(event.target.files)}
      />
      {films.problem && <Problem>{message(films.problem)}</Problem>}
      {read.isSuccess && rows.length === 0 && <Quiet>There is no film among them.</Quiet>}
      {left > 0 && <Small as="p">{many(left, "other file")} left alone.</Small>}
      {rows.length > 0 && <FilmRows {...films} />}
      {rows.length > 0 && (
        <Tools>
          <PrimaryButton onPress={() => bring.mutate()} isDisabled={bring.isPending || ready === 0}>
            {bring.isPending ? "Bringing them in …" : `Bring in ${many(ready, "film")}`}
          </PrimaryButton>
          {bring.isPending && <Button onPress={() => films.stop()}>Stop</Button>}
        </Tools>
      )}
    </Page>
  );
}
