package wake.workout;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.regex.Pattern;
import wake.movement.Catalogue;
import wake.movement.Movement;
import wake.units.Unit;
import wake.workout.Workout.Format;
import wake.workout.Workout.LoadSpec;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Part;
import wake.workout.Workout.Remark;
import wake.workout.Workout.Rounds;

/**
 * Reads the whiteboard notation; docs/notation.md describes it. Line based: a line that does not fit gives one error and
 * the rest is still read, so that all errors of a text come at once. Never throws, whatever the text.
 */
public final class NotationReader {
    private static final int LONGEST_TEXT = 100_000;
    private static final int MOST_ROUNDS = 500;
    private static final int MOST_SEGMENTS = 20_000;
    private static final int DEEPEST = 4;
    private static final String A_MOVEMENT = "a movement with its amount, as in \"12 toes-to-bar\" or \"8 cal row\"";

    /** A block that lacks its colon; nobody does a movement called rounds. */
    private static final Pattern ROUNDS = Pattern.compile("\\d+\\s+rounds?");

    private final Catalogue catalogue;
    private final List<NotationLine> lines;
    private final List<NotationError> errors = new ArrayList<>();
    private final List<NotationError> hints = new ArrayList<>();
    private final List<String> preface = new ArrayList<>();
    private List<String> divisions = List.of();
    private int at;

    /**
     * What a text says.
     *
     * @param workout the workout, when there is no error
     * @param errors everything that does not fit, in order
     * @param hints what is allowed but looks like a slip: a movement that is nearly a known one
     */
    public record Reading(Optional<Workout> workout, List<NotationError> errors, List<NotationError> hints) {
        /**
         * The workout.
         *
         * @throws IllegalArgumentException listing the errors when there are any
         */
        public Workout orThrow() {
            return workout.orElseThrow(() -> new IllegalArgumentException(String.join(
                    "; ", errors.stream().map(NotationError::toString).toList())));
        }
    }

    private NotationReader(String text, Catalogue catalogue) {
        this.catalogue = catalogue;
        this.lines = NotationLine.of(text);
    }

    public static Reading read(String text, Catalogue catalogue) {
        if (text.length() > LONGEST_TEXT) {
            NotationError tooLong = new NotationError(
                    1, 1, text.length() + " characters", "a workout of at most " + LONGEST_TEXT + " characters");
            return new Reading(Optional.empty(), List.of(tooLong), List.of());
        }
        return new NotationReader(text, catalogue).workout();
    }

    private Reading workout() {
        if (lines.stream().allMatch(NotationLine::isRemark)) {
            errors.add(new NotationError(1, 1, "nothing", "a title first, as in \"# Lock Gate\""));
            return new Reading(Optional.empty(), errors, hints);
        }
        takeRemarks();
        String title = "";
        String titleNote = "";
        NotationLine first = lines.get(at);
        if (first.text().startsWith("#") && first.text().length() > 1) {
            title = first.text().substring(1).strip();
            titleNote = first.comment();
            at++;
        } else {
            errors.add(new LineScanner(first)
                    .unfit("a title first, as in \"# Lock Gate\"")
                    .error());
            at += first.text().startsWith("#") ? 1 : 0;
        }
        divisions();
        Part part = part();
        if (errors.isEmpty() && segments(part.body()) > MOST_SEGMENTS) {
            errors.add(new NotationError(1, 1, "more than " + MOST_SEGMENTS + " movements", "fewer rounds"));
        }
        errors.sort(Comparator.comparingInt(NotationError::line).thenComparingInt(NotationError::column));
        Optional<Workout> workout = errors.isEmpty()
                ? Optional.of(new Workout(title, titleNote, preface, divisions, part))
                : Optional.empty();
        return new Reading(workout, List.copyOf(errors), List.copyOf(hints));
    }

    private void takeRemarks() {
        while (at < lines.size() && lines.get(at).isRemark()) {
            preface.add(lines.get(at++).comment());
        }
    }

    private void divisions() {
        takeRemarks();
        if (at >= lines.size()) {
            return;
        }
        LineScanner scanner = new LineScanner(lines.get(at));
        if (!scanner.take("divisions")) {
            return;
        }
        NotationLine line = lines.get(at++);
        if (!line.comment().isEmpty()) {
            preface.add(line.comment());
        }
        attempt(() -> {
            scanner.expect(":", "a colon, as in \"divisions: women / men\"");
            List<String> names = new ArrayList<>();
            do {
                LineScanner.Unfit unnamed = scanner.unfit("a division's name");
                String name = scanner.until("/");
                if (name.isEmpty() || names.contains(name)) {
                    throw unnamed;
                }
                names.add(name);
            } while (scanner.take("/"));
            divisions = List.copyOf(names);
        });
    }

    private Part part() {
        takeRemarks();
        Format format = new Format.ForTime(OptionalLong.empty());
        String note = "";
        if (at < lines.size() && new LineScanner(lines.get(at)).take("for")) {
            NotationLine line = lines.get(at++);
            note = line.comment();
            format = attempt(() -> forTime(new LineScanner(line))).orElse(format);
        } else {
            errors.add(
                    at < lines.size()
                            ? new LineScanner(lines.get(at))
                                    .unfit("how it is timed: \"for time\" or \"for time, cap 14:00\"")
                                    .error()
                            : new NotationError(
                                    lastLine() + 1, 1, "the end", "how it is timed, as in \"for time, cap 14:00\""));
        }
        List<Node> body = body(-1, Optional.empty(), 0);
        if (body.stream().allMatch(Remark.class::isInstance) && errors.isEmpty()) {
            errors.add(new NotationError(lastLine() + 1, 1, "the end", A_MOVEMENT));
        }
        return new Part(format, note, body);
    }

    private int lastLine() {
        return lines.getLast().number();
    }

    private static Format forTime(LineScanner scanner) {
        scanner.expect("for", "\"for time\"");
        scanner.expect("time", "\"time\" after \"for\"");
        OptionalLong cap = OptionalLong.empty();
        if (scanner.take(",")) {
            scanner.expect("cap", "a cap after the comma, as in \"cap 14:00\"");
            long ms = scanner.time("the cap as m:ss, as in \"cap 14:00\"");
            if (ms == 0) {
                throw scanner.unfit("a cap above 0:00");
            }
            cap = OptionalLong.of(ms);
        }
        scanner.expectEnd("the end of the line, or \", cap 14:00\"");
        return new Format.ForTime(cap);
    }

    /** All lines indented deeper than {@code outer}; the first one sets how deep. */
    private List<Node> body(int outer, Optional<Integer> rounds, int depth) {
        List<Node> nodes = new ArrayList<>();
        int indent = -1;
        while (at < lines.size()) {
            NotationLine line = lines.get(at);
            if (line.indent() <= outer && !(line.isRemark() && staysInside(outer))) {
                break;
            }
            if (line.isRemark()) {
                nodes.add(new Remark(line.comment()));
                at++;
                continue;
            }
            if (indent < 0) {
                indent = line.indent();
            } else if (line.indent() != indent) {
                errors.add(new NotationError(
                        line.number(),
                        line.column(),
                        "an indent of " + line.indent(),
                        "an indent of " + indent + " as in the lines above"));
            }
            at++;
            statement(line, rounds, depth).ifPresent(nodes::add);
        }
        return nodes;
    }

    /** Whether a comment indented too little still stands among the lines of a block. */
    private boolean staysInside(int outer) {
        return lines.stream()
                .skip(at)
                .filter(line -> !line.isRemark())
                .findFirst()
                .filter(line -> line.indent() > outer)
                .isPresent();
    }

    private Optional<Node> statement(NotationLine line, Optional<Integer> rounds, int depth) {
        if (line.text().endsWith(":") || ROUNDS.matcher(line.text()).matches()) {
            Optional<Integer> count = attempt(() -> {
                LineScanner scanner = new LineScanner(line);
                int n = scanner.wholeNumber(1, MOST_ROUNDS, "a number of rounds from 1 to " + MOST_ROUNDS);
                if (!scanner.take("rounds")) {
                    scanner.expect("round", "\"rounds:\" as in \"5 rounds:\"");
                }
                scanner.expect(":", "a colon");
                if (depth >= DEEPEST) {
                    throw scanner.unfit("at most " + DEEPEST + " blocks inside each other");
                }
                return n;
            });
            int errorsBefore = errors.size();
            List<Node> body = body(line.indent(), Optional.of(count.orElse(1)), depth + 1);
            if (count.isPresent()
                    && errors.size() == errorsBefore
                    && body.stream().allMatch(Remark.class::isInstance)) {
                errors.add(new NotationError(
                        line.number(), line.column(), "a block without lines", "its movements indented below it"));
            }
            return Optional.of(new Rounds(count.orElse(1), line.comment(), body));
        }
        return attempt(() -> movement(line, rounds));
    }

    private Node movement(NotationLine line, Optional<Integer> rounds) {
        LineScanner scanner = new LineScanner(line);
        PerDivision<Series> amount =
                scanner.perDivision(() -> listed(scanner, rounds, A_MOVEMENT), Math.max(1, divisions.size()));
        if (amount.values().stream().anyMatch(series -> series.at(1).signum() == 0)) {
            throw new LineScanner(line).unfit("an amount above zero");
        }
        Optional<Unit> unit = scanner.peekWord()
                .flatMap(Unit::ofSymbol)
                .filter(known -> known.dimension() != Unit.Dimension.MASS && scanner.take(known.symbol()));
        LineScanner.Unfit unnamed = scanner.unfit(A_MOVEMENT);
        String written = scanner.until("@");
        if (written.isEmpty() || !Character.isLetter(written.charAt(0))) {
            throw unnamed;
        }
        Optional<Movement> known = catalogue.find(written);
        if (known.isEmpty()) {
            catalogue
                    .suggest(written)
                    .ifPresent(name -> hints.add(new NotationError(
                            line.number(), unnamed.error().column(), "\"" + written + "\"", "perhaps " + name)));
        }
        List<LoadSpec> loads = new ArrayList<>();
        if (scanner.take("@")) {
            do {
                loads.add(load(scanner, rounds));
            } while (scanner.take(","));
        }
        scanner.expectEnd("the end of the line, or a load as in \"@ 40 kg\"");
        Unit counted = unit.or(() -> known.map(Movement::unit)).orElse(Unit.REP);
        return new MovementLine(amount, counted, known.map(Movement::name).orElse(written), loads, line.comment());
    }

    private LoadSpec load(LineScanner scanner, Optional<Integer> rounds) {
        PerDivision<Series> values = scanner.perDivision(
                () -> listed(scanner, rounds, "a load with its unit, as in \"@ 40/60 kg\""),
                Math.max(1, divisions.size()));
        LineScanner.Unfit noUnit = scanner.unfit("the load's unit: kg, lb, in, cm, m or ft");
        Unit unit = scanner.peekWord().flatMap(Unit::ofSymbol).orElseThrow(() -> noUnit);
        if (unit.dimension() != Unit.Dimension.MASS && unit.dimension() != Unit.Dimension.LENGTH) {
            throw noUnit;
        }
        scanner.expect(unit.symbol(), "a unit");
        return new LoadSpec(values, unit);
    }

    private static Series listed(LineScanner scanner, Optional<Integer> rounds, String expected) {
        LineScanner.Unfit misfit = scanner.unfit(
                rounds.isPresent()
                        ? "one number, or one for each of the " + rounds.get() + " rounds"
                        : "one number here; a list such as 10-8-6 goes under \"3 rounds:\"");
        Series series = scanner.series(expected);
        OptionalInt listed = series.rounds();
        boolean fits = series instanceof Series.Fixed
                || (rounds.isPresent() && (listed.isEmpty() || listed.getAsInt() == rounds.get()));
        if (!fits) {
            throw misfit;
        }
        return series;
    }

    private static long segments(List<Node> nodes) {
        long sum = 0;
        for (Node node : nodes) {
            sum += switch (node) {
                case MovementLine line -> 1;
                case Rounds rounds -> rounds.count() * segments(rounds.body());
                case Remark remark -> 0;
            };
        }
        return sum;
    }

    private <T> Optional<T> attempt(java.util.function.Supplier<T> reading) {
        try {
            return Optional.of(reading.get());
        } catch (LineScanner.Unfit unfit) {
            errors.add(unfit.error());
            return Optional.empty();
        }
    }

    private void attempt(Runnable reading) {
        attempt(() -> {
            reading.run();
            return true;
        });
    }
}
