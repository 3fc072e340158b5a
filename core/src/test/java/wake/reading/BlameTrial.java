package wake.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import wake.Samples;
import wake.Shelf;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.units.Digits;
import wake.units.Messages;
import wake.words.ReviewWords;
import wake.workout.Comparability;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * What a review blames, tried on athletes whose truth is known: steady but for scatter, or with one loss planted somewhere, logged as closely as a coach
 * might. Everything that is alike takes the same time but for the scatter; sets are as long as the athlete can hold them, so that larger amounts
 * are broken more often.
 */
final class BlameTrial {
    /** Workouts of every format, by name. */
    static final Map<String, String> FORMATS = formats();

    private static final double SCATTER = 0.02;
    private static final long[] LOSSES_MS = {5000, 10_000, 20_000, 40_000};
    /** Steady attempts for each athlete. */
    private static final int STEADY = 4;

    private static final int SHOWN = 3;

    /** How closely an attempt is logged. */
    enum Detail {
        REPS,
        SETS,
        MOVEMENTS,
        ENDS,
        ROUNDS
    }

    /** What is planted. */
    enum Planted {
        NOTHING,
        REST,
        TRANSITION,
        PACE,
        TRIP
    }

    /**
     * One attempt and what is wrong with it.
     *
     * @param log the attempt as logged
     * @param at the segment something was planted in; empty where nothing was
     * @param ms how much
     * @param comparedMs what that is compared with at this detail
     */
    record Tried(AttemptLog log, Optional<Segment> at, Planted what, long ms, long comparedMs) {}

    private BlameTrial() {}

    private static Map<String, String> formats() {
        Map<String, String> formats = new LinkedHashMap<>();
        formats.put("rounds", Shelf.ROUNDS);
        formats.put("two blocks", Shelf.TWO_BLOCKS);
        formats.put("mirrored", Shelf.MIRRORED);
        formats.put("growing", Shelf.GROWING.replace("6:00", "9:00"));
        formats.put("amrap", Shelf.SHORT_AMRAP);
        formats.put("intervals", Shelf.INTERVALS);
        formats.put("rising bar", Shelf.RISING_BAR);
        formats.put("ladder", Shelf.LADDER);
        formats.put("inner rounds", """
                # Inner Harbour
                for time
                  3 rounds:
                    12 cal row
                    3 rounds:
                      6 burpee
                      8 kettlebell swing @ 24 kg
                """);
        formats.put("shrinking pair", """
                # Narrows
                for time
                  4 rounds:
                    15-12-9-6 power clean @ 50 kg
                    15-12-9-6 burpee
                """);
        return formats;
    }

    /** An athlete at a workout. */
    static final class Athlete {
        private static final int[] HELD = {5, 7, 8, 10, 40};
        private final ExpandedWorkout expanded;
        private final SplittableRandom random;
        private final Detail detail;
        private final double scatter;
        private final Map<String, double[]> figures = new HashMap<>();
        private final List<Mark> marks = new ArrayList<>();
        private double clock;

        Athlete(String notation, Detail detail, double scatter, long seed) {
            this.expanded = Samples.expanded(notation);
            this.detail = detail;
            this.scatter = scatter;
            this.random = new SplittableRandom(seed);
        }

        /** Seconds a unit, the transition to it, a rest, and how many are held in one set; the same for all that is alike. */
        private double[] figures(Segment segment) {
            return figures.computeIfAbsent(segment.lineAtLoad().replaceAll("^\\w+ ", ""), line -> new double[] {
                segment.tappable() ? 1.5 + random.nextDouble() * 2.5 : segment.metres() > 0 ? 0.28 : 2.5,
                2 + random.nextDouble() * 5,
                4 + random.nextDouble() * 6,
                HELD[random.nextInt(HELD.length)]
            });
        }

        private double scattered(double ms) {
            return ms * (1 + scatter * Math.max(-3, Math.min(3, random.nextGaussian())));
        }

        Tried does(Planted what, long ms) {
            List<Segment> segments = new ArrayList<>();
            long cap = expanded.capMs().orElse(Long.MAX_VALUE);
            for (int i = 0; expanded.has(i) && i < 40; i++) {
                segments.add(expanded.segment(i));
            }
            Segment at = null;
            if (what != Planted.NOTHING) {
                // Not beyond what the buzzer leaves.
                int reach = expanded.isOpen() ? 8 : segments.size();
                for (int tries = 0; at == null && tries < 200; tries++) {
                    Segment candidate = segments.get(random.nextInt(Math.min(reach, segments.size())));
                    boolean possible = switch (what) {
                        case REST -> candidate.tappable() && candidate.steps() > held(candidate);
                        case TRIP -> candidate.tappable() && candidate.steps() > 3;
                        case TRANSITION -> candidate.index() > 0;
                        default -> true;
                    };
                    at = possible ? candidate : null;
                }
            }
            Segment planted = at;
            for (Segment segment : segments) {
                if (clock > cap) {
                    break;
                }
                walk(segment, segment.equals(planted) ? what : Planted.NOTHING, ms);
            }
            List<Mark> seen = marks;
            if (clock > cap) {
                seen = new ArrayList<>(
                        marks.stream().filter(mark -> mark.atMs() <= cap).toList());
                seen.add(Mark.of(MarkKind.STOP, cap));
            }
            AttemptLog log = AttemptLog.of(expanded, seen);
            return new Tried(log, Optional.ofNullable(planted), what, ms, compared(log, planted, what));
        }

        private int held(Segment segment) {
            return (int) figures(segment)[3];
        }

        /** How much time lies in what the planted loss can be told from at this detail. */
        private long compared(AttemptLog log, Segment planted, Planted what) {
            if (planted == null) {
                return 0;
            }
            return log.done().stream()
                    .filter(split -> detail == Detail.ROUNDS
                            ? split.segment().lap().equals(planted.lap())
                            : split.segment().index() == planted.index())
                    .mapToLong(split -> detail.compareTo(Detail.SETS) <= 0 && what == Planted.TRANSITION
                            ? split.transitionMs()
                            : split.elapsedMs() - split.waitMs())
                    .sum();
        }

        private void walk(Segment segment, Planted what, long ms) {
            double[] own = figures(segment);
            double opens = expanded.opensMs(segment.index(), Math.round(clock)).orElse(0);
            clock = Math.max(clock, opens);
            clock += segment.index() == 0 ? 500 : scattered(1000 * own[1]) + (what == Planted.TRANSITION ? ms : 0);
            boolean inside = detail != Detail.ENDS && detail != Detail.ROUNDS;
            if (inside) {
                see(MarkKind.BEGIN);
            }
            double slower = what == Planted.PACE ? ms / (1000 * own[0] * segment.units()) : 0;
            if (segment.tappable()) {
                sets(segment, own, what, ms, slower);
            } else {
                clock += scattered(1000 * own[0] * segment.units()) * (1 + slower);
            }
            boolean ends =
                    detail != Detail.ROUNDS || !expanded.has(segment.index() + 1) || expanded.endsLap(segment.index());
            if (!segment.tappable() || detail != Detail.REPS) {
                Mark done = Mark.of(MarkKind.DONE, Math.round(clock));
                marks.add(
                        detail == Detail.REPS || detail == Detail.SETS
                                ? done
                                : done.withDepth(ends ? Granularity.SEGMENT : Granularity.ROUND));
            }
        }

        private void sets(Segment segment, double[] own, Planted what, long ms, double slower) {
            int left = segment.steps();
            int resting = what == Planted.REST ? random.nextInt((left - 1) / held(segment)) : -1;
            int tripped =
                    what == Planted.TRIP ? 1 + random.nextInt(Math.max(1, Math.min(left, held(segment)) - 2)) : -1;
            double perStep = segment.units() / segment.steps();
            for (int set = 0; left > 0; set++) {
                int reps = Math.min(left, held(segment));
                double each = scattered(1000 * own[0] * perStep) * (1 + slower);
                for (int rep = 0; rep < reps; rep++) {
                    if (set == 0 && rep == tripped) {
                        clock += 500;
                        if (detail.compareTo(Detail.SETS) <= 0) {
                            see(MarkKind.TRIP);
                        }
                        clock += ms - 500;
                    }
                    clock += each;
                    if (detail == Detail.REPS) {
                        see(MarkKind.REP);
                    }
                }
                left -= reps;
                if (left > 0) {
                    if (detail.compareTo(Detail.SETS) <= 0) {
                        Mark off = Mark.of(MarkKind.OFF, Math.round(clock));
                        marks.add(detail == Detail.SETS ? off.withReps(reps) : off);
                    }
                    clock += scattered(1000 * own[2]) + (set == resting ? ms : 0);
                    if (detail.compareTo(Detail.SETS) <= 0) {
                        see(MarkKind.ON);
                    }
                }
            }
        }

        private void see(MarkKind kind) {
            marks.add(Mark.of(kind, Math.round(clock)));
        }
    }

    static Reading read(AttemptLog log) {
        return Reading.of(log, Baseline.bestSplits(log));
    }

    /** Whether the first finding names what was planted, as closely as the log lets it. */
    static boolean named(Tried tried, Detail detail, Reading reading) {
        if (reading.findings().isEmpty()) {
            return false;
        }
        Finding first = reading.findings().getFirst();
        Segment at = tried.at().orElseThrow();
        if (detail == Detail.ROUNDS) {
            return first.moments()
                    .getFirst()
                    .label()
                    .startsWith(at.inRounds() ? at.lap().words() : at.label());
        }
        boolean movement = first.movement().equals(at.line().name())
                && first.moments().getFirst().label().equals(at.place());
        return movement && causes(tried.what(), detail).contains(first.cause());
    }

    private static List<Cause> causes(Planted what, Detail detail) {
        if (detail == Detail.ENDS || detail == Detail.ROUNDS) {
            return List.of(Cause.UNSEPARATED);
        }
        Cause own = switch (what) {
            case REST -> Cause.REST;
            case TRANSITION -> Cause.TRANSITION;
            case TRIP -> Cause.FAULT;
            default -> Cause.PACE;
        };
        if (detail == Detail.MOVEMENTS) {
            return what == Planted.TRANSITION ? List.of(own) : List.of(Cause.PACE, Cause.UNSEPARATED);
        }
        return List.of(own);
    }

    /** What a loss must exceed: twice the scatter of the difference of two like splits, and what a log of ends cannot tell where the amounts differ. */
    static double tells(Tried tried, Detail detail) {
        double scatter = 2 * Math.sqrt(2) * 0.02 * tried.comparedMs();
        boolean growing = detail.compareTo(Detail.SETS) > 0 && likeAmounts(tried) < 2;
        return scatter + (growing ? 15_000 : 0);
    }

    private static long likeAmounts(Tried tried) {
        Segment at = tried.at().orElseThrow();
        return tried.log().done().stream()
                .filter(split -> split.complete()
                        && Comparability.same(split.segment(), at)
                        && split.segment().lineIndex() == at.lineIndex())
                .count();
    }

    /** Whether there is anything to tell what was planted from at this detail. */
    static boolean comparable(Tried tried, Detail detail, Reading reading) {
        Segment at = tried.at().orElseThrow();
        boolean others = reading.log().done().stream()
                        .filter(split -> split.complete() && Comparability.comparable(split.segment(), at))
                        .count()
                > 1;
        return reading.deltas().stream()
                .filter(delta -> delta.stretch().splits().stream()
                        .anyMatch(split -> split.segment().equals(at)))
                .anyMatch(delta -> delta.compares().stream().anyMatch(causes(tried.what(), detail)::contains)
                        && (tried.what() != Planted.PACE || others || detail == Detail.ROUNDS)
                        && (tried.what() != Planted.TRIP
                                || detail.compareTo(Detail.SETS) > 0
                                || delta.stretch().first().faultMs() > 0));
    }

    /**
     * How a detail of a format did.
     *
     * @param steady how many steady attempts were read
     * @param blamed of how many of them anything was blamed
     * @param asked how many planted losses there were to tell
     * @param named how many of them came first
     * @param wrong what was said instead, of some of them
     */
    record Row(String format, Detail detail, int steady, int blamed, int asked, int named, List<String> wrong) {
        String written() {
            return Messages.of(
                    "%s, %s: blamed %d of %d steady attempts, named %d of %d losses %s",
                    format, detail, blamed, steady, named, asked, wrong);
        }
    }

    static Row run(String format, Detail detail, int athletes) {
        String notation = FORMATS.getOrDefault(format, "");
        List<String> wrong = new ArrayList<>();
        int blamed = 0;
        int asked = 0;
        int named = 0;
        int steady = STEADY * athletes;
        for (long seed = 1; seed <= steady; seed++) {
            Tried tried = new Athlete(notation, detail, SCATTER, seed).does(Planted.NOTHING, 0);
            List<Finding> findings = read(tried.log()).findings();
            if (!findings.isEmpty()) {
                blamed++;
                note(wrong, "steady " + seed + ": " + written(findings));
            }
        }
        for (Planted what : Planted.values()) {
            for (long seed = 1; seed <= athletes; seed++) {
                for (long ms : LOSSES_MS) {
                    Tried tried = new Athlete(notation, detail, SCATTER, seed).does(what, ms);
                    if (tried.at().isEmpty() || tried.comparedMs() == 0 || ms < tells(tried, detail)) {
                        continue;
                    }
                    Reading reading = read(tried.log());
                    if (comparable(tried, detail, reading)) {
                        asked++;
                        if (named(tried, detail, reading)) {
                            named++;
                        } else {
                            note(
                                    wrong,
                                    seed + ": " + what + " " + ms + " in "
                                            + tried.at().orElseThrow().place() + ": " + written(reading.findings()));
                        }
                    }
                }
            }
        }
        return new Row(format, detail, steady, blamed, asked, named, wrong);
    }

    private static void note(List<String> wrong, String one) {
        if (wrong.size() < SHOWN) {
            wrong.add(one);
        }
    }

    private static String written(List<Finding> findings) {
        return findings.stream()
                .limit(1)
                .map(finding -> ReviewWords.finding(finding, Digits.TENTHS))
                .findFirst()
                .orElse("nothing");
    }
}
