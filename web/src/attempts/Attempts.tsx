import { useQuery } from "@tanstack/react-query";
import { useDeferredValue } from "react";
import { Link, useSearchParams } from "react-router";
import styled from "styled-components";
import { api, message, orProblem, type TodayRow } from "../api/client";
import { keys, useAthletes } from "../api/queries";
import { Input } from "../ui/fields";
import { Button, ButtonLink, Page, Problem, Quiet, Select, Sentence, Small, stacked, Table } from "../ui/primitives";
import { day } from "../ui/time";
import { WakeLine } from "../ui/WakeLine";
import { stepOf } from "./stepOf";

const Filters = styled.search`
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: end;
  margin: 20px 0 12px;
  label {
    display: grid;
    gap: 4px;
    font-size: 13px;
    color: var(--ink-2);
    max-width: 100%;
  }
`;

const List = styled(Table)`
  td,
  th {
    text-align: left;
  }
  td:nth-child(4) {
    width: 26%;
  }
  ${stacked}
`;

const Pages = styled.nav`
  display: flex;
  gap: 10px;
  align-items: center;
  margin-top: 14px;
`;

const PLACES = [
  ["TO_REVIEW", "to review"],
  ["PLANNED", "upcoming"],
  ["RETEST_DUE", "retests due"],
  ["REVIEWED", "read"],
  ["CHECKED", "retests done"],
] as const;

const ORDERS = [
  ["LATEST", "latest first"],
  ["EARLIEST", "earliest first"],
  ["ATHLETE", "by athlete"],
  ["WORKOUT", "by workout"],
] as const;

/** All attempts: searched, filtered and sorted, a page at a time. What is looked for stands in the address. */
export function Attempts() {
  const [search, setSearch] = useSearchParams();
  const athletes = useAthletes();
  const set = (name: string, value: string) =>
    setSearch(
      (old) => {
        const now = new URLSearchParams(old);
        if (value) now.set(name, value);
        else now.delete(name);
        if (name !== "page") now.delete("page");
        return now;
      },
      { replace: true },
    );
  const query = useDeferredValue(Object.fromEntries(search));
  const page = useQuery({
    queryKey: [...keys.today, "list", query],
    placeholderData: (previous) => previous,
    refetchInterval: ({ state }) => ((state.data?.beingRead ?? 0) > 0 ? 1000 : false),
    queryFn: async () => orProblem(await api.GET("/api/attempts", { params: { query } })),
  });
  const filtered = [...search.keys()].some((name) => name !== "page" && name !== "order");
  return (
    <Page>
      <title>All attempts · Wake</title>
      <Sentence>{page.data ? found(page.data.total, filtered) : "All attempts."}</Sentence>
      <Filters aria-label="Attempts">
        <label>
          Athlete or workout
          <Input value={search.get("words") ?? ""} onChange={(event) => set("words", event.target.value)} />
        </label>
        <label>
          Athlete
          <Select value={search.get("athlete") ?? ""} onChange={(event) => set("athlete", event.target.value)}>
            <option value="">all</option>
            {athletes.data?.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Select>
        </label>
        <label>
          Stage
          <Select value={search.get("place") ?? ""} onChange={(event) => set("place", event.target.value)}>
            <option value="">all</option>
            {PLACES.map(([place, name]) => (
              <option key={place} value={place}>
                {name}
              </option>
            ))}
          </Select>
        </label>
        <label>
          From
          <Input type="date" value={search.get("from") ?? ""} onChange={(event) => set("from", event.target.value)} />
        </label>
        <label>
          To
          <Input type="date" value={search.get("to") ?? ""} onChange={(event) => set("to", event.target.value)} />
        </label>
        <label>
          Order
          <Select value={search.get("order") ?? "LATEST"} onChange={(event) => set("order", event.target.value)}>
            {ORDERS.map(([order, name]) => (
              <option key={order} value={order}>
                {name}
              </option>
            ))}
          </Select>
        </label>
        {filtered && <Button onPress={() => setSearch({}, { replace: true })}>All</Button>}
      </Filters>
      {page.isError && <Problem>{message(page.error)}</Problem>}
      {(page.data?.beingRead ?? 0) > 0 && (
        <Quiet role="status">Still working through {page.data?.beingRead} attempts; they appear as they finish.</Quiet>
      )}
      {page.data?.total === 0 &&
        (filtered ? (
          <Quiet>No attempts match. Remove a word or a filter.</Quiet>
        ) : (
          <ButtonLink to="/attempts/new">Add the first attempt</ButtonLink>
        ))}
      {page.data && page.data.rows.length > 0 && (
        <List aria-label="Attempts">
          <thead>
            <tr>
              <th>Athlete and workout</th>
              <th>Date</th>
              <th>Score</th>
              <th>Gap</th>
              <th>Summary</th>
            </tr>
          </thead>
          <tbody>
            {page.data.rows.map((row) => (
              <Row key={row.id} row={row} />
            ))}
          </tbody>
        </List>
      )}
      {page.data && page.data.pages > 1 && (
        <Pages aria-label="Pages">
          <Button isDisabled={page.data.page === 1} onPress={() => set("page", `${page.data.page - 1}`)}>
            Before
          </Button>
          <span>
            {page.data.page} of {page.data.pages}
          </span>
          <Button isDisabled={page.data.page === page.data.pages} onPress={() => set("page", `${page.data.page + 1}`)}>
            After
          </Button>
        </Pages>
      )}
    </Page>
  );
}

function Row({ row }: { row: TodayRow }) {
  return (
    <tr>
      <td>
        <Link to={`/attempts/${row.id}/${stepOf(row)}`}>
          {row.athlete} · {row.title}
        </Link>{" "}
        <Small>
          {row.division}
          {row.retestOf && " retest"}
        </Small>
      </td>
      <td data-label="Date" style={{ whiteSpace: "nowrap" }}>
        {day(row.doneOn)}
      </td>
      <td data-label="Score" style={{ whiteSpace: "nowrap", fontWeight: 600 }}>
        {row.score || "–"}
      </td>
      <td>{row.wake.length > 1 && <WakeLine points={row.wake} />}</td>
      <td data-label="Summary">
        <Small>{row.says}</Small>
      </td>
    </tr>
  );
}

function found(total: number, filtered: boolean): string {
  if (total === 0) return filtered ? "No attempts match." : "No attempts yet.";
  const count = total === 1 ? "1 attempt" : `${total.toLocaleString("en-GB")} attempts`;
  return filtered ? `${count} found.` : `${count}.`;
}
