package wake.plan.lift;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/**
 * The lifts intended for a window.
 *
 * @param max what percentages are of: the athlete's max of the lift that limits the complex
 * @param complexMs how long the complex takes from leaving the floor until the bar is down
 * @param lifts the attempts in order
 * @param rack bar and plates
 */
public record LiftPlan(Quantity max, long complexMs, List<Attempt> lifts, PlateRack rack) {
    public static final int MOST_LIFTS = 20;

    private static final long LONGEST_MS = 180_000;
    /** Before the first lift there is taken to be one of so much of its load; an assumption. */
    private static final double LIGHTER = 0.7;

    /** @throws InvalidInput where the max is no load above 0, or there are not 1 to 20 lifts */
    public LiftPlan {
        lifts = List.copyOf(lifts);
        if (max.unit().dimension() != Unit.Dimension.MASS || max.value().signum() == 0) {
            throw new InvalidInput("A max is above 0 in kg or lb, not " + max);
        }
        checkLength(complexMs);
        if (lifts.isEmpty() || lifts.size() > MOST_LIFTS) {
            throw new InvalidInput("Plan 1 to 20 lifts, not " + lifts.size());
        }
    }

    private static void checkLength(long lengthMs) {
        if (lengthMs < 1000 || lengthMs > LONGEST_MS) {
            throw new InvalidInput("A lift takes 1 to 180 s, not " + lengthMs / 1000.0);
        }
    }

    /** What a lift is for. */
    public enum Role {
        PREP("build-up"),
        MUST_HIT("target"),
        WISH("reach");

        private final String words;

        Role(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** How heavy a lift is to be. */
    public sealed interface Want {
        /** A share of the max. */
        record OfMax(double percent) implements Want {
            public OfMax {
                if (!(percent > 0) || percent > 130) {
                    throw new InvalidInput("A lift is above 0 and up to 130% of max, not " + percent);
                }
            }
        }

        /** So much, whatever the max. */
        record Load(Quantity load) implements Want {
            public Load {
                if (load.unit().dimension() != Unit.Dimension.MASS
                        || load.value().signum() == 0) {
                    throw new InvalidInput("A load is above 0 in kg or lb, not " + load);
                }
            }
        }
    }

    /**
     * One lift.
     *
     * @param role what it is for
     * @param want how heavy
     * @param startMs when it leaves the floor, clock time
     * @param lengthMs how long it takes
     * @param pieces what is lifted, where that is not the complex of the window; empty for the complex
     */
    public record Attempt(Role role, Want want, long startMs, long lengthMs, List<LiftPiece> pieces) {
        /** @throws InvalidInput where it starts before the window */
        public Attempt {
            pieces = List.copyOf(pieces);
            checkLength(lengthMs);
            if (startMs < 0) {
                throw new InvalidInput("A lift starts after the start");
            }
        }

        public long endMs() {
            return startMs + lengthMs;
        }

        /** The same at another moment. */
        public Attempt at(long otherStartMs) {
            return new Attempt(role, want, otherStartMs, lengthMs, pieces);
        }

        /** The same with a load of its own. */
        public Attempt loaded(Quantity load) {
            return new Attempt(role, new Want.Load(load), startMs, lengthMs, pieces);
        }

        /** What is lifted: its own pieces, else those of the window. */
        public List<LiftPiece> pieces(List<LiftPiece> complex) {
            return pieces.isEmpty() ? complex : pieces;
        }
    }

    /** The same max and rack for other lifts. */
    public LiftPlan withLifts(List<Attempt> others) {
        return new LiftPlan(max, complexMs, others, rack);
    }

    /** The same with another lift in a place, from 0. */
    public LiftPlan withLift(int at, Attempt other) {
        List<Attempt> others = new ArrayList<>(lifts);
        others.set(at, other);
        return withLifts(others);
    }

    /** How heavy a lift is to be, before plates are picked. */
    public Quantity wanted(Attempt lift) {
        return switch (lift.want()) {
            case Want.OfMax share ->
                new Quantity(max.value().multiply(BigDecimal.valueOf(share.percent() / 100)), max.unit());
            case Want.Load exactly -> exactly.load();
        };
    }

    /**
     * One prep lift more, in the middle of the longest rest, as heavy as what lies half way between its neighbours.
     *
     * @throws InvalidInput when no rest is long enough for it
     */
    public LiftPlan withOneMore() {
        int longest = 0;
        long most = -1;
        long free = 0;
        for (int i = 0; i < lifts.size(); i++) {
            long rest = lifts.get(i).startMs() - free;
            if (rest > most) {
                most = rest;
                longest = i;
            }
            free = lifts.get(i).endMs();
        }
        if (most < complexMs) {
            throw new InvalidInput("No rest is long enough for another lift of " + complexMs / 1000
                    + " s; the longest is " + most / 1000 + " s");
        }
        long from = lifts.get(longest).startMs() - most;
        double after = Timetable.percent(wanted(lifts.get(longest)), max);
        double before = longest == 0 ? after * LIGHTER : Timetable.percent(wanted(lifts.get(longest - 1)), max);
        List<Attempt> more = new ArrayList<>(lifts);
        more.add(
                longest,
                new Attempt(
                        Role.PREP,
                        new Want.OfMax(Math.round((before + after) / 2)),
                        Math.floorDiv(from + (most - complexMs) / 2, 1000L) * 1000,
                        complexMs,
                        List.of()));
        return withLifts(more);
    }

    /** The same lifts for who has another max: each at the share of it that it was at. */
    public LiftPlan forMax(Quantity other) {
        List<Attempt> shares = lifts.stream()
                .map(lift -> new Attempt(
                        lift.role(),
                        new Want.OfMax(Timetable.percent(wanted(lift), max)),
                        lift.startMs(),
                        lift.lengthMs(),
                        lift.pieces()))
                .toList();
        return new LiftPlan(other, complexMs, shares, rack);
    }

    /**
     * Holds the lifts against their window.
     *
     * @throws InvalidInput naming the first lift that does not fit
     */
    public LiftPlan checkedFor(Format.Lift window) {
        for (int i = 0; i < lifts.size(); i++) {
            long start = lifts.get(i).startMs();
            if (start >= window.windowMs()) {
                throw new InvalidInput("Lift " + (i + 1) + " starts at " + clock(start)
                        + ". The bar must leave the floor before time at " + clock(window.windowMs()));
            }
            if (i > 0 && start < lifts.get(i - 1).endMs()) {
                throw new InvalidInput("Lift " + (i + 1) + " starts at " + clock(start) + ", before lift " + i
                        + " is done at " + clock(lifts.get(i - 1).endMs()));
            }
        }
        return this;
    }

    private static String clock(long ms) {
        return ClockTime.of(ms).toSeconds();
    }
}
