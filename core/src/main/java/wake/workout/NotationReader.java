package wake.workout;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import wake.movement.Catalogue;
import wake.units.InvalidInput;
import wake.units.Lengths;
import wake.workout.Workout.Node;
import wake.workout.Workout.Part;
import wake.workout.Workout.Pause;
import wake.workout.Workout.Remark;
import wake.workout.Workout.Section;
import wake.workout.Workout.Start;

/**
 * Reads the whiteboard notation; docs/notation.md describes it. Line based: a line that does not fit gives one error and
 * the rest is still read, so that all errors of a text come at once. Never throws, whatever the text.
 */
public final class NotationReader {
    private static final int LONGEST_TEXT = 100_000;
    private static final int MOST_LINES = 2_000;
    private static final int LONGEST_TITLE = 200;
    private static final String A_TITLE = "a title first, like \"# Lock Gate\"";
    private static final String A_FORMAT =
            "how it is timed: \"for time, cap 14:00\", \"amrap 9:00\", \"every 2:00 x 10\" or \"lift 8:00, best of 1 power clean\"";

    private final NotationSource source;
    private final List<String> preface = new ArrayList<>();
    private List<String> divisions = List.of();

    /**
     * What a text says.
     *
     * @param workout the workout, when there is no error
     * @param errors everything that does not fit, in order
     * @param hints what is allowed but looks like a slip: a movement that is nearly a known one, a name that several lifts go by
     * @param understood whether indents or words of the notation are missing, so that it was read as it is usually meant
     */
    public record Reading(
            Optional<Workout> workout, List<NotationError> errors, List<NotationError> hints, boolean understood) {
        /**
         * The workout.
         *
         * @throws InvalidInput listing the errors when there are any
         */
        public Workout orThrow() {
            return workout.orElseThrow(() -> new InvalidInput(String.join(
                    "; ", errors.stream().map(NotationError::toString).toList())));
        }
    }

    private NotationReader(NotationSource source) {
        this.source = source;
    }

    public static Reading read(String text, Catalogue catalogue) {
        if (text.length() > LONGEST_TEXT) {
            return refused(1, text.length() + " characters", "a workout of at most " + LONGEST_TEXT + " characters");
        }
        List<NotationLine> lines = NotationLine.of(text);
        if (lines.stream().allMatch(NotationLine::isRemark)) {
            return refused(1, "nothing", A_TITLE);
        }
        if (lines.size() > MOST_LINES) {
            return refused(1, lines.size() + " lines", "a workout of at most " + MOST_LINES + " lines");
        }
        Optional<NotationLine> tooLong = lines.stream()
                .filter(line -> line.text().length() > Lengths.LINE)
                .findFirst();
        if (tooLong.isPresent()) {
            NotationLine line = tooLong.get();
            return refused(
                    line.number(),
                    line.text().length() + " characters",
                    "a line of at most " + Lengths.LINE + " characters");
        }
        Layout layout = Layout.of(lines);
        return new NotationReader(new NotationSource(layout.lines(), catalogue)).workout(layout.understood());
    }

    private static Reading refused(int line, String found, String expected) {
        return new Reading(Optional.empty(), List.of(new NotationError(line, 1, found, expected)), List.of(), false);
    }

    private Reading workout(boolean understood) {
        takeRemarks();
        String title = "";
        String titleNote = "";
        NotationLine first = source.peek();
        if (first.text().startsWith("#")
                && first.text().length() > 1
                && first.text().length() <= LONGEST_TITLE) {
            title = first.text().substring(1).strip();
            titleNote = first.comment();
            source.next();
        } else {
            source.error(new LineScanner(first).unfit(A_TITLE));
            if (first.text().startsWith("#")) {
                source.next();
            }
        }
        divisions();
        takeRemarks();
        List<Section> sections = sections();
        List<NotationError> errors = source.errors().stream()
                .sorted(Comparator.comparingInt(NotationError::line).thenComparingInt(NotationError::column))
                .toList();
        Optional<Workout> workout = errors.isEmpty()
                ? Optional.of(new Workout(title, titleNote, preface, divisions, sections))
                : Optional.empty();
        return new Reading(workout, errors, List.copyOf(source.hints()), understood);
    }

    private void takeRemarks() {
        while (source.more() && source.peek().isRemark()) {
            preface.add(source.next().comment());
        }
    }

    private void divisions() {
        takeRemarks();
        if (!source.more()) {
            return;
        }
        LineScanner scanner = new LineScanner(source.peek());
        if (!scanner.take("divisions")) {
            return;
        }
        NotationLine line = source.next();
        if (!line.comment().isEmpty()) {
            preface.add(line.comment());
        }
        source.attempt(() -> {
            scanner.expect(":", "a colon, like \"divisions: women / men\"");
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
            return true;
        });
    }

    private List<Section> sections() {
        List<Section> sections = new ArrayList<>();
        if (!source.more()) {
            source.error(new NotationError(source.lastLine() + 1, 1, "the end", A_FORMAT));
        }
        while (source.more()) {
            sections.add(section(sections));
        }
        if (!sections.isEmpty() && !(sections.getLast() instanceof Part)) {
            String found = sections.getLast() instanceof Pause ? "a rest at the end" : "\"from\" at the end";
            source.error(new NotationError(source.lastLine(), 1, found, "a part after it"));
        }
        return sections;
    }

    /**
     * When the next part starts on the running clock. The part above has to be over by then: one for time that says no cap is capped there.
     */
    private Section start(NotationLine line, LineScanner scanner, List<Section> before) {
        LineScanner.Unfit late = scanner.unfit("a time after the end of the part above, like \"from 7:00\"");
        long ms = source.attempt(() -> {
                    long from = scanner.time("when the next part starts, like \"from 7:00\"");
                    scanner.expectEnd("the end of the line");
                    if (from <= RunningClock.startOfLast(before) || from > FormatReader.LONGEST_MS) {
                        throw late;
                    }
                    return from;
                })
                .orElse(1L);
        boolean afterPart = before.getLast() instanceof Part;
        if (!afterPart) {
            source.error(
                    new NotationError(line.number(), line.column(), "\"from\" after a rest", "only one of the two"));
        }
        if (source.errors().isEmpty() && before.getLast() instanceof Part above) {
            long room = ms - RunningClock.startOfLast(before);
            if (above.format() instanceof Format.ForTime time && time.capMs().isEmpty()) {
                before.set(before.size() - 1, above.timed(new Format.ForTime(OptionalLong.of(room), time.inPairs())));
            } else if (above.format().buzzerMs().orElse(0) > room) {
                source.error(late);
            }
        }
        return new Start(ms, line.comment());
    }

    private Section section(List<Section> before) {
        NotationLine line = source.next();
        LineScanner scanner = new LineScanner(line);
        boolean first = before.isEmpty();
        if (!first && scanner.take("rest")) {
            long ms = source.attempt(() -> {
                        long rest = scanner.time("how long, like \"rest 2:00\"");
                        scanner.expectEnd("the end of the line");
                        return rest;
                    })
                    .orElse(1L);
            return new Pause(ms, line.comment());
        }
        if (!first && scanner.take("from")) {
            return start(line, scanner, before);
        }
        String name = "";
        if (scanner.take("part")) {
            name = source.attempt(() -> partName(scanner, before)).orElse("?");
        } else if (!first) {
            source.error(scanner.unfit(
                    "\"part B:\", \"rest 2:00\" or \"from 7:00\"; what belongs to the part above is indented deeper"));
        }
        Optional<Format> format = source.attempt(() -> FormatReader.read(scanner, A_FORMAT));
        // Without a format the line is most likely one of the body; it is not read twice.
        Format timed = format.orElse(new Format.ForTime(OptionalLong.empty()));
        if (timed instanceof Format.Lift lift) {
            lift.complex().forEach(piece -> hintAtOtherLift(line, piece.movement()));
        }
        List<Node> body = new BodyReader(source, Math.max(1, divisions.size()), timed).read();
        boolean empty = body.stream().allMatch(Remark.class::isInstance);
        boolean lifts = timed instanceof Format.Lift;
        if (empty && !lifts && source.errors().isEmpty()) {
            source.error(new NotationError(source.lastLine() + 1, 1, "the end", BodyReader.A_MOVEMENT));
        }
        return new Part(name, timed, line.comment(), body);
    }

    private void hintAtOtherLift(NotationLine line, String written) {
        source.catalogue()
                .find(written)
                .flatMap(known -> NotationError.shared(line.number(), line.column(), written, known.name()))
                .ifPresent(source::hint);
    }

    private static String partName(LineScanner scanner, List<Section> before) {
        LineScanner.Unfit unnamed = scanner.unfit("the part's name and a colon, like \"part A:\"");
        String name = scanner.until(":");
        boolean taken = before.stream()
                .anyMatch(section -> section instanceof Part part && part.name().equals(name));
        if (name.isEmpty() || taken || !scanner.take(":")) {
            throw unnamed;
        }
        return name;
    }
}
