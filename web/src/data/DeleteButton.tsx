import { useMutation } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { api, message, orProblem } from "../api/client";
import { queryClient } from "../api/queries";
import { say } from "../ui/notices";
import { Button } from "../ui/primitives";
import { capital } from "../ui/time";

export type BinKind = "ATHLETE" | "WORKOUT" | "ATTEMPT" | "RECORDING";

interface Props {
  kind: BinKind;
  id: string;
  what: string;
  onDeleted: () => void;
  children: ReactNode;
}

/** Puts something into the bin, and offers the way back. */
export function DeleteButton({ kind, id, what, onDeleted, children }: Props) {
  const remove = useMutation({
    mutationFn: async () => orProblem(await api.POST("/api/bin/{kind}/{id}", { params: { path: { kind, id } } })),
    onSuccess: () => {
      say(`${capital(what)} deleted. In the bin for 30 days.`, { words: "Undo", act: () => void bringBack(kind, id) });
      onDeleted();
      return everythingAnew();
    },
    onError: (error) => say(message(error)),
  });
  return (
    <Button onPress={() => remove.mutate()} isDisabled={remove.isPending}>
      {children}
    </Button>
  );
}

export async function bringBack(kind: BinKind, id: string): Promise<void> {
  try {
    orProblem(await api.POST("/api/bin/{kind}/{id}/restore", { params: { path: { kind, id } } }));
    say("Restored.");
  } catch (error) {
    say(message(error));
  }
  await everythingAnew();
}

/** What was deleted or brought back may show anywhere. */
export async function everythingAnew(): Promise<void> {
  await queryClient.invalidateQueries();
}
