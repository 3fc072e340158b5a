import { useMutation } from "@tanstack/react-query";
import styled from "styled-components";
import { api, type LiftReadingView, message, orProblem } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { Problem, Quiet, Small, SmallButton } from "../ui/primitives";
import { say } from "../ui/notices";

/** Sentences under each other, each with what can be done about it at its end. */
export const Entries = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 12px;
    align-items: baseline;
    padding: 9px 0;
    border-top: 1px solid var(--line);
  }
`;

/** Maxes that grow are offered, and noted only when asked. */
export function Maxes({ id, read }: { id: string; read: LiftReadingView }) {
  const note = useMutation({
    mutationFn: async (movement: string) =>
      orProblem(await api.POST("/api/attempts/{id}/lifts/maxes", { params: { path: { id } }, body: { movement } })),
    onSuccess: async (_, movement) => {
      say(`Max ${movement} saved on the athlete page.`);
      await queryClient.invalidateQueries({ queryKey: keys.athletes });
      await queryClient.invalidateQueries({ queryKey: keys.reading(id) });
      await queryClient.invalidateQueries({ queryKey: keys.plan(id) });
      await queryClient.invalidateQueries({ queryKey: keys.retest(id) });
    },
  });
  if (read.maxes.length === 0) return <Quiet>No lift was made.</Quiet>;
  return (
    <>
      <Entries>
        {read.maxes.map((max) => (
          <li key={max.movement}>
            <span style={{ flex: "1 1 14em" }}>
              {max.movement}: <strong>{max.load}</strong> made
              {max.known ? `; max ${max.known}` : "; no max on file"}
              {max.estimated && (
                <Small as="span" style={{ display: "block" }}>
                  {max.estimated}
                </Small>
              )}
            </span>
            {max.grows && (
              <SmallButton isDisabled={note.isPending} onPress={() => note.mutate(max.movement)}>
                Save {max.load} as max
              </SmallButton>
            )}
          </li>
        ))}
      </Entries>
      {note.isError && <Problem>{message(note.error)}</Problem>}
    </>
  );
}
