import { useMutation } from "@tanstack/react-query";
import { useRef } from "react";
import { Link } from "react-router";
import { message, problem } from "../api/client";
import type { components } from "../api/schema";
import { queryClient } from "../api/queries";
import { say } from "../ui/notices";
import { Button, ButtonLink, Heading, Problem, Quiet, Small } from "../ui/primitives";
import { many } from "./words";

type Taken = components["schemas"]["Taken"];

/** Everything as JSON, out and in, and videos from a folder. */
export function OpenFormats() {
  const file = useRef<HTMLInputElement>(null);
  const takeIn = useMutation({
    mutationFn: async (chosen: File): Promise<Taken> => {
      const answer = await fetch("/api/data/import", {
        method: "POST",
        headers: { "content-type": "application/octet-stream" },
        body: chosen,
      });
      const body: unknown = await answer.json().catch(() => undefined);
      if (!answer.ok) throw problem(answer.status, body);
      return body as Taken;
    },
    onSuccess: async (taken) => {
      say(told(taken));
      await queryClient.invalidateQueries();
    },
  });
  return (
    <section aria-label="Open formats" style={{ marginTop: 32 }}>
      <Heading>Export and import</Heading>
      <Quiet>
        Everything except video files, as JSON. Importing it into another Wake adds what is missing and changes nothing
        that is there. An attempt’s sheets, captions and pictures are on its Reading; an athlete’s JSON on their page.
      </Quiet>
      <p style={{ display: "flex", flexWrap: "wrap", gap: 8, marginTop: 10 }}>
        <ButtonLink to="/api/data/everything.json" reloadDocument download>
          Everything (JSON)
        </ButtonLink>
        <Button onPress={() => file.current?.click()} isDisabled={takeIn.isPending}>
          {takeIn.isPending ? "Importing …" : "Import JSON"}
        </Button>
        <ButtonLink to="/attempts/films">Import videos</ButtonLink>
      </p>
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        hidden
        aria-label="JSON file"
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = "";
          if (chosen) takeIn.mutate(chosen);
        }}
      />
      <Small as="p" style={{ marginTop: 6 }}>
        Its schema:{" "}
        <Link to="/api/schema/wake-1.json" reloadDocument>
          JSON Schema 2020-12
        </Link>
        .
      </Small>
      {takeIn.isError && <Problem style={{ whiteSpace: "pre-line" }}>{message(takeIn.error)}</Problem>}
      {takeIn.data && <Quiet role="status">{told(takeIn.data)}</Quiet>}
    </section>
  );
}

function told({ athletes, workouts, attempts, known, videos }: Taken): string {
  const came = `Imported: ${many(athletes, "athlete")}, ${many(workouts, "workout")}, ${many(attempts, "attempt")}.`;
  const there = known > 0 ? ` ${known} were here already.` : "";
  const without = videos > 0 ? ` ${many(videos, "video")} came without the file. Add it on the log.` : "";
  return came + there + without;
}
