import { type SyntheticEvent, useState } from "react";
import { TextField } from "react-aria-components";
import type { MarkView } from "../api/client";
import { Input, Label } from "../ui/fields";
import { Button, PrimaryButton, Quiet } from "../ui/primitives";
import { clock } from "../ui/time";
import { readClock } from "./Chosen";

interface Props {
  /** A mark made on another camera, to be found on this one. */
  match: MarkView | undefined;
  onShows: (clockMs: number, step: number) => void;
  onMatch: () => void;
}

/** Sets the clock from what the picture shows, or from a moment known from another camera. */
export function ClockBox({ match, onShows, onMatch }: Props) {
  const [text, setText] = useState("");
  const read = readClock(text);
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    if (read) onShows(read.ms, read.step);
  };
  return (
    <form onSubmit={submit} style={{ display: "grid", gap: 14 }}>
      <TextField value={text} onChange={setText} autoFocus>
        <Label>The workout clock in the picture shows, as 3:07 or 3:07.5</Label>
        <Input style={{ width: 140 }} />
      </TextField>
      <div>
        <PrimaryButton type="submit" isDisabled={!read}>
          Set the clock by it
        </PrimaryButton>
      </div>
      {match ? (
        <div>
          <Quiet style={{ marginBottom: 8 }}>
            Or match: this is the moment of the chosen {match.kind.toLowerCase().replace("_", "-")} at{" "}
            {clock(match.clockMs ?? 0)}.
          </Quiet>
          <Button onPress={onMatch}>It happens here</Button>
        </div>
      ) : (
        <Quiet>
          For a second camera: choose a mark made on the first, switch cameras, find the same moment, and open this
          again.
        </Quiet>
      )}
    </form>
  );
}
