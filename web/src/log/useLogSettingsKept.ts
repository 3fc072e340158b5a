import { useMutation } from "@tanstack/react-query";
import { api, type LogSettings, message, orProblem } from "../api/client";
import { keys, queryClient, useLogSettings } from "../api/queries";

const NONE: LogSettings = { keys: {}, phrases: [] };

/** The coach's keys and phrases, kept on the server. */
export function useLogSettingsKept() {
  const query = useLogSettings();
  const save = useMutation({
    mutationFn: async (settings: LogSettings) => orProblem(await api.PUT("/api/settings/log", { body: settings })),
    onSuccess: (settings) => queryClient.setQueryData(keys.logSettings, settings),
  });
  return {
    settings: query.data ?? NONE,
    keep: (settings: LogSettings) => save.mutate(settings),
    problem: save.error ? message(save.error) : undefined,
  };
}
