import { useMutation } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useParams } from "react-router";
import { message, type RecordingView } from "../api/client";
import { type Going, upload } from "../log/upload";
import { Button, Problem } from "../ui/primitives";

interface Props {
  recording: RecordingView;
  onHere: () => void;
}

/** A video that came without its file, as with data from elsewhere: its marks are there, and the file can be brought after. */
export function MissingVideo({ recording, onHere }: Props) {
  const { id: attemptId = "" } = useParams();
  const chooser = useRef<HTMLInputElement>(null);
  const [going, setGoing] = useState<Going>();
  const send = useMutation({
    mutationFn: (file: File) =>
      upload({
        attemptId,
        file,
        recordingId: recording.id,
        storage: localStorage,
        signal: new AbortController().signal,
        onGoing: setGoing,
      }),
    onSuccess: onHere,
  });
  return (
    <div style={{ padding: 24 }}>
      <p>The video “{recording.label}” came without its file. Its marks are here; the picture is not.</p>
      <p style={{ marginTop: 10 }}>
        <Button onPress={() => chooser.current?.click()} isDisabled={send.isPending}>
          {send.isPending ? `Uploading, ${Math.round(100 * (going?.share ?? 0))}%` : "Add the file"}
        </Button>
      </p>
      <input
        ref={chooser}
        type="file"
        accept="video/*"
        hidden
        aria-label={`File of ${recording.label}`}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = "";
          if (chosen) send.mutate(chosen);
        }}
      />
      {send.isError && <Problem>{message(send.error)}</Problem>}
    </div>
  );
}
