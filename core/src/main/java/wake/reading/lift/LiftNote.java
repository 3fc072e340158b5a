package wake.reading.lift;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalLong;

/** One thing worth knowing of a lift window, with the lift it rests on. */
public sealed interface LiftNote {
    /** A moment is played from a little before the bar leaves the floor. */
    long BEFORE_MS = 3_000;

    long AFTER_MS = 30_000;

    /** The lift to play. */
    LiftRow row();

    /** Where to start playing, milliseconds on the clock. */
    default long fromMs() {
        return Math.max(0, row().lift().atMs() - BEFORE_MS);
    }

    /** Where to stop. */
    default long toMs() {
        return row().lift().endMs().orElse(row().lift().atMs() + AFTER_MS);
    }

    /**
     * A missed lift.
     *
     * @param restMs the rest before it; empty for the first lift and where it was not seen
     * @param shortest whether no other lift had as little rest
     * @param aboveBestPercent its load above the heaviest made; below 0 where lighter; empty where either is not known
     */
    record Miss(LiftRow row, OptionalLong restMs, boolean shortest, OptionalDouble aboveBestPercent)
            implements LiftNote {}

    /**
     * How often a lift was started.
     *
     * @param row the first
     * @param last the last
     * @param eachMs from start to start
     * @param restsMs the rests that were seen
     */
    record Rhythm(LiftRow row, LiftRow last, long eachMs, List<Long> restsMs) implements LiftNote {
        public Rhythm {
            restsMs = List.copyOf(restsMs);
        }

        @Override
        public long toMs() {
            return last.lift().atMs();
        }
    }

    /**
     * The lift that started furthest from its planned time.
     *
     * @param lateMs by how much; below 0 when earlier
     */
    record OffPlan(LiftRow row, long lateMs) implements LiftNote {}

    /** A lift that took much longer than the middle of the others. */
    record Slow(LiftRow row, long lengthMs, long othersMs) implements LiftNote {}

    /**
     * The steps from load to load.
     *
     * @param row the first that had one
     * @param jumped all that had
     */
    record Jumps(LiftRow row, List<LiftRow> jumped) implements LiftNote {
        public Jumps {
            jumped = List.copyOf(jumped);
        }
    }

    /** Time left after the last lift in which another would have fitted. */
    record TimeLeft(LiftRow row, long leftMs) implements LiftNote {}
}
