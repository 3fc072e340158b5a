import { useMutation } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { api, message, orProblem } from "../api/client";
import { keys, queryClient } from "../api/queries";
import { DeleteButton } from "../data/DeleteButton";
import { Button, Page, Problem, Quiet, Sentence } from "../ui/primitives";

/** An attempt whose own text cannot be read: what can be done about it. */
export function Unreadable({ id, why }: { id: string; why: string }) {
  const navigate = useNavigate();
  const renew = useMutation({
    mutationFn: async () => orProblem(await api.POST("/api/attempts/{id}/entry/renew", { params: { path: { id } } })),
    onSuccess: async (view) => {
      queryClient.setQueryData(keys.attempt(id), view);
      await queryClient.invalidateQueries({ queryKey: keys.today });
    },
  });
  return (
    <Page>
      <title>Attempt that cannot be read · Wake</title>
      <Sentence>This attempt cannot be read.</Sentence>
      <Problem style={{ marginTop: 12 }}>{why}</Problem>
      <Quiet style={{ margin: "12px 0 20px" }}>Its marks are safe. Fix the workout under Workouts, then:</Quiet>
      <Button onPress={() => renew.mutate()} isDisabled={renew.isPending}>
        Use the workout as it is now
      </Button>{" "}
      <DeleteButton kind="ATTEMPT" id={id} what="the attempt that cannot be read" onDeleted={() => void navigate("/")}>
        Delete attempt
      </DeleteButton>
      {renew.isError && <Problem style={{ marginTop: 12 }}>{message(renew.error)}</Problem>}
    </Page>
  );
}
