import { type SyntheticEvent, useState } from "react";
import { TextField } from "react-aria-components";
import type { MarkView } from "../api/client";
import { Input, Label } from "../ui/fields";
import { Button, PrimaryButton, Quiet } from "../ui/primitives";
import { clock } from "../ui/time";
import { readClock } from "./Chosen";
import { KINDS } from "./kinds";

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
        <Label>Time on the gym clock (e.g. 3:07 or 3:07.5)</Label>
        <Input style={{ width: 140 }} />
      </TextField>
      <div>
        <PrimaryButton type="submit" isDisabled={!read}>
          Sync to it
        </PrimaryButton>
      </div>
      {match ? (
        <div>
          <Quiet style={{ marginBottom: 8 }}>
            Or sync: this is the moment of the selected {KINDS[match.kind]} at {clock(match.clockMs ?? 0)}.
          </Quiet>
          <Button onPress={onMatch}>It happens here</Button>
        </div>
      ) : (
        <Quiet>
          For a second camera: select a mark made on the first, switch cameras, find the same moment, and open this
          again.
        </Quiet>
      )}
    </form>
  );
}
