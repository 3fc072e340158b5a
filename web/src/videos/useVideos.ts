import { useMutation } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { api, type VideoNameView, message, orProblem } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { upload } from "../log/upload";

/** What videos are called; everything else in a folder is left alone. */
const VIDEO = /\.(mp4|m4v|mov|webm|mkv|avi|mpe?g|3gp)$/i;
const MOST = 500;

interface Row {
  file: File;
  told: VideoNameView;
  division: string;
  wanted: boolean;
  /** How far it is, or how it came out. */
  going: string;
  done: boolean;
}

type Told = Partial<Pick<VideoNameView, "athleteId" | "workoutId" | "doneOn">>;

export type Videos = ReturnType<typeof useVideos>;

/** Videos chosen, what their names tell, and bringing them in one after the other. */
export function useVideos() {
  const [rows, setRows] = useState<Row[]>([]);
  const [left, setLeft] = useState(0);
  const stop = useRef<AbortController>(undefined);
  const stopped = () => stop.current?.signal.aborted ?? false;
  const change = (index: number, some: Partial<Row>) =>
    setRows((old) => old.map((row, at) => (at === index ? { ...row, ...some } : row)));

  const ask = async (
    videos: { name: string; sizeBytes: number; athleteId?: string; workoutId?: string; doneOn?: string }[],
  ) => orProblem(await api.POST("/api/films/names", { body: { videos } }));

  const read = useMutation({
    mutationFn: async (files: File[]) => {
      const videos = files.filter((file) => VIDEO.test(file.name)).slice(0, MOST);
      setLeft(files.length - videos.length);
      const told =
        videos.length > 0 ? await ask(videos.map((file) => ({ name: file.name, sizeBytes: file.size }))) : [];
      setRows(
        videos.flatMap((file, index) => {
          const one = told[index];
          return one ? [row(file, one)] : [];
        }),
      );
    },
  });

  const tell = useMutation({
    mutationFn: async ({ index, some }: { index: number; some: Told }) => {
      const before = rows[index];
      if (!before) return;
      const { athleteId, workoutId, doneOn } = { ...before.told, ...some };
      const [now] = await ask([
        {
          name: before.file.name,
          sizeBytes: before.file.size,
          ...(athleteId && { athleteId }),
          ...(workoutId && { workoutId }),
          ...(doneOn && { doneOn }),
        },
      ]);
      if (now) change(index, { ...row(before.file, now), going: "" });
    },
  });

  const bring = useMutation({
    mutationFn: async () => {
      stop.current = new AbortController();
      const { signal } = stop.current;
      for (const [index, { file, told, division, wanted, done }] of rows.entries()) {
        if (!wanted || done || stopped()) continue;
        try {
          const attemptId = told.attemptId ?? (await enter(told, division));
          change(index, { told: { ...told, attemptId }, going: "uploading" });
          await upload({
            attemptId,
            file,
            recordingId: told.recordingId,
            storage: localStorage,
            signal,
            onGoing: ({ share, doing }) =>
              change(index, { going: doing === "converting" ? "being converted" : `${Math.round(100 * share)}%` }),
          });
          change(index, { going: "here", done: true });
        } catch (error) {
          change(index, { going: stopped() ? "stopped. Choose it again to resume" : message(error) });
          if (stopped()) break;
        }
      }
      await queryClient.invalidateQueries({ queryKey: keys.today });
      await queryClient.invalidateQueries({ queryKey: ["attempt"] });
    },
  });
  return {
    rows,
    left,
    change,
    read,
    tell: (what: { index: number; some: Told }) => tell.mutate(what),
    bring,
    isBusy: bring.isPending,
    problem: read.error ?? tell.error,
    stop: () => stop.current?.abort(),
  };
}

function row(file: File, told: VideoNameView): Row {
  return {
    file,
    told,
    division: told.divisions[0] ?? "",
    wanted: !told.here && told.problem === "",
    going: "",
    done: false,
  };
}

/** Enters the attempt a video is of. */
async function enter({ athleteId, workoutId, doneOn }: VideoNameView, division: string): Promise<string> {
  const id = crypto.randomUUID();
  orProblem(
    await api.PUT("/api/attempts/{id}", {
      params: { path: { id } },
      body: {
        athleteId: athleteId ?? "",
        workoutId: workoutId ?? "",
        doneOn: doneOn ?? "",
        division,
        part: 0,
        cutInto: 1,
      },
    }),
  );
  return id;
}
