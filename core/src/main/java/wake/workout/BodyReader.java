package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import wake.workout.Workout.FreeOrder;
import wake.workout.Workout.Node;
import wake.workout.Workout.Once;
import wake.workout.Workout.Remark;
import wake.workout.Workout.Repeat;
import wake.workout.Workout.Rounds;
import wake.workout.Workout.StagedCap;
import wake.workout.Workout.TieBreak;
import wake.workout.Workout.When;

/** Reads the body of a part: lines, and the blocks that indentation makes. */
final class BodyReader {
    static final String A_MOVEMENT = "a movement with its amount, like \"12 toes-to-bar\" or \"8 cal row\"";

    static final int MOST_ROUNDS = 500;
    private static final int DEEPEST = 4;
    private static final long LONGEST_REST_MS = 3_600_000;

    /** A block that lacks its colon; nobody does a movement called rounds. */
    private static final Pattern ROUNDS = Pattern.compile("[\\d.+-]+\\s+rounds?");

    private final NotationSource source;
    private final LineReader lines;
    private final Format format;

    /** What rounds a line stands in: none, so many, or as many as there is time for. */
    sealed interface Frame {
        record Once() implements Frame {}

        record Counted(int rounds) implements Frame {}

        /** Rounds whose amounts stand over their lines: "12-9-6-3". */
        record Headed(Series amounts) implements Frame {
            int rounds() {
                return amounts.rounds().orElse(1);
            }
        }

        record Open() implements Frame {}
    }

    BodyReader(NotationSource source, int divisions, Format format) {
        this.source = source;
        this.lines = new LineReader(source, divisions);
        this.format = format;
    }

    List<Node> read() {
        Frame frame = switch (format) {
            case Format.ForTime time -> new Frame.Once();
            case Format.Amrap amrap -> new Frame.Open();
            case Format.Every every -> new Frame.Counted(every.times());
            case Format.Lift lift -> new Frame.Once();
        };
        List<Node> body = block(0, frame, 0);
        if (source.errors().isEmpty() && !body.stream().allMatch(Remark.class::isInstance)) {
            BodyRules.check(body, format, source);
        }
        return body;
    }

    /** All lines indented deeper than {@code outer}; the first one sets how deep. */
    private List<Node> block(int outer, Frame frame, int depth) {
        List<Node> nodes = new ArrayList<>();
        int indent = -1;
        while (source.more()) {
            NotationLine line = source.peek();
            if (line.indent() <= outer && !(line.isRemark() && staysInside(outer))) {
                break;
            }
            source.next();
            if (line.isRemark()) {
                nodes.add(new Remark(line.comment()));
                continue;
            }
            if (indent < 0) {
                indent = line.indent();
            } else if (line.indent() != indent) {
                source.error(new NotationError(
                        line.number(),
                        line.column(),
                        "an indent of " + line.indent(),
                        "an indent of " + indent + " like the lines above"));
            }
            statement(line, frame, depth).ifPresent(nodes::add);
        }
        return nodes;
    }

    /** Whether a comment indented too little still stands among the lines of a block. */
    private boolean staysInside(int outer) {
        return source.nextStatement().filter(line -> line.indent() > outer).isPresent();
    }

    private Optional<Node> statement(NotationLine line, Frame frame, int depth) {
        LineScanner scanner = new LineScanner(line);
        for (When when : When.values()) {
            if (scanner.take(when.keyword())) {
                outermostOnly(line, depth, when.keyword());
                return once(when, line, scanner, depth);
            }
        }
        if (scanner.take("repeat")) {
            outermostOnly(line, depth, "repeat");
            underABell(line, "repeat", "it in an amrap, or under a cap; \"5 rounds:\" says how often");
            return container(line, scanner, depth, new Frame.Open(), body -> new Repeat(line.comment(), body));
        }
        if (scanner.take(LineReader.MAX)) {
            outermostOnly(line, depth, LineReader.MAX);
            underABell(line, LineReader.MAX, "it in an amrap, like \"max wall walk in 5:00\", or under a cap");
            return source.attempt(() -> lines.readOne(scanner, line.comment()))
                    .map(one -> new Repeat("", List.of(one)));
        }
        if (scanner.take("in")) {
            return source.attempt(() -> {
                        scanner.expect("any", "\"in any order:\"");
                        scanner.expect("order", "\"in any order:\"");
                        return true;
                    })
                    .flatMap(read -> container(line, scanner, depth, new Frame.Once(), body -> freeOrder(line, body)));
        }
        if (scanner.take("rest")) {
            return source.attempt(() -> rest(line, scanner));
        }
        if (scanner.take("by")) {
            return source.attempt(() -> stagedCap(line, scanner));
        }
        if (scanner.take("tie-break")) {
            return source.attempt(() -> new TieBreak(tieBreakAfter(scanner), line.comment()));
        }
        if (WhiteboardText.isSchemeHead(line.text())) {
            return headed(line, depth);
        }
        if (line.text().endsWith(":") || ROUNDS.matcher(line.text()).matches()) {
            return rounds(line, scanner, frame, depth);
        }
        return source.attempt(() -> lines.read(scanner, frame, line.comment()));
    }

    /** Only movements can be cut into rounds as one likes: a block inside, or a cut-off, would have no place then. */
    private Node freeOrder(NotationLine line, List<Node> body) {
        boolean whole = body.stream()
                .allMatch(node -> node instanceof Workout.MovementLine movement
                                && movement.piece().isEmpty()
                        || node instanceof Remark);
        if (!whole) {
            source.error(new NotationError(
                    line.number(),
                    line.column(),
                    "a section, a cut-off or a distance in lengths under \"in any order\"",
                    "whole movements only"));
        }
        return new FreeOrder(line.comment(), body);
    }

    private void outermostOnly(NotationLine line, int depth, String keyword) {
        if (depth > 0) {
            source.error(new NotationError(
                    line.number(), line.column(), "\"" + keyword + "\" inside rounds", "it outside of the rounds"));
        }
    }

    /** What goes on without an end of its own needs a buzzer that ends it. */
    private void underABell(NotationLine line, String keyword, String expected) {
        if (format.buzzerMs().isEmpty() || format instanceof Format.Every) {
            source.error(
                    new NotationError(line.number(), line.column(), "\"" + keyword + "\" without an end", expected));
        }
    }

    private Optional<Node> rounds(NotationLine line, LineScanner scanner, Frame frame, int depth) {
        Optional<Series> count = source.attempt(() -> {
            LineScanner.Unfit misfit = scanner.unfit("a number of rounds from 1 to " + MOST_ROUNDS);
            Series series = LineReader.inFrame(scanner, frame, "a number of rounds from 1 to " + MOST_ROUNDS);
            boolean fits = series.values().stream()
                    .allMatch(value -> value.stripTrailingZeros().scale() <= 0
                            && value.signum() > 0
                            && value.intValue() <= MOST_ROUNDS);
            if (!fits) {
                throw misfit;
            }
            if (!scanner.take("rounds")) {
                scanner.expect("round", "\"rounds:\" like \"5 rounds:\"");
            }
            return series;
        });
        // Lists inside count the rounds of this block; inside 1-2-3 rounds they may be as long as its longest.
        Frame inside = count.filter(series -> !(series instanceof Series.Fixed)).isPresent()
                ? new Frame.Open()
                : new Frame.Counted(count.map(series -> series.at(1).intValue()).orElse(MOST_ROUNDS + 1));
        Optional<Node> read = container(
                line,
                scanner,
                depth,
                inside,
                body -> new Rounds(count.orElse(new Series.Fixed(java.math.BigDecimal.ONE)), line.comment(), body));
        return count.isPresent() ? read : Optional.empty();
    }

    /** "12-9-6-3", alone or with "of": so many rounds, and an amount for each line below that has none of its own. */
    private Optional<Node> headed(NotationLine line, int depth) {
        LineScanner scanner = new LineScanner(line.saying(WhiteboardText.scheme(line.text()) + ":"));
        return source.attempt(() -> scanner.series("one number for each round, like 12-9-6-3"))
                .flatMap(series -> container(
                        line,
                        scanner,
                        depth,
                        new Frame.Headed(series),
                        body -> new Rounds(
                                new Series.Fixed(java.math.BigDecimal.valueOf(
                                        series.rounds().orElse(1))),
                                line.comment(),
                                body)));
    }

    private Optional<Node> once(When when, NotationLine line, LineScanner scanner, int depth) {
        if (line.text().endsWith(":")) {
            return container(line, scanner, depth, new Frame.Once(), body -> new Once(when, line.comment(), body));
        }
        return source.attempt(() -> {
            scanner.expect(":", "a colon, like \"" + when.keyword() + ": 50 cal ski\"");
            return new Once(when, "", List.of(lines.read(scanner, new Frame.Once(), line.comment())));
        });
    }

    /** A block after its opening words: colon, end of line, and the lines below. */
    private Optional<Node> container(
            NotationLine line, LineScanner scanner, int depth, Frame frame, Function<List<Node>, Node> make) {
        int errorsBefore = source.errors().size();
        source.attempt(() -> {
            if (depth >= DEEPEST) {
                throw scanner.unfit("at most " + DEEPEST + " sections inside each other");
            }
            if (source.errors().stream().noneMatch(error -> error.line() == line.number())) {
                scanner.expect(":", "a colon");
                scanner.expectEnd("the end of the line: its movements are indented below it");
            }
            return true;
        });
        List<Node> body = block(line.indent(), frame, depth + 1);
        if (source.errors().size() == errorsBefore && body.stream().allMatch(Remark.class::isInstance)) {
            source.error(new NotationError(
                    line.number(), line.column(), "a section without lines", "its movements indented below it"));
        }
        return Optional.of(make.apply(body));
    }

    private static Workout.Rest rest(NotationLine line, LineScanner scanner) {
        if (scanner.atEnd()) {
            return new Workout.Rest(0, line.comment());
        }
        LineScanner.Unfit zero = scanner.unfit("how long, like \"rest 1:00\", above 0 and within an hour");
        long ms = scanner.time("how long, like \"rest 1:00\"");
        if (ms == 0 || ms > LONGEST_REST_MS) {
            throw zero;
        }
        scanner.expectEnd("the end of the line");
        return new Workout.Rest(ms, line.comment());
    }

    private static StagedCap stagedCap(NotationLine line, LineScanner scanner) {
        long by = scanner.time("a time, like \"by 8:00 after round 3\"");
        return new StagedCap(by, scanner.atEnd() ? 0 : afterRound(scanner), line.comment());
    }

    private static int tieBreakAfter(LineScanner scanner) {
        if (scanner.atEnd()) {
            return 0;
        }
        if (scanner.take("after each round")) {
            scanner.expectEnd("the end of the line");
            return TieBreak.EACH_ROUND;
        }
        return afterRound(scanner);
    }

    private static int afterRound(LineScanner scanner) {
        scanner.expect("after", "\"after round 3\"");
        scanner.expect("round", "\"round\" and its number");
        int round = scanner.wholeNumber(1, MOST_ROUNDS, "a round's number from 1 to " + MOST_ROUNDS);
        scanner.expectEnd("the end of the line");
        return round;
    }
}
