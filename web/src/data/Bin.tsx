import { useMutation, useQuery } from "@tanstack/react-query";
import { api, message, orProblem } from "../api/client";
import { say } from "../ui/notices";
import { Heading, Problem, Quiet, SmallButton, Table } from "../ui/primitives";
import { day } from "../ui/time";
import { type BinKind, bringBack, everythingAnew } from "./DeleteButton";
import { many } from "./words";

/** What was deleted: it can be brought back for thirty days, or removed for good at once. */
export function Bin() {
  const bin = useQuery({ queryKey: ["bin"], queryFn: async () => orProblem(await api.GET("/api/bin")) });
  const purge = useMutation({
    mutationFn: async ({ kind, id }: { kind: BinKind; id: string }) =>
      orProblem(await api.DELETE("/api/bin/{kind}/{id}", { params: { path: { kind, id } } })),
    onSuccess: async () => {
      say("Deleted permanently. Automatic copies hold it for up to seven more days.");
      await everythingAnew();
    },
  });
  const rows = bin.data ?? [];
  return (
    <section aria-label="Bin" style={{ marginTop: 32 }}>
      <Heading>Bin</Heading>
      {rows.length === 0 ? (
        <Quiet>Empty. Deleted items stay here for 30 days.</Quiet>
      ) : (
        <Table>
          <thead>
            <tr>
              <th>What</th>
              <th>Deleted</th>
              <th>Permanently on</th>
              <th>Action</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.id}>
                <td>
                  {NAMES[row.kind]}: {row.what}
                  {row.kind === "ATHLETE" && row.attempts > 0 && `, with ${many(row.attempts, "attempt")}`}
                  {row.kind === "WORKOUT" && row.attempts > 0 && `, still used by ${many(row.attempts, "attempt")}`}
                </td>
                <td>{day(row.deletedAt.slice(0, 10))}</td>
                <td>{row.kind === "WORKOUT" && row.attempts > 0 ? "when unused" : day(row.emptiesOn)}</td>
                <td>
                  <SmallButton onPress={() => void bringBack(row.kind, row.id)} aria-label={`Restore ${row.what}`}>
                    Restore
                  </SmallButton>{" "}
                  <SmallButton
                    onPress={() => purge.mutate(row)}
                    isDisabled={purge.isPending}
                    aria-label={`Delete ${row.what} permanently`}
                  >
                    Delete now
                  </SmallButton>
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      {purge.isError && <Problem>{message(purge.error)}</Problem>}
      {bin.isError && <Problem>{message(bin.error)}</Problem>}
    </section>
  );
}

const NAMES: Record<BinKind, string> = {
  ATHLETE: "Athlete",
  WORKOUT: "Workout",
  ATTEMPT: "Attempt",
  RECORDING: "Video",
};
