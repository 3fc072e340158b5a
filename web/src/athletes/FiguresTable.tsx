import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import { api, type AthletePageView, type FigureView, message, orProblem } from "../api/client";
import { queryClient } from "../api/queries";
import { say } from "../ui/notices";
import { Button, PrimaryButton, Problem, Quiet, Small, SmallButton, stacked, Table } from "../ui/primitives";
import { day } from "../ui/time";
import { FiguresField } from "./FiguresField";

const FigureRows = styled(Table)`
  ${stacked}
  font-size: 14px;
  td,
  th {
    text-align: left;
  }
`;

const KINDS: Record<FigureView["kind"], string> = {
  MAX: "max",
  UNBROKEN: "unbroken",
  BEST: "best",
  TEST: "test",
  TECHNIQUE: "technique",
  LIMITER: "limiter",
  GOAL: "goal",
};

/** More of those shown in attempts than these are folded. */
const SHOWN = 6;

/** Maxes, tests and unbroken sets: noted by the coach, typed as text, and shown in attempts. */
export function FiguresTable({ page }: { page: AthletePageView }) {
  const [text, setText] = useState<string>();
  const [all, setAll] = useState(false);
  const refresh = async () => {
    await queryClient.invalidateQueries({ queryKey: ["athletes"] });
    await queryClient.invalidateQueries({ queryKey: ["attempt"], refetchType: "none" });
  };
  const keep = useMutation({
    mutationFn: async (figures: string) =>
      orProblem(await api.PUT("/api/athletes/{id}", { params: { path: { id: page.id } }, body: { figures } })),
    onSuccess: async () => {
      setText(undefined);
      say("Bests saved.");
      await refresh();
    },
  });
  const note = useMutation({
    mutationFn: async (line: string) =>
      orProblem(await api.POST("/api/athletes/{id}/figures", { params: { path: { id: page.id } }, body: { line } })),
    onSuccess: async (_, line) => {
      const before = page.figures;
      say(`Saved: ${line}.`, { words: "Undo", act: () => keep.mutate(before) });
      await refresh();
    },
  });
  if (text !== undefined) {
    return (
      <>
        <FiguresField value={text} onChange={setText} />
        <p style={{ marginTop: 8 }}>
          <PrimaryButton onPress={() => keep.mutate(text)} isDisabled={keep.isPending}>
            Save bests
          </PrimaryButton>{" "}
          <Button onPress={() => setText(undefined)}>Cancel</Button>
        </p>
        {keep.isError && <Problem style={{ whiteSpace: "pre-line" }}>{message(keep.error)}</Problem>}
      </>
    );
  }
  const shown = all ? page.shown : page.shown.slice(0, SHOWN);
  const rows = [...page.noted, ...shown];
  return (
    <>
      {page.problems.map((problem) => (
        <Problem key={problem}>{problem}</Problem>
      ))}
      {rows.length === 0 && <Quiet>Nothing on file yet.</Quiet>}
      {rows.length > 0 && (
        <FigureRows aria-label="Figures">
          <thead>
            <tr>
              <th>What</th>
              <th>Value</th>
              <th>Date</th>
              <th>Source</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((figure) => (
              <tr key={`${figure.line} ${figure.kind} ${figure.movement} ${figure.origin}`}>
                <td>
                  <Small>{KINDS[figure.kind]}</Small> {figure.movement}
                </td>
                <td data-label="Value">{figure.value}</td>
                <td data-label="Date" style={{ whiteSpace: "nowrap" }}>
                  {figure.on ? day(figure.on) : ""}
                </td>
                <td data-label="Source">
                  {figure.attemptId ? (
                    <Link to={`/attempts/${figure.attemptId}/reading`}>{figure.origin}</Link>
                  ) : (
                    <Small>{figure.origin}</Small>
                  )}{" "}
                  {figure.grows && figure.asLine && (
                    <SmallButton
                      onPress={() => note.mutate(figure.asLine ?? "")}
                      aria-label={`Save ${figure.asLine}`}
                      isDisabled={note.isPending}
                    >
                      New best: save it
                    </SmallButton>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </FigureRows>
      )}
      <p style={{ marginTop: 8 }}>
        <SmallButton onPress={() => setText(page.figures)}>Edit as text</SmallButton>{" "}
        {page.shown.length > SHOWN && (
          <SmallButton onPress={() => setAll(!all)}>
            {all ? "Show less" : `All ${page.shown.length} from attempts`}
          </SmallButton>
        )}
      </p>
      {(note.isError || keep.isError) && <Problem>{message(note.error ?? keep.error)}</Problem>}
      {page.advice.map((line) => (
        <Small as="p" key={line}>
          {line}
        </Small>
      ))}
    </>
  );
}
