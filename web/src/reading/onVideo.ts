import { createContext } from "react";

/** Whether there is a recording to play the moments of; without one they are told and not offered. */
export const OnVideo = createContext(true);
